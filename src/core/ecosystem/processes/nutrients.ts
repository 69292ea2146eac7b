import { ALKALINITY_PER_AMMONIUM, STATE, type Composition } from '../states'

const { tan, nitrate, phosphate, alkalinity } = STATE

/**
 * Plants and algae take ammonia before nitrate: how many times rather.
 * @source usual preference factor of lake models
 */
const AMMONIA_PREFERENCE = 5
/** The last alkalinity is not used up, mg/L: keeps it above zero. */
const LAST_ALKALINITY_MG_L = 2

/** The scarcer of nitrogen and phosphorus by Monod, 0..1 (Liebig's law of the minimum). */
export function nutrientShare(
  nitrogenMgL: number,
  phosphorusMgL: number,
  nitrogenHalf: number,
  phosphorusHalf: number,
): number {
  const n = nitrogenMgL / (nitrogenHalf + nitrogenMgL)
  const p = phosphorusMgL / (phosphorusHalf + phosphorusMgL)
  return n < p ? n : p
}

/**
 * Takes the nutrients of so much new growth out of the water, ammonia first; ammonium taken lowers alkalinity,
 * nitrate raises it.
 */
export function takeNutrients(
  y: Float64Array,
  dy: Float64Array,
  perM3: number,
  grownGPerD: number,
  content: Composition,
): void {
  const ammonia = AMMONIA_PREFERENCE * y[tan]!
  const share = ammonia / (ammonia + y[nitrate]! + 1e-12)
  const taken = grownGPerD * content.nitrogen
  dy[tan]! -= taken * share
  dy[nitrate]! -= taken * (1 - share)
  dy[phosphate]! -= grownGPerD * content.phosphorus
  const change = ALKALINITY_PER_AMMONIUM * taken * (1 - 2 * share)
  const left = y[alkalinity]! * perM3
  dy[alkalinity]! += change < 0 ? (change * left) / (LAST_ALKALINITY_MG_L + left) : change
}
