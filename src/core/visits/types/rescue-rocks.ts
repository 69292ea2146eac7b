import { HEAVY } from '../step-amounts'
import { SLUDGE_SIGNS } from '../gates/deep-sludge'
import type { UsualVisitType } from '../step'
import { ARRIVE, CHANGE_WATER, FINISH, LOOK_AT_FISH, TEST_TAP } from './shared-steps'
import { FULL_TEST, BINDER, RAISE_KH, RETEST, AFTER } from './rescue-steps'
import type { JobPlanning } from '../planning-facts'

/** Last: stones and what lies under them, one section at a time. */
export const RESCUE_ROCKS = {
  key: 'rescue-rocks',
  version: 2,
  steps: [
    ...ARRIVE,
    FULL_TEST,
    TEST_TAP,
    { key: 'air', section: 'rocks', kind: 'do', words: 'rescueRocksAir' },
    {
      key: 'section',
      section: 'rocks',
      kind: 'decide',
      words: 'rescueRocksSection',
      amounts: { heavy: HEAVY },
      choices: [...SLUDGE_SIGNS],
      gate: 'deep-sludge',
    },
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
export const RESCUE_ROCKS_PLANNING: JobPlanning = {
  skills: ['fish'],
  kit: ['flush-pump'],
  value: 3,
  timing: 'by-hand',
  hands: { baseMin: 180, perM2Min: 1.2 },
  spoil: { baseM3: 0.3, perM2M3: 0.01 },
  fills: true,
  covers: [],
  takesAlong: [],
  after: [],
}
