import { assertInRange } from '../../errors'
import { SCALE, type MeasuringUnit } from './measured-dose'

export const PORTION_RANGE = { doseG: [0, 1e9], riseMm: [0, 20_000], fillMin: [0, 20_000] } as const
/**
 * How a dose is split while water runs in.
 * @source house rule: treat water as it comes, in as many portions as a hand can give
 */
const PORTION_RULE = { everyRiseMm: 100, shares: 4, min: 2, max: 8 } as const

export interface Portion {
  /** Given when the water has risen so far, mm, or after so long, min, whichever is seen first. */
  readonly afterMm: number
  readonly afterMin: number
  readonly amountG: number
}

/**
 * A dose for water that runs in, split so that each portion is ahead of the water it treats: the first before any,
 * then one each
 * 100 mm of rise or quarter of the fill, whichever is fewer; 2 to 8 in all. They add up to the dose; the first is
 * never the smallest.
 * @param doseG whole dose, g (or mL)
 * @param unit what it is measured with; without one it is weighed to the gram
 * @throws {DomainError} an argument is NaN or out of PORTION_RANGE
 */
export function portions(doseG: number, riseMm: number, fillMin: number, unit: MeasuringUnit = SCALE): Portion[] {
  assertInRange('doseG', doseG, PORTION_RANGE.doseG)
  assertInRange('riseMm', riseMm, PORTION_RANGE.riseMm)
  assertInRange('fillMin', fillMin, PORTION_RANGE.fillMin)
  if (doseG === 0) return []
  const byRise = Math.ceil(riseMm / PORTION_RULE.everyRiseMm - 1e-9)
  const wanted = Math.min(PORTION_RULE.max, Math.max(PORTION_RULE.min, Math.min(byRise, PORTION_RULE.shares)))
  const part = unit.weightG * unit.smallestShare
  // fewer portions where the measure is too coarse for so many
  const count = Math.max(PORTION_RULE.min, Math.min(wanted, Math.floor(doseG / part + 1e-9)))
  const parts = Math.floor(doseG / count / part + 1e-9)
  const each = parts > 0 ? Number((parts * part).toPrecision(12)) : doseG / count
  return Array.from({ length: count }, (_, i) => ({
    afterMm: (i / count) * riseMm,
    afterMin: (i / count) * fillMin,
    amountG: i === 0 ? Number((doseG - each * (count - 1)).toPrecision(12)) : each,
  }))
}
