import type { UsualVisitType } from '../step'
import { ARRIVE, FINISH, NO_FOLLOW_UP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const WINTER_CHECK = {
  key: 'winter-check',
  version: 2,
  steps: [
    ...ARRIVE,
    {
      key: 'hole',
      section: 'check',
      kind: 'decide',
      words: 'winterCheckHole',
      choices: ['open', 'opened', 'no-ice'],
    },
    { key: 'level', section: 'check', kind: 'measure', words: 'winterCheckLevel', figures: ['levelDropM'] },
    {
      key: 'dams',
      section: 'check',
      kind: 'decide',
      words: 'winterCheckDams',
      choices: ['none', 'cleared', 'pump-off', 'falls-off'],
    },
    { key: 'snow', section: 'check', kind: 'do', words: 'winterCheckSnow' },
    { key: 'net-load', section: 'check', kind: 'do', words: 'winterCheckNetLoad' },
    {
      key: 'power',
      section: 'check',
      kind: 'do',
      words: 'winterCheckPower',
    },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
} as const satisfies UsualVisitType

/** @source house defaults; logged times correct the minutes */
export const WINTER_CHECK_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 1,
  timing: 'interval',
  hands: { baseMin: 40, perM2Min: 0.1 },
  spoil: { baseM3: 0.01, perM2M3: 0 },
  fills: false,
  covers: [],
  takesAlong: [],
  after: [],
}
