import type { TrainerScenario } from '../scenario'
import { aidWithAir, done, feedAt, firstAid, heatwave, NO_LAMP, sees, task, TRAINING_POND, weeksSince } from './parts'

/** Sludge to the ankles, a bed full of it, and bacteria that are all the fish have. */
export const neglected: TrainerScenario = {
  key: 'neglected',
  startsOn: '04-15',
  weeks: 18,
  minutesPerWeek: 240,
  pond: {
    ...TRAINING_POND,
    leafKgPerYear: 7,
    leafKeptShare: 0.2,
    fallM: 1,
    fish: { ...TRAINING_POND.fish, massKg: 30, feedFromC: 7 },
    source: { ...TRAINING_POND.source, alkalinityMgL: 170 },
  },
  fish: 16,
  start: 'neglected',
  handedOver: [NO_LAMP],
  surprises: [
    heatwave('heat', 0.7, [8, 14], 7, 6),
    {
      key: 'storm',
      chance: 0.6,
      weeks: [3, 12],
      told: 'stormWashedHalfFlower',
      deeds: [{ kind: 'storm', rainMm: 45, siltGPerM3: 25, day: 4 }],
    },
    {
      key: 'feeding',
      chance: 0.5,
      weeks: [2, 10],
      told: 'beggedIGaveMore',
      deeds: [{ kind: 'feed', factor: 2, day: 1 }],
    },
  ],
  weights: { fish: 40, safe: 25, clean: 20, fed: 5, thrift: 10 },
  house: {
    policy: (view, test, past) => {
      const aid = view.week === 0 ? aidWithAir(view) : firstAid(view)
      if (sees(view, 'fish-gasping', 'fish-at-falls'))
        return {
          tasks: [...aid, ...feedAt(view, 0), task('water-change', 'third')],
          why: 'fishShortOfAir',
        }
      const [tan, nitrite] = view.week < 12 || view.told.length > 0 ? [test('tan'), test('nitrite')] : [0, 0]
      if (tan >= 1 || nitrite >= 0.5)
        return {
          tasks: [
            ...aid,
            ...feedAt(view, 0.5),
            task('water-change', 'third'),
            ...(nitrite >= 1 && !done(past, 'salt') ? [task('salt', 'tenth')] : []),
          ],
          why: 'waterPastLineNothing',
        }
      const feed = feedAt(view, view.week < 6 ? 0.5 : 1)
      const string = sees(view, 'string-algae-much', 'string-algae-some') ? [task('string-algae', 'most')] : []
      if (view.week % 2 === 0 && view.week <= 8)
        return {
          tasks: [...aid, ...feed, ...string, task('vacuum', 'third'), task('water-change', 'third')],
          why: view.week === 0 ? 'airFirstMuchSludge' : 'thirdFloorThirdWater',
        }
      if ((view.week === 1 || view.week === 5) && !done(past.slice(-2), 'rinse-media'))
        return {
          tasks: [...aid, ...feed, ...string, task('rinse-media', 'half')],
          why: 'halfMediaPondWater',
        }
      if (view.week === 3)
        return {
          tasks: [...aid, ...feed, task('flush', 'once')],
          why: 'bedFlushedFromBelow',
        }
      return {
        tasks: [...aid, ...feed, ...(weeksSince(past, 'string-algae') > 2 ? string : [])],
        why: view.week < 12 ? 'betweenTwoStagesPond' : 'doneLookLetSettle',
      }
    },
  },
  temptation: {
    policy: (view) => ({
      tasks: view.week === 0 ? [task('overhaul', 'day')] : [...firstAid(view), ...feedAt(view, 1)],
      why: 'oneHardDayDone',
    }),
  },
}
