import type { UsualVisitType } from '../step'
import { ARRIVE, BACTERIA, CHANGE_WATER, FINISH, ISOLATE, LOOK_AT_FISH, RINSE_MEDIA, TEST_TAP } from './shared-steps'
import { FULL_TEST, BINDER, RAISE_KH, RETEST, AFTER } from './rescue-steps'
import type { JobPlanning } from '../planning-facts'

/** Third and fourth: half the biological media each, a week or more apart. */
export const RESCUE_HALF_MEDIA = {
  key: 'rescue-media',
  version: 2,
  steps: [
    ...ARRIVE,
    FULL_TEST,
    TEST_TAP,
    ISOLATE,
    RINSE_MEDIA,
    CHANGE_WATER,
    BINDER,
    RAISE_KH,
    { ...BACTERIA, section: 'water' },
    RETEST,
    LOOK_AT_FISH,
    ...FINISH,
  ],
  ...AFTER,
} as const satisfies UsualVisitType

/** @source house defaults; logged times correct the minutes */
export const RESCUE_HALF_MEDIA_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 3,
  timing: 'by-hand',
  hands: { baseMin: 120, perM2Min: 0.6 },
  spoil: { baseM3: 0.1, perM2M3: 0.002 },
  fills: true,
  covers: [],
  takesAlong: [],
  after: [],
}
