import { type Cause, step } from '../cause'

/** Strings, mats, scum and floating leaves. */
export const OTHER_ALGAE = {
  'string-algae': {
    prior: 0.09,
    shows: { 'string-algae': 0.97, 'plants-few': 0.4, 'leaves-in': 0.3 },
    remedies: [step('pullWhereHidesLook', 1, 'routine'), step('shadePlantsLessFeed', 14, 'plant-care')],
    betterDays: [30, 120],
  },
  'ioniser-worn': {
    prior: 0.03,
    shows: { 'string-algae': 0.95, 'ioniser-fitted': 0.99, 'ioniser-low': 0.95 },
    remedies: [step('cleanChangeProbeSet', 1, 'routine')],
    betterDays: [10, 30],
  },
  duckweed: {
    prior: 0.027,
    shows: { duckweed: 0.98, 'fed-much': 0.3, 'leaves-in': 0.35 },
    remedies: [step('takeOffNetAgain', 2, 'routine'), step('moreSurfaceFlow', 2)],
    betterDays: [14, 60],
  },
  'blue-greens': {
    prior: 0.012,
    shows: {
      'scum-blue-green': 0.95,
      'water-green': 0.5,
      'ph-high': 0.5,
      'smell-eggs': 0.1,
      'fish-gasp': 0.15,
      'hot-days': 0.85,
      'water-cold': 0.02,
    },
    remedies: [step('keepOutOfScum'), step('laboratoryScum', 0), step('lookTestAgain', 7, 'routine')],
    betterDays: [7, 60],
    urgent: true,
  },
} as const satisfies Record<string, Cause>
