import { type Cause, step } from '../cause'

/** A level that falls, water that goes astray. */
export const LEVEL = {
  evaporation: {
    prior: 0.042,
    shows: { 'level-falls': 0.85, 'bucket-falls': 0.95, 'falls-pump-off': 0.35, 'hot-days': 0.85 },
    remedies: [step('topUpDechlorinatedNothing', 0)],
    betterDays: [0, 1],
  },
  'leak-shell': {
    prior: 0.03,
    shows: { 'level-falls': 0.97, 'falls-pump-off': 0.95, 'wet-ground': 0.15, 'hot-days': 0.2 },
    remedies: [step('letFallStopsMark', 2, 'routine')],
    betterDays: null,
  },
  'leak-moving-water': {
    prior: 0.042,
    shows: {
      'level-falls': 0.97,
      'wet-ground': 0.75,
      'edge-low': 0.3,
      'hot-days': 0.2,
    },
    remedies: [step('walkFallsStreamEdge', 2, 'routine')],
    betterDays: [0, 2],
  },
  'falls-wrong-way': {
    prior: 0.018,
    shows: { 'wet-ground': 0.9, 'edge-low': 0.95, 'level-falls': 0.5 },
    remedies: [step('raiseEdgeBedLip', 3, 'routine')],
    betterDays: [0, 2],
  },
} as const satisfies Record<string, Cause>
