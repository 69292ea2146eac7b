import type { TrainerScenario } from '../scenario'
import { aidWithAir, done, feedAt, firstAid, heatwave, NO_LAMP, sees, task, TRAINING_POND, weeksSince } from './parts'

/** The bed carries the fish again about so long after its bacteria died. */
const RECOVERY_WEEKS = 8

/** A pump that stood unseen for two weeks: fish alive, the bed dead and foul. */
export const outage: TrainerScenario = {
  key: 'outage',
  startsOn: '05-28',
  weeks: 13,
  minutesPerWeek: 120,
  pond: {
    ...TRAINING_POND,
    fallM: 0.5,
    filter: { ...TRAINING_POND.filter, wetShareStopped: 0.3 },
    fish: { ...TRAINING_POND.fish, massKg: 16, feedFromC: 8 },
  },
  fish: 18,
  start: 'settled',
  handedOver: [NO_LAMP, { kind: 'pump', running: false, daysBefore: 8 }, { kind: 'feed', factor: 0, daysBefore: 8 }],
  surprises: [
    {
      key: 'feeding',
      chance: 0.6,
      weeks: [1, 5],
      told: 'neighboursBoyFedWhile',
      deeds: [
        { kind: 'feed', factor: 3, day: 1 },
        { kind: 'feed', factor: 0.5, day: 5 },
      ],
    },
    heatwave('heat', 0.6, [4, 9], 7, 6),
    {
      key: 'storm',
      chance: 0.4,
      weeks: [2, 8],
      told: 'stormWashedHalfFlower',
      deeds: [{ kind: 'storm', rainMm: 45, siltGPerM3: 25, day: 4 }],
    },
  ],
  weights: { fish: 45, safe: 28, clear: 7, fed: 15, thrift: 5 },
  house: {
    policy: (view, test, past) => {
      const aid = firstAid(view)
      if (view.week === 0)
        return {
          tasks: [task('flush', 'once'), ...aidWithAir(view), task('bacteria', 'media'), ...feedAt(view, 0)],
          why: 'foulBedFlushedFirst',
        }
      const [tan, nitrite] = [test('tan'), test('nitrite')]
      const worst = Math.max(tan / 1, nitrite / 0.5)
      if (worst >= 1)
        return {
          tasks: [
            ...aid,
            ...feedAt(view, 0),
            task('water-change', 'third'),
            ...(nitrite >= 1 && !done(past, 'salt') ? [task('salt', 'tenth')] : []),
          ],
          why: 'ammoniaNitritePastLine',
        }
      if (view.week < RECOVERY_WEEKS)
        return { tasks: [...aid, ...feedAt(view, tan <= 0.25 && nitrite <= 0.1 ? 1 : 0.5)], why: 'testsSayHowMuch' }
      return {
        tasks: [
          ...aid,
          ...feedAt(view, 1),
          ...(sees(view, 'string-algae-much') && weeksSince(past, 'string-algae') > 2
            ? [task('string-algae', 'most')]
            : []),
        ],
        why: 'bedCarriesPondNow',
      }
    },
  },
  temptation: {
    policy: (view) => {
      if (view.week === 0)
        return { tasks: [task('pump', 'on'), task('rinse-media', 'tap'), ...feedAt(view, 1)], why: 'smellsSoRinseIt' }
      return { tasks: [...firstAid(view), ...feedAt(view, 1)], why: 'lookHungry' }
    },
  },
}
