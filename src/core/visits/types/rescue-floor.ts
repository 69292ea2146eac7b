import { SLUDGE_SIGNS } from '../gates/deep-sludge'
import type { VisitType } from '../step'
import { ARRIVE, CHANGE_WATER, FINISH, LOOK_AT_FISH, TEST_TAP } from './shared-steps'
import { FULL_TEST, BINDER, RAISE_KH, RETEST, AFTER, NOTE } from './rescue-steps'
import type { JobPlanning } from '../planning-facts'

/** First visit: nothing but loose dirt and a part of the water. */
export const RESCUE_OPEN_FLOOR: VisitType = {
  key: 'rescue-floor',
  name: 'Rescue: open floor and first change',
  version: 1,
  steps: [
    ...ARRIVE,
    FULL_TEST,
    TEST_TAP,
    {
      key: 'air',
      section: 'Water',
      kind: 'do',
      title: 'Aerator in and running',
      safety: 'RCD/GFCI outlet and drip loop.',
    },
    {
      key: 'siphon',
      section: 'Water',
      kind: 'decide',
      title: 'Siphon the open floor only',
      detail: 'No stones lifted, no media touched. Stop where it stays black.',
      choices: [...SLUDGE_SIGNS],
      gate: 'deep-sludge',
      safety: 'Hydrogen sulfide from disturbed sludge: a smell of bad eggs means stop, ventilate, leave.',
    },
    CHANGE_WATER,
    BINDER,
    RAISE_KH,
    RETEST,
    LOOK_AT_FISH,
    ...FINISH,
  ],
  ...AFTER,
  customerNote: NOTE,
}

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
