import type { TrainerScenario } from '../scenario'
import { done, feedAt, firstAid, NO_LAMP, TRAINING_POND, sees, task } from './parts'

const FIRST_WARM_DAY = 185

/** Leaves, ice, a breaker that trips, and months in which nothing seems to happen. */
export const winter: TrainerScenario = {
  key: 'winter',
  startsOn: '09-25',
  weeks: 28,
  minutesPerWeek: 90,
  pond: {
    ...TRAINING_POND,
    leafKgPerYear: 14,
    leafKeptShare: 0.15,
    fallM: 0.3,
    fish: { ...TRAINING_POND.fish, massKg: 14 },
  },
  fish: 18,
  start: 'settled',
  handedOver: [NO_LAMP, { kind: 'net', keptShare: 0.15, daysBefore: 200 }],
  surprises: [
    {
      key: 'breaker',
      chance: 1,
      weeks: [12, 17],
      told: 'breakerTrippedNoHum',
      deeds: [{ kind: 'pump', running: false, day: 1 }],
    },
    {
      key: 'deep-frost',
      chance: 0.8,
      weeks: [13, 17],
      told: 'tenDaysDeepFrost',
      deeds: [{ kind: 'heatwave', days: 10, warmerC: -8, day: 0 }],
    },
    {
      key: 'thaw',
      chance: 0.4,
      weeks: [19, 22],
      told: 'weekWarmAprilFish',
      deeds: [{ kind: 'heatwave', days: 7, warmerC: 8, day: 0 }],
    },
    {
      key: 'neighbour',
      chance: 0.5,
      weeks: [4, 7],
      told: 'neighbourFeedingBreadHeap',
      deeds: [{ kind: 'feed', factor: 3, day: 1 }],
    },
  ],
  weights: { fish: 40, safe: 15, clearOn: 5, clean: 30, fed: 5, thrift: 5 },
  clearOn: { day: FIRST_WARM_DAY, goal: 'winter' },
  house: {
    policy: (view, test, past) => {
      const aid = firstAid(view)
      const cold = view.week >= 4 ? test('waterTemp') : 20
      const feed = cold < 9 ? feedAt(view, 0) : feedAt(view, cold < 13 ? 0.5 : 1)
      if (view.week === 1) return { tasks: [...aid, task('net', 'on')], why: 'beforeLeavesNotAfter' }
      if (!done(past, 'cut') && (sees(view, 'plants-yellow') || view.week >= 6))
        return {
          tasks: [...aid, ...feed, task('cut', 'all')],
          why: 'whatGoneYellowCarries',
        }
      if (view.week === 11 && view.fittings.net && view.scene.iceM < 0.01)
        return {
          tasks: [...aid, ...feed, task('net', 'off')],
          why: 'leavesDownNetOff',
        }
      if (view.week >= 10 && !done(past, 'ice-hole'))
        return {
          tasks: [...aid, ...feed, task('ice-hole', 'open')],
          why: 'pumpCanStopNight',
        }
      return {
        tasks: [...aid, ...feed],
        why: view.week < 10 ? 'waitSeason' : 'lookWaterMovesHole',
      }
    },
  },
  temptation: {
    policy: (view) => ({
      tasks: view.week === 26 ? [...firstAid(view), task('vacuum', 'third')] : [],
      why: 'nothingHappensWinter',
    }),
  },
}
