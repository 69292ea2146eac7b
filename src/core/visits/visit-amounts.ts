import { fillTanMgL, type FillWater } from '../water/fill-water'
import { khDoseG } from '../water/dosing/doses'
import { dechlorinatorPortions, type Portions } from '../water/dosing/dechlorination'
import { cleanoutQuantities, type CleanoutKit, type CleanoutPond, type CleanoutQuantities } from './cleanout-quantities'
import { RAISE_KH_LIMITS } from './gates/raise-kh'
import { WATER_CHANGE_LIMITS } from '../water/water-change-gate'
import { SALT_LIMITS } from './gates/salt'

/** KH that ponds are brought to, °dH. @source house default, the lower end of 5–8 */
export const KH_TARGET_DH = 5
const KG_PER_M3 = 1000

export interface AmountsToday {
  /** Chlorine in the tap, mg/L, or null before it is tested. */
  readonly tapChlorineMgL: number | null
  /** Of it chloramine; null or missing: not tested. */
  readonly tapChloramineMgL?: number | null
  /** The site's fill water as it was last tested. */
  readonly fill?: FillWater | null
  readonly khDH: number | null
  /** Pond, streams, boxes and the filter's voids, m³. */
  readonly systemM3: number
  /** Between which it lies in four of five ponds, m³; missing in what a device kept from before it was known. */
  readonly systemRangeM3?: readonly [number, number]
  readonly planted: boolean
  /** Salt that the water holds already, as a share of it; null or missing: none is known of. */
  readonly salinity?: number | null
}

export interface VisitAmounts extends CleanoutQuantities {
  readonly systemM3: number
  readonly systemRangeM3: readonly [number, number]
  /** Ammonia that the new water brings once its chloramine is taken apart, mg/L TAN. */
  readonly newWaterTanMgL: number
  /** The most that may be changed at once. */
  readonly partialChange: {
    readonly volumeM3: number
    readonly outMinutes: number
    readonly inMinutes: number
    readonly dechlorinator: Portions
  }
  /** Salt for the winter where the house rules add any and plants allow, kg. */
  readonly winterSalt: { readonly kg: number; readonly share: number }
  /** What brings KH up by as much as one day allows; null while KH is not tested. */
  readonly khRise: {
    readonly riseDH: number
    readonly bicarbonateG: number
    readonly fromDH: number
    readonly targetDH: number
  } | null
}

/** Amounts of every visit type, from the pond as it is and what was tested today. */
export function visitAmounts(pond: CleanoutPond, kit: CleanoutKit, today: AmountsToday): VisitAmounts {
  const cleanout = cleanoutQuantities(pond, kit, today.tapChlorineMgL, today.fill?.chlorineMgL)
  const volumeM3 = today.systemM3 * WATER_CHANGE_LIMITS.share
  const plantsStand = today.planted ? SALT_LIMITS.planted : SALT_LIMITS.bare
  // salt leaves only with water: what is in it counts
  const saltShare = Math.max(0, Math.min(plantsStand, SALT_LIMITS.planted) - (today.salinity ?? 0))
  const riseDH = today.khDH === null ? 0 : Math.max(0, Math.min(RAISE_KH_LIMITS.riseDH, KH_TARGET_DH - today.khDH))
  return {
    ...cleanout,
    systemM3: today.systemM3,
    systemRangeM3: today.systemRangeM3 ?? [today.systemM3, today.systemM3],
    newWaterTanMgL: pond.sourceChlorinated
      ? fillTanMgL({
          chloramineMgL: today.tapChloramineMgL ?? today.fill?.chloramineMgL ?? null,
          chlorineMgL: today.tapChlorineMgL,
        })
      : 0,
    partialChange: {
      volumeM3,
      outMinutes: (volumeM3 / kit.pumpOutM3PerH) * 60,
      inMinutes: (volumeM3 / kit.hoseM3PerH) * 60,
      dechlorinator: dechlorinatorPortions({
        volumeM3,
        hoseM3PerH: kit.hoseM3PerH,
        riseM: pond.maxDepthM * WATER_CHANGE_LIMITS.share,
        freeChlorineMgL: cleanout.chlorineMgL,
      }),
    },
    winterSalt: { kg: today.systemM3 * KG_PER_M3 * saltShare, share: saltShare },
    khRise:
      today.khDH === null
        ? null
        : {
            riseDH,
            bicarbonateG: khDoseG(today.systemM3, today.khDH, today.khDH + riseDH),
            fromDH: today.khDH,
            targetDH: KH_TARGET_DH,
          },
  }
}
