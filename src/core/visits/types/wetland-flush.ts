import { SLUDGE_SIGNS } from '../gates/deep-sludge'
import type { VisitType } from '../step'
import { ARRIVE, FINISH, ISOLATE, TEST } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const WETLAND_FLUSH: VisitType = {
  key: 'wetland-flush',
  name: 'Wetland flush',
  version: 2,
  steps: [
    ...ARRIVE,
    ISOLATE,
    { ...TEST, readings: ['waterTemp', 'tan', 'nitrite', 'ph', 'clarityDepth'] },
    {
      key: 'sludge-before',
      section: 'Flush',
      kind: 'measure',
      title: 'Measure the sludge in the vault',
      readings: ['sludgeDepth'],
      required: ['sludgeDepth'],
      safety: 'Deep vaults and tanks are confined spaces: no entry. Cover or guard the open vault.',
    },
    {
      key: 'vault',
      section: 'Flush',
      kind: 'decide',
      title: 'Lower the pump into the vault, stir from the far end toward it',
      detail: 'Or open the bottom valve.',
      choices: [...SLUDGE_SIGNS],
      gate: 'deep-sludge',
      safety: 'A smell of bad eggs: stop, ventilate, leave. Hydrogen sulfide numbs the nose before it harms.',
    },
    {
      key: 'pump',
      section: 'Flush',
      kind: 'timer',
      title: 'Pump to planting beds, rinse, repeat until it runs clear',
      timerMinutes: 60,
      figures: ['flushedM3', 'minutesToClear', 'minutesEmpty'],
      detail:
        'The bed must not stand empty for more than an hour: that is what this timer is for. Rinse with pond water, never with chlorinated water.',
      safety: 'Not to storm drains or streams unless the local rules allow it.',
    },
    {
      key: 'colour',
      section: 'Flush',
      kind: 'decide',
      title: 'Colour of the sludge',
      choices: [
        { code: 'brown', label: 'Brown, earthy' },
        { code: 'dark', label: 'Dark, peaty' },
        { code: 'black', label: 'Black, smelling' },
      ],
    },
    {
      key: 'check',
      section: 'Flush',
      kind: 'do',
      title: 'Distribution even, breather open, no roots in the pipe, top gravel level',
      detail: 'Water shows everywhere at the surface at the same time.',
    },
    {
      key: 'restart',
      section: 'Flush',
      kind: 'do',
      title: 'Pump on, bed full, flow over every edge',
      safety: 'Power back on only when everyone is out of the water.',
    },
    ...FINISH,
  ],
  followUpDays: [3, 7],
  followUpTitle: 'Test after the flush',
  followUpReadings: ['tan', 'nitrite'],
  customerNote: 'The water may be a little cloudy for a day.',
}

/** @source house defaults; logged times correct the minutes */
export const WETLAND_FLUSH_PLANNING: JobPlanning = {
  skills: [],
  kit: ['flush-pump'],
  value: 2,
  timing: 'interval',
  hands: { baseMin: 120, perM2Min: 0.6 },
  spoil: { baseM3: 0.05, perM2M3: 0 },
  fills: false,
  covers: [],
  takesAlong: ['routine', 'plant-care'],
  after: [{ job: 'spring-startup', minDays: 7, maxDays: 365 }],
}
