import { type Cause, step } from '../cause'

/** What lies on the surface. */
export const SURFACE = {
  'foam-protein': {
    prior: 0.036,
    shows: { foam: 0.97, 'fed-much': 0.6, 'fish-many': 0.5 },
    remedies: [step('feedLessChangeQuarterWater', 1, 'routine')],
    betterDays: [2, 10],
  },
  'film-bacterial': {
    prior: 0.03,
    shows: { film: 0.97, 'film-breaks': 0.95, 'flow-less': 0.3 },
    remedies: [step('skimmerSurfaceFlow', 1, 'routine')],
    betterDays: [1, 7],
  },
  'film-oil': {
    prior: 0.015,
    shows: { film: 0.97, 'pump-noisy': 0.2 },
    remedies: [step('absorbentSheetsFindSource', 0, 'routine')],
    betterDays: [1, 5],
    urgent: true,
  },
} as const satisfies Record<string, Cause>
