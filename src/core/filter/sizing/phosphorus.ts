import { findRoot } from '../../numeric/root'
import type { MonthLoad } from '../load/monthly-load'
import { closedLoop } from './recirculating-model'

/** What takes phosphorus out of a pond. */
export const PHOSPHORUS = {
  /** Areal rate of a planted gravel bed, and of a shallow planted channel, m a year. @source Kadlec & Wallace, TP */
  gravelMPerYear: 20,
  channelMPerYear: 12,
  /** Tanks in series and the least a wetland leaves, mg/L. @source Kadlec & Wallace */
  tanks: 3,
  backgroundMgL: 0.002,
  /** Apparent settling with algae and detritus over the pond's surface, m a year. @source Vollenweider 1975, lakes */
  settlingMPerYear: 10,
  /** Half-saturation of plant uptake, mg/L. @source macrophyte and algae uptake studies */
  halfSaturationMgL: 0.01,
} as const

/** What a swimming pond is held to, mg/L: clear from the lower, algae bloom past the upper. @source domain default */
export const PHOSPHORUS_TARGET = { goodMgL: 0.01, mostMgL: 0.03 } as const

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
): number[] {
  const { tanks, backgroundMgL, settlingMPerYear, halfSaturationMgL } = PHOSPHORUS
  const ratePerYear = bed.channel ? PHOSPHORUS.channelMPerYear : PHOSPHORUS.gravelMPerYear
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
