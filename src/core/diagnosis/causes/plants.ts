import { type Cause, step } from '../cause'

/** Plants that fare badly, or too well. */
export const PLANTS = {
  'plants-bypassed': {
    prior: 0.036,
    shows: { 'plants-pale': 0.96, 'pale-in-a-row': 0.7, 'roots-dry': 0.85, 'nitrate-low': 0.15, 'water-cold': 0.1 },
    remedies: [step('raiseWaterSplitFlow', 3, 'plant-care')],
    betterDays: [21, 60],
  },
  'plants-hungry': {
    prior: 0.03,
    shows: {
      'plants-pale': 0.96,
      'nitrate-low': 0.95,
      'fish-many': 0.03,
      'water-cold': 0.1,
    },
    remedies: [step('tabletsSoilLiliesOtherwise', 2, 'plant-care')],
    betterDays: [14, 45],
  },
  'plants-cold': {
    prior: 0.027,
    shows: { 'plants-pale': 0.93, 'water-cold': 0.97, 'nitrate-low': 0.15 },
    remedies: [step('waitFor15C', 14)],
    betterDays: [14, 45],
  },
  'plants-ph': {
    prior: 0.015,
    shows: {
      'plants-pale': 0.95,
      'ph-high': 0.95,
      'nitrate-low': 0.12,
      'water-cold': 0.08,
    },
    remedies: [step('chelatedIronSoilLess', 2, 'plant-care')],
    betterDays: [14, 45],
  },
  'plants-rampant': {
    prior: 0.033,
    shows: { 'plants-rampant': 0.97, 'flow-less': 0.4 },
    remedies: [step('pullBackFromScreens', 2, 'plant-care')],
    betterDays: [0, 1],
  },
} as const satisfies Record<string, Cause>
