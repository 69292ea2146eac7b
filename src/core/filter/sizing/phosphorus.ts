import { findRoot } from '../../numeric/root'
import type { MonthLoad } from '../load/monthly-load'
import { PHOSPHORUS_MODEL, type PhosphorusFigures } from './phosphorus-figures'
import { closedLoop } from './recirculating-model'

const MOST_MG_L = 1e4

export interface PhosphorusBed {
  readonly areaM2: number
  readonly flowM3PerH: number
  /** Water runs over it, not through stone. */
  readonly channel: boolean
  /** Peak uptake of the planting, g P a day. */
  readonly plantGPerD: number
}

/**
 * Dissolved phosphorus that a pond settles at in each month: the load against the bed, the planting in its season, and
 * what settles.
 * @param uptakeShares share of the planting's peak by month
 * @returns mg/L
 * @source P-k-C* for the bed, Vollenweider for the pond, Monod uptake
 */
export function monthlyPhosphorusMgL(
  months: readonly Pick<MonthLoad, 'phosphorusGPerD'>[],
  pondAreaM2: number,
  bed: PhosphorusBed,
  uptakeShares: readonly number[],
  { gravelMPerYear, channelMPerYear, settlingMPerYear }: PhosphorusFigures,
): number[] {
  const { tanks, backgroundMgL, halfSaturationMgL } = PHOSPHORUS_MODEL
  const ratePerYear = bed.channel ? channelMPerYear : gravelMPerYear
  const flowM3PerD = bed.flowM3PerH * 24
  const eta =
    bed.areaM2 > 0 && flowM3PerD > 0
      ? closedLoop({
          loadGPerD: 0,
          flowM3PerH: bed.flowM3PerH,
          bedVolumeM3: bed.areaM2,
          // per area instead of volume: the product is what counts
          ratePerD: ratePerYear / 365,
          tanks,
          backgroundMgL,
        }).eta
      : 0
  return months.map(({ phosphorusGPerD }, month) => {
    const removed = (c: number) =>
      flowM3PerD * eta * Math.max(0, c - backgroundMgL) +
      (settlingMPerYear / 365) * pondAreaM2 * c +
      bed.plantGPerD * uptakeShares[month]! * (c / (halfSaturationMgL + c))
    if (phosphorusGPerD <= 0) return 0
    return findRoot((c) => removed(c) - phosphorusGPerD, { low: 0, high: MOST_MG_L }, 1e-6).x
  })
}
