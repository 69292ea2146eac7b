import { BUCKET, CLEAR_OF_MOUTHS, GROWING_WATER } from '../step-amounts'
import type { UsualVisitType } from '../step'
import { ARRIVE, FINISH, NO_FOLLOW_UP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const PLANT_CARE = {
  key: 'plant-care',
  version: 3,
  steps: [
    ...ARRIVE,
    {
      key: 'spreaders',
      section: 'plants',
      kind: 'do',
      words: 'plantCareSpreaders',
      amounts: { clear: CLEAR_OF_MOUTHS },
      plants: ['pull-back'],
    },
    {
      key: 'deadhead',
      section: 'plants',
      kind: 'do',
      words: 'plantCareDeadhead',
      plants: ['deadhead', 'tidy'],
    },
    {
      key: 'floating',
      section: 'plants',
      kind: 'measure',
      words: 'plantCareFloating',
      figures: ['coverShare'],
      plants: ['thin'],
    },
    {
      key: 'divide',
      section: 'plants',
      kind: 'do',
      words: 'plantCareDivide',
      plants: ['divide'],
    },
    {
      key: 'season',
      section: 'plants',
      kind: 'do',
      words: 'plantCareSeason',
      plants: ['lift', 'cut-back', 'plant-out'],
    },
    {
      key: 'feed',
      section: 'plants',
      kind: 'dose',
      words: 'plantCareFeed',
      amounts: { warm: GROWING_WATER },
      plants: ['feed'],
    },
    {
      key: 'pale',
      section: 'plants',
      kind: 'decide',
      words: 'plantCarePale',
      plants: ['look-at-roots'],
      choices: ['green', 'pale-wet', 'pale-dry', 'rampant'],
    },
    {
      key: 'cuttings',
      section: 'plants',
      kind: 'measure',
      words: 'plantCareCuttings',
      amounts: { bucket: BUCKET },
      figures: ['cuttingBuckets'],
    },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
} as const satisfies UsualVisitType

/** @source house defaults; logged times correct the minutes */
export const PLANT_CARE_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 1,
  timing: 'interval',
  hands: { baseMin: 50, perM2Min: 1.2 },
  spoil: { baseM3: 0.1, perM2M3: 0.004 },
  fills: false,
  covers: [],
  takesAlong: [],
  after: [],
}
