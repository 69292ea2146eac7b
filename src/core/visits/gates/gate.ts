import type { FishBackReadings, FishBackReason } from '../fish-back-gate'
import type { StepFigure } from '../figures'
import type { WaterChangeReason } from '../../water/water-change-gate'
import type { FillWater } from '../../water/fill-water'
import type { ReadingKindName } from '../../water/readings'

/** Why a step has to wait. Every stop can be passed by a crew lead with a reason, and never silently. */
export type GateReason =
  | FishBackReason
  | WaterChangeReason
  | { readonly code: 'needs-test'; readonly missing: readonly ReadingKindName[] }
  | { readonly code: 'needs-figure'; readonly missing: readonly StepFigure[] }
  | { readonly code: 'rise-too-steep'; readonly riseDH: number; readonly mostDH: number }
  | { readonly code: 'ph-too-steep'; readonly risePh: number; readonly mostPh: number }
  | { readonly code: 'too-soon'; readonly hours: number; readonly leastHours: number }
  | { readonly code: 'too-salty'; readonly share: number; readonly mostShare: number }
  | { readonly code: 'media-at-once'; readonly share: number; readonly mostShare: number }
  | { readonly code: 'media-tap-water' }
  | { readonly code: 'night-oxygen'; readonly mgL: number; readonly leastMgL: number }
  | { readonly code: 'no-licence' }
  | { readonly code: 'die-off' }
  | { readonly code: 'sulfide-smell' }
  | { readonly code: 'gasping' }
  | { readonly code: 'needs-answer' }
  | { readonly code: 'timer-not-started'; readonly minutes: number }
  | { readonly code: 'timer-running'; readonly leftMin: number }
  | { readonly code: 'fish-missing'; readonly out: number; readonly back: number; readonly lost: number }
  | { readonly code: 'feed-ammonia'; readonly mgL: number; readonly limitMgL: number }
  | { readonly code: 'feed-nitrite'; readonly mgL: number; readonly limitMgL: number }
  | { readonly code: 'kh-low'; readonly khDH: number; readonly minDH: number }
  | { readonly code: 'dose-too-soon'; readonly product: string; readonly hours: number; readonly hoursAgo: number }
  | { readonly code: 'dose-course-over'; readonly product: string; readonly times: number; readonly days: number }

export type GateOutcome =
  | { readonly status: 'safe'; readonly nh3MgL?: number }
  | { readonly status: 'stop'; readonly reasons: readonly GateReason[] }

/** What gates judge by: today's tests, what the step is about to do, and the pond. */
export interface GateContext {
  /** Latest reading of each kind on this visit. */
  readonly readings: Partial<Readonly<Record<ReadingKindName, number>>>
  /** Readings of the test after refilling; nothing older. */
  readonly refilled: FishBackReadings
  readonly figures: Partial<Readonly<Record<StepFigure, number>>>
  readonly choice: string | null
  /** Pond, streams, boxes and the filter's voids, m³. */
  readonly systemM3: number
  /** Whether plants grow here that salt would harm. */
  readonly planted: boolean
  /** Hours since a part of the water was last changed here; null: never, as far as is known. */
  readonly hoursSinceChange: number | null
  /** Fish are out in tanks, as on a whole-pond cleanout. */
  readonly fishOut: boolean
  /**
   * The site's fill water as its file has it; null where it was never tested. Today's tests of the tap go before it.
   */
  readonly fill: FillWater | null
}

/** Whether a choice is one of a gate's codes; nothing chosen yet is asked for elsewhere. */
export const isAnswer = (choices: readonly string[], choice: string | null): boolean =>
  choice === null || choices.includes(choice)

const SAFE: GateOutcome = { status: 'safe' }
export const outcomeOf = (reasons: readonly GateReason[]): GateOutcome =>
  reasons.length === 0 ? SAFE : { status: 'stop', reasons }

/** Readings that must be there; the ones that are missing. */
export const missingReadings = (
  readings: GateContext['readings'],
  needed: readonly ReadingKindName[],
): ReadingKindName[] => needed.filter((kind) => readings[kind] === undefined)
