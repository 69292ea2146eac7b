import type { BedLayer } from '../bed/layers'
import type { FilterDesign } from '../design-input'
import { FILTER_TYPE_FACTS, type FilterType } from '../types'
import { VESSEL_SIZES, vesselLayers } from '../types/vessel-sizes'

const STEP_M = 0.25 // beds are set out in quarter metres
const SMALL_STEP_M = 0.1 // planters in tenths
const SMALL_BED_M2 = 0.25
const LEAST_SIDE_M = 0.5
const LEAST_SMALL_SIDE_M = 0.2
const MOST_SIDE_M = 100
const SHORE_BAND_M = [0.6, 0.9, 1.2, 1.5] as const
const SMALL_BAND_M = 0.3
const MOST_VESSELS = 20
/** So many vessels stand together before larger ones are chosen. */
const VESSELS_AT_EASE = 4

export type PlanSize = Pick<FilterDesign, 'lengthM' | 'widthM' | 'vessels' | 'round'>

/** Up to whole steps; nothing is lost to the last digit. */
export const stepUp = (m: number, step = STEP_M): number =>
  Number((Math.max(1, Math.ceil(m / step - 1e-9)) * step).toFixed(2))

/** Plan size for an area in a type's usual shape. @param shoreM a band cannot be longer than the shore it lies along */
export function sizeFor(type: FilterType, areaM2: number, shoreM: number): PlanSize {
  const { alongShore, proportion } = FILTER_TYPE_FACTS[type]
  if (alongShore) {
    const longest = Math.min(MOST_SIDE_M, Math.floor(shoreM / STEP_M) * STEP_M || shoreM)
    if (areaM2 < SMALL_BED_M2)
      return {
        lengthM: Math.min(longest, stepUp(areaM2 / SMALL_BAND_M, SMALL_STEP_M)),
        widthM: SMALL_BAND_M,
        vessels: 1,
        round: false,
      }
    const widthM = SHORE_BAND_M.find((band) => areaM2 / band <= longest) ?? SHORE_BAND_M[SHORE_BAND_M.length - 1]!
    return {
      lengthM: Math.min(longest, Math.max(LEAST_SIDE_M, stepUp(areaM2 / widthM))),
      widthM,
      vessels: 1,
      round: false,
    }
  }
  const small = areaM2 < SMALL_BED_M2
  const [step, least] = small ? [SMALL_STEP_M, LEAST_SMALL_SIDE_M] : [STEP_M, LEAST_SIDE_M]
  const widthM = Math.min(MOST_SIDE_M, Math.max(least, stepUp(Math.sqrt(areaM2 / proportion), step)))
  return {
    lengthM: Math.min(MOST_SIDE_M, Math.max(least, stepUp(areaM2 / widthM, step))),
    widthM,
    vessels: 1,
    round: false,
  }
}

/**
 * Vessels for a design: the smallest size of which a few do, else the fewest of the largest.
 * @param areaFor area that is asked for with a size's layers, m²
 */
export function vesselsFor(areaFor: (layers: readonly BedLayer[]) => number): PlanSize & { layers: BedLayer[] } {
  const options = VESSEL_SIZES.map((size) => {
    const layers = vesselLayers(size)
    const one = (Math.PI * size.diameterM ** 2) / 4
    const count = Math.max(1, Math.ceil(areaFor(layers) / one - 1e-9))
    return { size, layers, count }
  })
  const chosen = options.find(({ count }) => count <= VESSELS_AT_EASE) ?? options[options.length - 1]!
  const { diameterM } = chosen.size
  return {
    lengthM: diameterM,
    widthM: diameterM,
    vessels: Math.min(MOST_VESSELS, chosen.count),
    round: true,
    layers: chosen.layers,
  }
}
