import type { UsualVisitType } from '../step'
import { ARRIVE, CHANGE_WATER, FINISH, NO_FOLLOW_UP, TEST, TEST_TAP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

/** For ponds whose filter runs through the winter. */
export const WINTER_SETUP = {
  key: 'winter-running',
  version: 1,
  steps: [
    ...ARRIVE,
    TEST,
    TEST_TAP,
    {
      key: 'skimmer',
      section: 'setUp',
      kind: 'do',
      words: 'winterRunningSkimmer',
    },
    { ...CHANGE_WATER, section: 'setUp' },
    {
      key: 'intake',
      section: 'setUp',
      kind: 'do',
      words: 'winterRunningIntake',
    },
    {
      key: 'deicer',
      section: 'setUp',
      kind: 'do',
      words: 'winterRunningDeicer',
    },
    {
      key: 'ice-watch',
      section: 'setUp',
      kind: 'do',
      words: 'winterRunningIceWatch',
    },
    { key: 'no-feed', section: 'setUp', kind: 'do', words: 'winterRunningNoFeed' },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
} as const satisfies UsualVisitType

/** @source house defaults; logged times correct the minutes */
export const WINTER_SETUP_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 2,
  timing: 'window',
  hands: { baseMin: 80, perM2Min: 0.4 },
  spoil: { baseM3: 0.05, perM2M3: 0.002 },
  fills: false,
  covers: [],
  takesAlong: ['routine'],
  after: [],
}
