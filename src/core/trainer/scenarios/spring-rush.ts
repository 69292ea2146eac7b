import type { TrainerScenario } from '../scenario'
import { done, feedAt, firstAid, NO_LAMP, TRAINING_POND, sees, task, weeksSince } from './parts'

const WEDDING_DAY = 80

/** An hour a week between other ponds, cold bacteria, hungry fish, and a date. */
export const springRush: TrainerScenario = {
  key: 'spring-rush',
  startsOn: '03-10',
  weeks: 13,
  minutesPerWeek: 60,
  pond: { ...TRAINING_POND, fish: { ...TRAINING_POND.fish, massKg: 24, feedFromC: 7 } },
  fish: 16,
  start: 'settled',
  handedOver: [
    NO_LAMP,
    { kind: 'pump', running: false, daysBefore: 115 },
    { kind: 'ice-hole', open: true, daysBefore: 115 },
  ],
  surprises: [
    {
      key: 'feeding',
      chance: 0.7,
      weeks: [2, 5],
      told: 'cameUpSunnyDay',
      deeds: [{ kind: 'feed', factor: 2.5, day: 2 }],
    },
    {
      key: 'frost',
      chance: 0.5,
      weeks: [3, 6],
      told: 'frostCameBackWeek',
      deeds: [{ kind: 'heatwave', days: 6, warmerC: -7, day: 0 }],
    },
    {
      key: 'storm',
      chance: 0.5,
      weeks: [6, 9],
      told: 'gutterCameDownStorm',
      deeds: [{ kind: 'storm', rainMm: 40, siltGPerM3: 30, day: 3 }],
    },
  ],
  weights: { fish: 40, safe: 30, clearOn: 20, thrift: 10 },
  clearOn: { day: WEDDING_DAY, goal: 'spring-rush' },
  house: {
    policy: (view, test, past) => {
      if (sees(view, 'pump-stands'))
        return {
          tasks: [task('pump', 'on'), task('bacteria', 'media'), ...feedAt(view, 0)],
          why: 'firstPumpBacteriaNeed',
        }
      const aid = firstAid(view)
      if (!done(past, 'cut'))
        return {
          tasks: [...aid, task('cut', 'bed')],
          why: 'lastYearsStandComes',
        }
      const waterC = test('waterTemp')
      const nitrogen = waterC > 9 ? Math.max(test('tan') / 1, test('nitrite') / 0.5) : 0
      if (nitrogen >= 1)
        return {
          tasks: [...aid, ...feedAt(view, 0), task('water-change', 'tenth')],
          why: 'appetiteAheadBacteriaNo',
        }
      const feed = waterC < 10 ? feedAt(view, 0) : feedAt(view, waterC < 14 ? 0.5 : 1)
      const light = waterC >= 9 && !done(past, 'feed-kind') ? [task('feed-kind', 'light')] : []
      if (weeksSince(past, 'vacuum') > 2 && view.week <= 7)
        return {
          tasks: [...aid, ...feed, ...light, task('vacuum', 'third')],
          why: 'thirdFloorTimeBefore',
        }
      if (sees(view, 'water-murky') && view.week >= 8 && !done(past, 'uv'))
        return {
          tasks: [...aid, ...feed, task('uv', 'on')],
          why: 'greenNearDateHired',
        }
      if (sees(view, 'string-algae-much', 'string-algae-some') && weeksSince(past, 'string-algae') > 1)
        return {
          tasks: [...aid, ...feed, ...light, task('string-algae', 'most')],
          why: 'stringAlgaeTakeWhat',
        }
      return { tasks: [...aid, ...feed, ...light], why: 'nothingWouldSetBacteria' }
    },
  },
  temptation: {
    policy: (view) => {
      if (view.week === 0) return { tasks: [task('pump', 'on'), ...feedAt(view, 1)], why: 'lookHungry' }
      if (view.week === 9) return { tasks: [task('rinse-media', 'tap')], why: 'lastGoodRinseBefore' }
      if (view.week === 10) return { tasks: [task('algaecide', 'dose')], why: 'somethingAgainstGreen' }
      return { tasks: [], why: 'otherPondsLouder' }
    },
  },
}
