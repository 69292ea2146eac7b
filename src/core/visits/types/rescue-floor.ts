import { SLUDGE_SIGNS } from '../gates/deep-sludge'
import type { UsualVisitType } from '../step'
import { ARRIVE, CHANGE_WATER, FINISH, LOOK_AT_FISH, TEST_TAP } from './shared-steps'
import { FULL_TEST, BINDER, RAISE_KH, RETEST, AFTER } from './rescue-steps'
import type { JobPlanning } from '../planning-facts'

/** First visit: nothing but loose dirt and a part of the water. */
export const RESCUE_OPEN_FLOOR = {
  key: 'rescue-floor',
  version: 1,
  steps: [
    ...ARRIVE,
    FULL_TEST,
    TEST_TAP,
    {
      key: 'air',
      section: 'water',
      kind: 'do',
      words: 'rescueFloorAir',
    },
    {
      key: 'siphon',
      section: 'water',
      kind: 'decide',
      words: 'rescueFloorSiphon',
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
export const RESCUE_OPEN_FLOOR_PLANNING: JobPlanning = {
  skills: ['fish'],
  kit: ['flush-pump'],
  value: 3,
  timing: 'by-hand',
  hands: { baseMin: 150, perM2Min: 1.5 },
  spoil: { baseM3: 0.3, perM2M3: 0.01 },
  fills: true,
  covers: [],
  takesAlong: [],
  after: [],
}
