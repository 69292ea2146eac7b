import type { OutputName } from '../ecosystem/outputs'

/** How a kind of reading meets the model: which output it is, and how far both may part without anyone being wrong. */
interface Observed {
  readonly output: OutputName
  /** Compared as they are, or as logarithms with a floor that a test kit cannot see below. */
  readonly floor: number | null
  /** Standard deviation of reading and model together on that scale. */
  readonly sd: number
}

/** @source strips and drops read to a step or half of one; a pond differs from place to place: house defaults */
export const OBSERVED = {
  waterTemp: { output: 'waterC', floor: null, sd: 1.2 },
  tan: { output: 'tan', floor: 0.1, sd: 0.5 },
  nitrite: { output: 'nitrite', floor: 0.05, sd: 0.6 },
  nitrate: { output: 'nitrate', floor: 1, sd: 0.5 },
  orthophosphate: { output: 'phosphate', floor: 0.05, sd: 0.7 },
  dissolvedOxygen: { output: 'oxygen', floor: null, sd: 1.5 },
  ph: { output: 'ph', floor: null, sd: 0.4 },
  kh: { output: 'khDH', floor: 1, sd: 0.25 },
  clarityDepth: { output: 'clarityM', floor: 0.05, sd: 0.4 },
} as const satisfies Record<string, Observed>
export type ObservedKind = keyof typeof OBSERVED
export const OBSERVED_KINDS = Object.keys(OBSERVED) as ObservedKind[]

/** A hand that is seen so close to the floor is seen to the floor. @source house default: a step of the stick */
const TO_FLOOR = 0.95
export const seenToFloor = (clarityM: number, deepestM: number): boolean => clarityM >= TO_FLOOR * deepestM

/**
 * What can be read of a value at the pond: no hand is seen below the floor, however clear the water.
 * @param deepestM the pond's deepest water, m
 */
export const asRead = (kind: ObservedKind, value: number, deepestM: number): number =>
  kind === 'clarityDepth' ? Math.min(value, deepestM) : value

/**
 * A model value with a pond's own bias taken off; the bias is in standard deviations on the kind's scale. Never below
 * 0 where the model is not.
 */
export function withoutBias(kind: ObservedKind, model: number, bias: number): number {
  const { floor, sd } = OBSERVED[kind]
  if (floor === null) return model - bias * sd
  return Math.max(0, Math.exp(Math.log(model + floor) - bias * sd) - floor)
}

/** Difference of a model value from a reading in standard deviations. */
export function misfit(kind: ObservedKind, model: number, read: number): number {
  const { floor, sd } = OBSERVED[kind]
  return floor === null ? (model - read) / sd : (Math.log(model + floor) - Math.log(read + floor)) / sd
}
