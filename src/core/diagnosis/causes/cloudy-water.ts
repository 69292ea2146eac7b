import { type Cause, dosed, step } from '../cause'

/** Water that is brown, muddy or milky. */
export const CLOUDY_WATER = {
  tannin: {
    prior: 0.06,
    shows: {
      'water-brown': 0.97,
      'leaves-in': 0.85,
      'wood-in': 0.35,
    },
    remedies: [dosed('carbon', step('leavesOutNetActivated', 2, 'routine')), step('leaveHarmsNothing')],
    betterDays: [7, 30],
  },
  'brown-overfed': {
    prior: 0.024,
    shows: {
      'water-brown': 0.95,
      'fed-much': 0.93,
      'leaves-in': 0.08,
      'wood-in': 0.02,
      foam: 0.4,
    },
    remedies: [step('feedLessChangeQuarter', 1, 'routine')],
    betterDays: [7, 30],
  },
  'mud-fish': {
    prior: 0.036,
    shows: {
      'water-muddy': 0.96,
      'fish-dig': 0.95,
      'glass-settles': 0.9,
      'rain-lately': 0.15,
      'stone-new': 0.03,
      'bank-washes-in': 0.04,
    },
    remedies: [step('coverSoilLooseFloor', 3, 'routine'), dosed('flocculant', step('bogDoesNotClear', 1, 'routine'))],
    betterDays: [2, 7],
  },
  'mud-runoff': {
    prior: 0.036,
    shows: {
      'water-muddy': 0.96,
      'rain-lately': 0.93,
      'bank-washes-in': 0.85,
      'glass-settles': 0.9,
      'fish-dig': 0.08,
      'stone-new': 0.04,
    },
    remedies: [step('raiseEdgeLeadWater', 3), dosed('flocculant', step('flocculantOnceLabel', 1, 'routine'))],
    betterDays: [1, 4],
  },
  'mud-stone': {
    prior: 0.03,
    shows: {
      'water-muddy': 0.85,
      'water-milky': 0.2,
      'stone-new': 0.97,
      'glass-settles': 0.9,
      'fish-dig': 0.05,
      'rain-lately': 0.15,
    },
    remedies: [dosed('flocculant', step('letSettleTwoDays', 2, 'routine'))],
    betterDays: [1, 4],
  },
  'milky-bloom': {
    prior: 0.039,
    shows: {
      'water-milky': 0.95,
      'oxygen-low': 0.5,
      'fish-gasp': 0.25,
      'ammonia-high': 0.2,
      'treated-lately': 0.8,
      'cleaned-lately': 0.35,
    },
    remedies: [step('airFeedNothingSome', 0), step('testOxygenAmmonia', 1, 'routine')],
    betterDays: [2, 7],
    urgent: true,
    testAtOnce: ['oxygen-low', 'ammonia-high'],
  },
} as const satisfies Record<string, Cause>
