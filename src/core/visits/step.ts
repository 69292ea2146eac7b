import type { CareAction } from '../plants/care-rules'
import type { StepFigure } from './figures'
import type { StepAmount } from './step-amounts'
import type { ProductPurpose } from '../water/dosing/products'
import type { ReadingKindName } from '../water/readings'
import type { VisitTypeKey } from './visit-type-keys'

export const STEP_KINDS = ['do', 'measure', 'dose', 'timer', 'photo', 'decide', 'count-fish', 'sign'] as const
export type StepKind = (typeof STEP_KINDS)[number]

/** Figures that a step shows, worked out for this pond and visit. */
export const STEP_QUANTITIES = [
  'holding-tank',
  'pump-out',
  'refill',
  'dechlorinator',
  'saved-water',
  'partial-change',
  'winter-salt',
  'kh-rise',
] as const
export type StepQuantity = (typeof STEP_QUANTITIES)[number]

export const STEP_GATES = [
  'fish-back-safe',
  'fish-handling',
  'raise-kh',
  'water-change',
  'salt',
  'media-clean',
  'algae-treatment',
  'deep-sludge',
  'feeding',
] as const
export type StepGate = (typeof STEP_GATES)[number]

/** One answer of a step that decides. */
export interface StepChoice {
  readonly code: string
  readonly label: string
}

/** What a step is and does, whatever it is called. */
interface StepFacts {
  readonly key: string
  readonly kind: StepKind
  readonly readings?: readonly ReadingKindName[]
  /** Of `readings`, those that must be given to finish the step. */
  readonly required?: readonly ReadingKindName[]
  /** What was done, in numbers. */
  readonly figures?: readonly StepFigure[]
  readonly quantity?: StepQuantity
  /** Products of the firm's book that may be given here, by what they are for. */
  readonly products?: readonly ProductPurpose[]
  readonly timerMinutes?: number
  /** Not done before its timer has run out. */
  readonly waits?: boolean
  /** Done again and again: each round is a line of its own. */
  readonly again?: boolean
  readonly gate?: StepGate
  /** Done once for all ponds of a stop. */
  readonly onceAtStop?: boolean
  /** Care of plants that is noted here, group by group. */
  readonly plants?: readonly CareAction[]
}

/** A step of a visit type as the program has it: its words stand in the catalogue under `words`. */
export interface UsualStep<Words extends string = string> extends StepFacts {
  readonly section: string
  readonly words: Words
  /** Quantities within the words, by the name that the words give them. */
  readonly amounts?: Readonly<Record<string, StepAmount>>
  /** Codes of what can be answered. */
  readonly choices?: readonly string[]
}

/**
 * One step of a job with its words, which are the firm's own to change. Quantities inside words stand as {0.3|length}
 * and are shown in the units of who reads them.
 */
export interface VisitStep extends StepFacts {
  readonly section: string
  readonly title: string
  readonly detail?: string
  /** What can hurt someone here. Shown with the step, never folded away. */
  readonly safety?: string
  /** What can be answered. Codes decide, labels are read: a firm may word them as it likes. */
  readonly choices?: readonly StepChoice[]
}

interface VisitTypeFacts {
  readonly key: VisitTypeKey
  readonly version: number
  /** Days after which a test should follow: earliest and latest. */
  readonly followUpDays: readonly [number, number]
  /** Readings that, taken together, answer the follow-up. */
  readonly followUpReadings: readonly ReadingKindName[]
}

/** A visit type as the program has it, without its words. */
export interface UsualVisitType<Words extends string = string> extends VisitTypeFacts {
  readonly steps: readonly UsualStep<Words>[]
}

/** A visit type in words: the usual one in the firm's language, or the firm's own. */
export interface VisitType extends VisitTypeFacts {
  readonly name: string
  readonly steps: readonly VisitStep[]
  readonly followUpTitle: string
  readonly customerNote: string
}
