import { assertInRange, assertPositive } from '../errors'
import { holdingTank, type FishGroup } from '../fish/load'
import { USUAL_TAP_CHLORINE_MG_L } from '../water/fill-water'
import { dechlorinatorPortions, type Portions } from '../water/dosing/dechlorination'

/** What a crew brings. @source house defaults, editable later per truck */
export interface CleanoutKit {
  readonly pumpOutM3PerH: number
  readonly hoseM3PerH: number
  /** Share of the pond's water that is kept in tanks and put back. */
  readonly savedShare: number
}

export const DEFAULT_KIT: CleanoutKit = { pumpOutM3PerH: 18, hoseM3PerH: 2.2, savedShare: 0.08 }

export interface CleanoutPond {
  readonly waterM3: number
  readonly maxDepthM: number
  readonly fish: readonly FishGroup[]
  /** Well and rain water need no dechlorinator. */
  readonly sourceChlorinated: boolean
}

export interface CleanoutQuantities {
  readonly pumpOutMinutes: number
  readonly savedM3: number
  readonly refillM3: number
  readonly refillMinutes: number
  readonly holding: { readonly volumeM3: number; readonly minWidthM: number }
  /** Total chlorine of the new water, and where it is known from. */
  readonly chlorineMgL: number
  readonly chlorineFrom: 'test' | 'file' | 'usual'
  readonly dechlorinator: Portions
}

/**
 * Amounts and times of a whole-pond cleanout.
 * @param tapChlorineMgL today's test, or null before it is done
 * @param onFileMgL what the site's fill water last held, or null
 */
export function cleanoutQuantities(
  pond: CleanoutPond,
  kit: CleanoutKit,
  tapChlorineMgL: number | null,
  onFileMgL: number | null = null,
): CleanoutQuantities {
  assertPositive('waterM3', pond.waterM3)
  assertPositive('pumpOutM3PerH', kit.pumpOutM3PerH)
  assertPositive('hoseM3PerH', kit.hoseM3PerH)
  assertInRange('savedShare', kit.savedShare, [0, 0.9])
  const savedM3 = pond.waterM3 * kit.savedShare
  const refillM3 = pond.waterM3 - savedM3
  const chlorineMgL = pond.sourceChlorinated ? (tapChlorineMgL ?? onFileMgL ?? USUAL_TAP_CHLORINE_MG_L) : 0
  const chlorineFrom = () => {
    if (!pond.sourceChlorinated || tapChlorineMgL !== null) return 'test'
    return onFileMgL === null ? 'usual' : 'file'
  }
  return {
    pumpOutMinutes: (pond.waterM3 / kit.pumpOutM3PerH) * 60,
    savedM3,
    refillM3,
    refillMinutes: (refillM3 / kit.hoseM3PerH) * 60,
    holding: holdingTank(pond.fish),
    chlorineMgL,
    chlorineFrom: chlorineFrom(),
    dechlorinator: dechlorinatorPortions({
      volumeM3: refillM3,
      hoseM3PerH: kit.hoseM3PerH,
      riseM: pond.maxDepthM,
      freeChlorineMgL: chlorineMgL,
    }),
  }
}
