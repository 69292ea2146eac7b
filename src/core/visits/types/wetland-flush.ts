import { SLUDGE_SIGNS } from '../gates/deep-sludge'
import type { UsualVisitType } from '../step'
import { ARRIVE, FINISH, ISOLATE, TEST } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const WETLAND_FLUSH = {
  key: 'wetland-flush',
  version: 3,
  steps: [
    ...ARRIVE,
    ISOLATE,
    { ...TEST, readings: ['waterTemp', 'tan', 'nitrite', 'ph', 'clarityDepth'] },
    {
      key: 'sludge-before',
      section: 'flush',
      kind: 'measure',
      words: 'wetlandFlushSludgeBefore',
      readings: ['sludgeDepth'],
      required: ['sludgeDepth'],
    },
    {
      key: 'vault',
      section: 'flush',
      kind: 'decide',
      words: 'wetlandFlushVault',
      choices: [...SLUDGE_SIGNS],
      gate: 'deep-sludge',
    },
    {
      key: 'pump',
      section: 'flush',
      kind: 'timer',
      words: 'wetlandFlushPump',
      timerMinutes: 60,
      figures: ['flushedM3', 'minutesToClear', 'minutesEmpty'],
    },
    {
      key: 'colour',
      section: 'flush',
      kind: 'decide',
      words: 'wetlandFlushColour',
      choices: ['brown', 'dark', 'black'],
    },
    {
      key: 'check',
      section: 'flush',
      kind: 'do',
      words: 'wetlandFlushCheck',
    },
    {
      key: 'restart',
      section: 'flush',
      kind: 'do',
      words: 'wetlandFlushRestart',
    },
    ...FINISH,
  ],
  followUpDays: [3, 7],
  followUpReadings: ['tan', 'nitrite'],
} as const satisfies UsualVisitType

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
