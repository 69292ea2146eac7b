import { FEEDING_ANSWERS } from '../gates/feeding'
import type { UsualVisitType } from '../step'
import { ARRIVE, FINISH, NO_FOLLOW_UP, TEST } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

/** Every two or three days until the second clean week. */
export const COMMISSIONING = {
  key: 'commissioning',
  version: 1,
  steps: [
    ...ARRIVE,
    {
      ...TEST,
      readings: ['waterTemp', 'ph', 'tan', 'nitrite', 'nitrate', 'kh', 'dissolvedOxygen', 'clarityDepth'],
      required: ['waterTemp', 'ph', 'tan', 'nitrite', 'kh'],
    },
    {
      key: 'ramp',
      section: 'start',
      kind: 'decide',
      words: 'commissioningRamp',
      choices: [...FEEDING_ANSWERS],
      gate: 'feeding',
    },
    { key: 'flow', section: 'start', kind: 'do', words: 'commissioningFlow' },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
} as const satisfies UsualVisitType

/** @source house defaults; logged times correct the minutes */
export const COMMISSIONING_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 2,
  timing: 'by-hand',
  hands: { baseMin: 40, perM2Min: 0.1 },
  spoil: { baseM3: 0, perM2M3: 0 },
  fills: false,
  covers: [],
  takesAlong: [],
  after: [],
}
