import { buildUpM } from './bed/bed-geometry'
import type { FilterDesign } from './design-input'
import { FILTER_TYPE_FACTS } from './types'

/** Heights over the pond's waterline, m: the one schedule that lift, falls, return, air break and drawings stand on. */
export interface Levels {
  readonly bedWaterM: number
  readonly stoneTopM: number
  readonly bedBaseM: number
  readonly groundM: number
  /** null where there is none. */
  readonly lipM: number | null
  readonly fallsFootM: number | null
  readonly returnEndM: number | null
  readonly airBreakM: number | null
}

type Levelled = Pick<
  FilterDesign,
  'type' | 'layers' | 'waterOverGravelM' | 'raisedM' | 'staticLiftM' | 'falls' | 'outlet' | 'airBreakM'
>

/** The level schedule of a design; the datum is the pond's waterline. */
export function levelsOf(design: Levelled): Levels {
  const bedWaterM = design.staticLiftM
  const stoneTopM = bedWaterM - design.waterOverGravelM
  const bedBaseM = stoneTopM - buildUpM(design.layers)
  return {
    bedWaterM,
    stoneTopM,
    bedBaseM,
    groundM: stoneTopM - design.raisedM,
    lipM: design.falls ? bedWaterM : null,
    fallsFootM: design.falls ? bedWaterM - design.falls.dropM : null,
    returnEndM: FILTER_TYPE_FACTS[design.type].pipedOutlet ? bedWaterM - design.outlet.dropM : null,
    airBreakM: design.airBreakM === null ? null : bedBaseM + design.airBreakM,
  }
}

/**
 * Height above the bed's base down to which it runs back when the pump stops: its air break, and never below the
 * pond's own level, m.
 */
export function drainsToM(design: Levelled): number {
  const { bedBaseM } = levelsOf(design)
  return Math.max(0, -bedBaseM, design.airBreakM ?? 0)
}
