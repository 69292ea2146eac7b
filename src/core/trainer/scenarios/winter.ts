import type { TrainerScenario } from '../scenario'
import { done, feedAt, firstAid, NO_LAMP, TRAINING_POND, sees, task } from './parts'

const FIRST_WARM_DAY = 185

/** Leaves, ice, a breaker that trips, and months in which nothing seems to happen. */
export const winter: TrainerScenario = {
  title: 'Through the winter',
  brief:
    'Late September in the cold interior. Two old maples hang over this pond; the pump runs through the winter and keeps the water moving. You look in once a week, for an hour and a half at most, until spring. What you do in autumn is what you find in April.',
  wish: '“We are away until April. You are the only one who looks.”',
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
      told: 'The breaker has tripped: no hum from the pump chamber.',
      deeds: [{ kind: 'pump', running: false, day: 1 }],
    },
    {
      key: 'deep-frost',
      chance: 0.8,
      weeks: [13, 17],
      told: 'Ten days of deep frost.',
      deeds: [{ kind: 'heatwave', days: 10, warmerC: -8, day: 0 }],
    },
    {
      key: 'thaw',
      chance: 0.4,
      weeks: [19, 22],
      told: 'A week as warm as April: the fish come up and look for food.',
      deeds: [{ kind: 'heatwave', days: 7, warmerC: 8, day: 0 }],
    },
    {
      key: 'neighbour',
      chance: 0.5,
      weeks: [4, 7],
      told: 'The neighbour has been feeding bread. A heap of it.',
      deeds: [{ kind: 'feed', factor: 3, day: 1 }],
    },
  ],
  weights: { fish: 40, safe: 15, clearOn: 5, clean: 20, fed: 5, thrift: 15 },
  clearOn: { day: FIRST_WARM_DAY, words: 'clear when spring comes' },
  house: {
    name: 'As the house does it',
    policy: (view, test, past) => {
      const aid = firstAid(view)
      const cold = view.week >= 4 ? test('waterTemp') : 20
      const feed = cold < 9 ? feedAt(view, 0) : feedAt(view, cold < 13 ? 0.5 : 1)
      if (view.week === 1) return { tasks: [...aid, task('net', 'on')], why: 'Before the leaves, not after them.' }
      if (!done(past, 'cut') && (sees(view, 'plants-yellow') || view.week >= 6))
        return {
          tasks: [...aid, ...feed, task('cut', 'all')],
          why: 'What has gone yellow carries the summer’s nutrients: taken away, it cannot rot.',
        }
      if (view.week === 11 && view.fittings.net && view.scene.iceM < 0.01)
        return {
          tasks: [...aid, ...feed, task('net', 'off')],
          why: 'The leaves are down: net off before snow lies on it.',
        }
      if (view.week >= 10 && !done(past, 'ice-hole'))
        return {
          tasks: [...aid, ...feed, task('ice-hole', 'open')],
          why: 'A pump can stop in any night of frost. A hole that stays open does not ask the pump.',
        }
      return {
        tasks: [...aid, ...feed],
        why:
          view.week < 10
            ? 'Wait for the season.'
            : 'Look that water moves and the hole is open. Leave the fish in peace.',
      }
    },
  },
  temptation: {
    name: 'Lock up and come back in spring',
    policy: (view) => ({
      tasks: view.week === 26 ? [...firstAid(view), task('vacuum', 'third')] : [],
      why: 'Nothing happens in winter.',
    }),
  },
}
