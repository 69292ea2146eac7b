import type { OutputName } from '../ecosystem/outputs'
import type { ReadingMethod } from '../water/test-methods'

/** How a kind of reading meets the model: which output it is, and on which scale both are compared. */
interface Observed {
  readonly output: OutputName
  /** Compared as they are, or as logarithms with a floor that a test kit cannot see below. */
  readonly floor: number | null
  /** How far reading and model part as a rule, on that scale: the unit in which misses are told. */
  readonly sd: number
  /**
   * How far two tests of one water part, beside the steps of the card: by the place, the hour and the eye; meters and
   * probes by their calibration.
   */
  readonly scatter: { readonly eye: number; readonly meter: number }
  /** How far a sound model of this pond stands off for weeks, on that scale. */
  readonly biasSd: number
}

/** @source strips and drops read to a step or half of one; a pond differs from place to place: house defaults */
export const OBSERVED = {
  waterTemp: { output: 'waterC', floor: null, sd: 1.2, scatter: { eye: 0.5, meter: 0.4 }, biasSd: 0.15 },
  tan: { output: 'tan', floor: 0.1, sd: 0.5, scatter: { eye: 0.15, meter: 0.1 }, biasSd: 0.06 },
  nitrite: { output: 'nitrite', floor: 0.05, sd: 0.6, scatter: { eye: 0.15, meter: 0.1 }, biasSd: 0.06 },
  nitrate: { output: 'nitrate', floor: 1, sd: 0.5, scatter: { eye: 0.2, meter: 0.1 }, biasSd: 0.08 },
  orthophosphate: { output: 'phosphate', floor: 0.05, sd: 0.7, scatter: { eye: 0.25, meter: 0.15 }, biasSd: 0.1 },
  dissolvedOxygen: { output: 'oxygen', floor: null, sd: 1.5, scatter: { eye: 0.6, meter: 0.4 }, biasSd: 0.15 },
  ph: { output: 'ph', floor: null, sd: 0.4, scatter: { eye: 0.15, meter: 0.1 }, biasSd: 0.06 },
  kh: { output: 'khDH', floor: 1, sd: 0.25, scatter: { eye: 0.1, meter: 0.05 }, biasSd: 0.04 },
  clarityDepth: { output: 'clarityM', floor: 0.05, sd: 0.4, scatter: { eye: 0.15, meter: 0.15 }, biasSd: 0.05 },
} as const satisfies Record<string, Observed>
export type ObservedKind = keyof typeof OBSERVED
export const OBSERVED_KINDS = Object.keys(OBSERVED) as ObservedKind[]

/** Standard deviation of a test on its kind's scale, beside the steps of its card. */
export const scatterOf = (kind: ObservedKind, method: ReadingMethod): number =>
  OBSERVED[kind].scatter[method === 'meter' || method === 'probe' ? 'meter' : 'eye']

/** What is seen so close to the floor is seen to the floor. @source house default: a step of the stick */
const TO_FLOOR = 0.95
export const seenToFloor = (clarityM: number, deepestM: number): boolean => clarityM >= TO_FLOOR * deepestM

/**
 * What can be read of a value at the pond: nothing is seen below the floor, however clear the water.
 * @param deepestM the pond's deepest water, m
 */
export const asRead = (kind: ObservedKind, value: number, deepestM: number): number =>
  kind === 'clarityDepth' ? Math.min(value, deepestM) : value

/** A value on the scale its kind is compared on. Infinity stays. */
export function onScale(kind: ObservedKind, value: number): number {
  const { floor } = OBSERVED[kind]
  return floor === null ? value : Math.log(Math.max(0, value) + floor)
}

/** The value again; never below 0 where the kind cannot be. */
export function offScale(kind: ObservedKind, scaled: number): number {
  const { floor } = OBSERVED[kind]
  return floor === null ? scaled : Math.max(0, Math.exp(scaled) - floor)
}

/** Difference of a model value from a reading, in what both part by as a rule. */
export const misfit = (kind: ObservedKind, model: number, read: number): number =>
  (onScale(kind, model) - onScale(kind, read)) / OBSERVED[kind].sd
