import { type Cause, dosed, step } from '../cause'

const GREEN = { 'water-green': 0.97, 'glass-stays-green': 0.95, 'ph-high': 0.4 } as const

/** Water green with single-celled algae. */
export const GREEN_WATER = {
  'green-filter-small': {
    prior: 0.15,
    shows: { ...GREEN, 'filter-small': 0.95, 'fish-many': 0.45 },
    remedies: [
      step('sizeFilterCarriesPond', 0),
      step('flushBed', 3, 'wetland-flush'),
      step('lookTestAgain', 14, 'routine'),
    ],
    betterDays: [7, 21],
  },
  'green-filter-young': {
    prior: 0.08,
    shows: { ...GREEN, 'filter-new': 0.96 },
    remedies: [step('waitFeedLittleSeed', 0, 'routine'), step('lookTestAgain', 21, 'routine')],
    betterDays: [21, 70],
    byWarmth: true,
  },
  'green-cleaned': {
    prior: 0.07,
    shows: { ...GREEN, 'cleaned-lately': 0.96, 'filter-new': 0.04 },
    remedies: [
      dosed('bacteria', step('seedBacteriaFeedLittle', 0, 'routine')),
      step('testAmmoniaNitrite', 7, 'routine'),
    ],
    betterDays: [21, 42],
    byWarmth: true,
  },
  'green-overfed': {
    prior: 0.12,
    shows: {
      ...GREEN,
      'fed-much': 0.9,
      'fish-many': 0.4,
      'nitrate-high': 0.3,
      'phosphate-high': 0.3,
    },
    remedies: [
      step('halveFeedFindHomes', 0),
      step('changeQuarterWater', 1, 'routine'),
      step('lookTestAgain', 14, 'routine'),
    ],
    betterDays: [14, 42],
  },
  'green-few-plants': {
    prior: 0.1,
    shows: {
      ...GREEN,
      'plants-few': 0.97,
    },
    remedies: [step('plantBedEdgesFloating', 2, 'plant-care'), step('lookAgain', 28, 'routine')],
    betterDays: [21, 60],
  },
  'lamp-aged': {
    prior: 0.045,
    shows: {
      ...GREEN,
      'lamp-fitted': 0.99,
      'lamp-old': 0.96,
    },
    remedies: [step('newLampCleanSleeve', 1, 'routine'), step('lookAgain', 7, 'routine')],
    betterDays: [3, 10],
    specialist: 'electrician',
  },
} as const satisfies Record<string, Cause>
