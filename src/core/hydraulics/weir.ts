import { assertInRange } from '../errors'

/** Inclusive input ranges; form schemas reuse them. */
export const WEIR_RANGE = { widthM: [0.05, 20], headM: [0, 0.5] } as const

const FRANCIS_COEFFICIENT = 1.84 // m^0.5/s
const WIDTH_LOSS_PER_CONTRACTION = 0.1 // of the head, -

/**
 * Flow over a sharp-crested weir such as a stone spillway lip.
 * @param widthM crest length across the flow, m
 * @param headM water level above the crest, upstream of the drawdown, m
 * @param contractions side contractions: 2 for a notch, 0 for a full-width crest
 * @returns flow, m³/h; 0 when headM is 0
 * @throws {DomainError} an argument is NaN or outside WEIR_RANGE
 * @source Francis 1883, as in any hydraulics handbook
 */
export function weirFlowM3PerH(widthM: number, headM: number, contractions: 0 | 1 | 2 = 2): number {
  assertInRange('widthM', widthM, WEIR_RANGE.widthM)
  assertInRange('headM', headM, WEIR_RANGE.headM)
  const effectiveWidthM = Math.max(0, widthM - WIDTH_LOSS_PER_CONTRACTION * contractions * headM)
  return FRANCIS_COEFFICIENT * effectiveWidthM * headM ** 1.5 * 3600
}
