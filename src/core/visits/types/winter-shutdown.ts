import { HEAVY } from '../step-amounts'
import type { UsualVisitType } from '../step'
import { ARRIVE, CHANGE_WATER, FINISH, ISOLATE, NO_FOLLOW_UP, TEST, TEST_TAP } from './shared-steps'
import type { JobPlanning } from '../planning-facts'

export const WINTER_SHUTDOWN = {
  key: 'winter-shutdown',
  version: 2,
  steps: [
    ...ARRIVE,
    ISOLATE,
    TEST,
    TEST_TAP,
    { key: 'drain', section: 'shutDown', kind: 'do', words: 'winterShutdownDrain' },
    {
      ...CHANGE_WATER,
      key: 'leaves',
      section: 'shutDown',
      words: 'winterShutdownLeaves',
    },
    {
      key: 'salt',
      section: 'shutDown',
      kind: 'dose',
      words: 'winterShutdownSalt',
      quantity: 'winter-salt',
      products: ['salt'],
      figures: ['saltKg'],
      readings: ['salinity'],
      gate: 'salt',
    },
    {
      key: 'store',
      section: 'shutDown',
      kind: 'do',
      words: 'winterShutdownStore',
      amounts: { heavy: HEAVY },
    },
    { key: 'caps', section: 'shutDown', kind: 'do', words: 'winterShutdownCaps' },
    {
      key: 'deicer',
      section: 'shutDown',
      kind: 'do',
      words: 'winterShutdownDeicer',
    },
    {
      key: 'falls-safe',
      section: 'shutDown',
      kind: 'do',
      words: 'winterShutdownFallsSafe',
    },
    { key: 'no-feed', section: 'shutDown', kind: 'do', words: 'winterRunningNoFeed' },
    ...FINISH,
  ],
  ...NO_FOLLOW_UP,
} as const satisfies UsualVisitType

/** @source house defaults; logged times correct the minutes */
export const WINTER_SHUTDOWN_PLANNING: JobPlanning = {
  skills: [],
  kit: [],
  value: 3,
  timing: 'window',
  hands: { baseMin: 150, perM2Min: 1.1 },
  spoil: { baseM3: 0.15, perM2M3: 0.006 },
  fills: true,
  covers: [],
  takesAlong: ['routine'],
  after: [{ job: 'netting', minDays: 1, maxDays: 365 }],
}
