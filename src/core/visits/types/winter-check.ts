import type { VisitType } from '../step'
import { ARRIVE, FINISH, NO_FOLLOW_UP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const WINTER_CHECK: VisitType = {
  key: 'winter-check',
  name: 'Winter check',
  version: 2,
  steps: [
    ...ARRIVE,
    {
      key: 'hole',
      section: 'Check',
      kind: 'decide',
      title: 'Is the hole in the ice open, the aerator on?',
      choices: [
        { code: 'open', label: 'Yes' },
        { code: 'opened', label: 'No: opened with warm water' },
        { code: 'no-ice', label: 'No ice' },
      ],
      safety: 'Never walk on the ice, never break it with blows; never work alone beside it.',
    },
    { key: 'level', section: 'Check', kind: 'measure', title: 'Level, and what it lost', figures: ['levelDropM'] },
    {
      key: 'dams',
      section: 'Check',
      kind: 'decide',
      title: 'Ice dams on running falls?',
      detail: 'Water that runs over an edge empties the pond in a night.',
      choices: [
        { code: 'none', label: 'None' },
        { code: 'cleared', label: 'Cleared' },
        { code: 'pump-off', label: 'Pump switched off' },
        { code: 'falls-off', label: 'Falls do not run' },
      ],
    },
    { key: 'snow', section: 'Check', kind: 'do', title: 'Snow off a part of the ice, so that light comes in' },
    { key: 'net-load', section: 'Check', kind: 'do', title: 'Net load: leaves and snow off, fixings tight' },
    {
      key: 'power',
      section: 'Check',
      kind: 'do',
      title: 'Power to de-icer and aerator',
      safety: 'A tripped RCD/GFCI is a fault: find it before switching on again.',
    },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
  customerNote: 'Keep a hole in the ice open; never break it with blows. Call us when fish lie at the surface.',
}

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
