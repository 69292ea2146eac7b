import { CLOSED_LOOP } from '../sizing/recirculating-model'
import type { Passed } from './capture'
import { passRemoval, type NitrifyingAt } from './media'
import { isInline } from './train-unit'

/** The bed at the end of the pump's line. */
export interface BedPass {
  readonly flowM3PerH: number
  readonly stoneM3: number
  /** First-order rate of its stone at a temperature, 1/d. */
  readonly rateAt: (tempC: number) => number
}

/** Water that is freed of TAN, m³ a day: its removal per pass times its flow. */
export interface Cleared {
  readonly bedM3PerD: number
  /** Of each unit, in its order. */
  readonly unitsM3PerD: readonly number[]
  readonly totalM3PerD: number
}

/**
 * What bed and media together free of TAN: in the pump's line one after the other, each from what the one before left;
 * lines of their own beside it.
 * @param pumpM3PerH flow of the pump's line; the bed may get a part of it only
 */
export function clearedM3PerD(bed: BedPass, units: readonly Passed[], pumpM3PerH: number, at: NitrifyingAt): Cleared {
  let left = 1
  const unitsM3PerD = units.map((passed) => {
    const removal = passRemoval(passed, at)
    if (!isInline(passed.unit)) return removal * passed.flowM3PerH * 24
    const cleared = left * removal * (pumpM3PerH > 0 ? passed.flowM3PerH / pumpM3PerH : 0)
    left -= cleared
    return cleared * pumpM3PerH * 24
  })
  const bedM3PerD = left * bedRemoval(bed, at) * bed.flowM3PerH * 24
  return { bedM3PerD, unitsM3PerD, totalM3PerD: bedM3PerD + unitsM3PerD.reduce((sum, m3) => sum + m3, 0) }
}

/** Share of its TAN that water loses in one pass through the bed. @source P-k-C*, as in closedLoop */
function bedRemoval({ flowM3PerH, stoneM3, rateAt }: BedPass, { tempC, rate }: NitrifyingAt): number {
  if (flowM3PerH <= 0 || stoneM3 <= 0) return 0
  const { tanks } = CLOSED_LOOP
  return -Math.expm1(-tanks * Math.log1p((rate * rateAt(tempC) * stoneM3) / (tanks * flowM3PerH * 24)))
}
