import type { UsualVisitType } from '../step'
import { ARRIVE, CHANGE_WATER, FINISH, ISOLATE, LOOK_AT_FISH, TEST_TAP } from './shared-steps'
import { FULL_TEST, BINDER, RAISE_KH, RETEST, AFTER } from './rescue-steps'
import type { JobPlanning } from '../planning-facts'

/** Second: strainers and mechanical media, none of the living ones. */
export const RESCUE_STRAINERS = {
  key: 'rescue-strainers',
  version: 1,
  steps: [
    ...ARRIVE,
    FULL_TEST,
    TEST_TAP,
    ISOLATE,
    {
      key: 'strainers',
      section: 'filter',
      kind: 'do',
      words: 'rescueStrainersStrainers',
    },
    { key: 'pump-clean', section: 'filter', kind: 'do', words: 'rescueStrainersPumpClean' },
    CHANGE_WATER,
    BINDER,
    RAISE_KH,
    RETEST,
    LOOK_AT_FISH,
    ...FINISH,
  ],
  ...AFTER,
} as const satisfies UsualVisitType

/** @source house defaults; logged times correct the minutes */
export const RESCUE_STRAINERS_PLANNING: JobPlanning = {
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
