import { SLUDGE_SIGNS } from '../gates/deep-sludge'
import type { VisitType } from '../step'
import { ARRIVE, CHANGE_WATER, FINISH, LOOK_AT_FISH, TEST_TAP } from './shared-steps'
import { FULL_TEST, BINDER, RETEST, AFTER, NOTE } from './rescue-steps'
import type { JobPlanning } from '../planning-facts'

/** Last: stones and what lies under them, one section at a time. */
export const RESCUE_ROCKS: VisitType = {
  key: 'rescue-rocks',
  name: 'Rescue: one section of the rock piles',
  version: 1,
  steps: [
    ...ARRIVE,
    FULL_TEST,
    TEST_TAP,
    { key: 'air', section: 'Rocks', kind: 'do', title: 'Aerator running before a stone is moved' },
    {
      key: 'section',
      section: 'Rocks',
      kind: 'decide',
      title: 'One section: lift, siphon, reset',
      detail: 'A few square metres, no more. The next section is another visit.',
      choices: [...SLUDGE_SIGNS],
      gate: 'deep-sludge',
      safety: 'Two people or a machine for stones above {25|mass}. A smell of bad eggs: stop, ventilate, leave.',
    },
    CHANGE_WATER,
    BINDER,
    RETEST,
    LOOK_AT_FISH,
    ...FINISH,
  ],
  ...AFTER,
  customerNote: NOTE,
}

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
