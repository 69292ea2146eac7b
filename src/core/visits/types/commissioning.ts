import { FEEDING_ANSWERS } from '../gates/feeding'
import type { VisitType } from '../step'
import { ARRIVE, FINISH, NO_FOLLOW_UP, TEST } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

/** Every two or three days until the second clean week. */
export const COMMISSIONING: VisitType = {
  key: 'commissioning',
  name: 'New filter: commissioning test',
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
      section: 'Start',
      kind: 'decide',
      title: 'Feeding and stocking until the next test',
      detail: 'Up only after two clean tests in a row; ammonia or nitrite showing means none.',
      choices: [...FEEDING_ANSWERS],
      gate: 'feeding',
    },
    { key: 'flow', section: 'Start', kind: 'do', title: 'Flow, level, plants in the flow' },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote: 'The filter is still growing its bacteria. Please feed only as written on the sheet.',
}

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
