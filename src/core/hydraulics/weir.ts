import { assertInRange, DomainError } from '../errors'

/** Inclusive input ranges; form schemas reuse them. */
export const WEIR_RANGE = { widthM: [0.02, 20], headM: [0, 0.5] } as const

const GRAVITY_M_PER_S2 = 9.80665
/** Rows of Kindsvater and Carter for a lip as wide as its channel, and for a narrow notch in a wide one. */
const LIP = { coefficient: 0.602, widthShiftM: -0.0009 } as const
const NOTCH = { coefficient: 0.587, widthShiftM: 0.0024 } as const
const HEAD_SHIFT_M = 0.001 // viscosity and surface tension, which rule thin sheets

const FRANCIS_COEFFICIENT = 1.84 // m^0.5/s
const WIDTH_LOSS_PER_CONTRACTION = 0.1 // of the head, -
/** Francis holds for crests at least so many heads wide: below, his contractions eat the width up. */
const FRANCIS_MIN_HEADS = 3

/**
 * Flow over a thin level lip such as a spillway stone; holds for lips narrower than the sheet is deep,
 * where Francis' subtraction of 0.1 h per contraction turns the width negative.
 * @param widthM crest length across the flow, m
 * @param headM water level above the crest, upstream of the drawdown, m
 * @param kind 'lip' as wide as its channel, 'notch' narrower than it
 * @returns flow, m³/h; 0 when headM is 0
 * @throws {DomainError} an argument is NaN or outside WEIR_RANGE
 * @source Kindsvater and Carter 1957, high crest (h/P → 0); Francis is shown beside it for b ≥ 3 h
 */
export function weirFlowM3PerH(widthM: number, headM: number, kind: 'lip' | 'notch' = 'lip'): number {
  assertInRange('widthM', widthM, WEIR_RANGE.widthM)
  assertInRange('headM', headM, WEIR_RANGE.headM)
  if (headM === 0) return 0
  const { coefficient, widthShiftM } = kind === 'lip' ? LIP : NOTCH
  const perSecond =
    (2 / 3) * coefficient * Math.sqrt(2 * GRAVITY_M_PER_S2) * (widthM + widthShiftM) * (headM + HEAD_SHIFT_M) ** 1.5
  return perSecond * 3600
}

export const francisHolds = (widthM: number, headM: number): boolean => widthM >= FRANCIS_MIN_HEADS * headM

/**
 * Flow over a sharp-crested weir.
 * @param contractions side contractions: 2 for a notch, 0 for a full-width crest
 * @returns flow, m³/h; 0 when headM is 0
 * @throws {DomainError} an argument is NaN or outside WEIR_RANGE, or the crest is narrower than FRANCIS_MIN_HEADS
 * heads
 * @source Francis 1883, as in any hydraulics handbook
 */
export function francisFlowM3PerH(widthM: number, headM: number, contractions: 0 | 1 | 2 = 2): number {
  assertInRange('widthM', widthM, WEIR_RANGE.widthM)
  assertInRange('headM', headM, WEIR_RANGE.headM)
  if (!francisHolds(widthM, headM))
    throw new DomainError('widthM', widthM, `at least ${FRANCIS_MIN_HEADS} times the head`)
  return FRANCIS_COEFFICIENT * (widthM - WIDTH_LOSS_PER_CONTRACTION * contractions * headM) * headM ** 1.5 * 3600
}
