import type { Hazard } from './hazards'
import type { ObservedKind } from './observed'

/**
 * What is forecast and can be tested the same way, with the hazard that a test of it tells. Toxic ammonia is forecast
 * as a day's highest, which no single test shows, and the level by no test at all.
 */
export const SCORED = {
  waterTemp: 'heat',
  tan: null,
  nitrite: 'nitrite',
  ph: null,
  dissolvedOxygen: 'oxygen',
  clarityDepth: 'murk',
} as const satisfies Partial<Record<ObservedKind, Hazard | null>>
export type ScoredKind = keyof typeof SCORED
export const SCORED_KINDS = Object.keys(SCORED) as ScoredKind[]
