import type { TrainerScenario } from '../scenario'
import {
  aidWithAir,
  done,
  feedAt,
  firstAid,
  heatwave,
  NO_LAMP,
  powerCut,
  sees,
  task,
  TRAINING_POND,
  weeksSince,
} from './parts'

/** From this warmth on water holds little oxygen and fish need much of it, °C. */
const HOT_C = 24
/** Less than this before dawn is too little for a heatwave to come on top of, mg/L. */
const SCANT_OXYGEN = 6

/** Green water in high summer, many fish, and nights that take the oxygen. */
export const heat: TrainerScenario = {
  key: 'heat',
  startsOn: '06-18',
  weeks: 11,
  minutesPerWeek: 90,
  pond: {
    ...TRAINING_POND,
    shade: 0.02,
    fallM: 0.3,
    filter: { ...TRAINING_POND.filter, stoneM3: 1, areaM2: 2, flowM3PerH: 4, uvFlowM3PerH: 4 },
    fish: { ...TRAINING_POND.fish, massKg: 10, feedFromC: 8 },
  },
  fish: 20,
  start: 'green',
  handedOver: [NO_LAMP],
  surprises: [
    heatwave('heat', 1, [2, 5], 8, 7),
    heatwave('second-heat', 0.5, [7, 9], 7, 6),
    {
      key: 'feeding',
      chance: 0.6,
      weeks: [1, 6],
      told: 'beggedIGaveMore',
      deeds: [{ kind: 'feed', factor: 2.5, day: 1 }],
    },
    powerCut(0.4, [5, 9]),
  ],
  weights: { fish: 45, safe: 35, clear: 10, thrift: 10 },
  house: {
    policy: (view, test, past) => {
      const aid = firstAid(view)
      if (view.week === 0) return { tasks: [...aidWithAir(view), ...feedAt(view, 0.5)], why: 'airBeforeHeatComes' }
      const waterC = test('waterTemp')
      const oxygen = test('dissolvedOxygen')
      if (sees(view, 'fish-gasping', 'fish-at-falls') || oxygen < SCANT_OXYGEN / 2)
        return { tasks: [...aid, ...feedAt(view, 0), task('water-change', 'third')], why: 'fishShortOfAir' }
      if (waterC > HOT_C || oxygen < SCANT_OXYGEN)
        return { tasks: [...aid, ...feedAt(view, 0), task('water-change', 'tenth')], why: 'hotWaterHoldsLittle' }
      if (sees(view, 'water-murky') && !done(past, 'uv'))
        return { tasks: [...aid, task('uv', 'on'), ...feedAt(view, 0.5)], why: 'lampTakesGreenSlowly' }
      return {
        tasks: [
          ...aid,
          ...feedAt(view, 0.5),
          ...(sees(view, 'string-algae-much') && weeksSince(past, 'string-algae') > 2
            ? [task('string-algae', 'most')]
            : []),
        ],
        why: 'testsSayHowMuch',
      }
    },
  },
  temptation: {
    policy: (view) => {
      const green = sees(view, 'water-murky', 'water-hazy')
      return {
        tasks: [
          ...(sees(view, 'pump-stands') ? [task('pump', 'on')] : []),
          ...feedAt(view, 1),
          ...(green ? [task('algaecide', 'dose')] : []),
        ],
        why: green ? 'somethingAgainstGreen' : 'lookHungry',
      }
    },
  },
}
