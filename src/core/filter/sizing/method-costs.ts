import { estimate } from '../../pricing/estimate'
import type { PriceBook } from '../../pricing/price-book'
import type { DesignPond, FilterDesign } from '../design-input'
import { methodDesign } from '../first-design'
import { SIZING_METHODS, type FilterRules, type SizingMethod } from '../house-rules'
import type { CataloguePump } from '../flow/pump-catalogue'

export interface SizingMethodCost {
  readonly sizingMethod: SizingMethod
  /** null where nothing is pumped. */
  readonly pumpName: string | null
  /** Total of the estimate with tax, minor units; null without a price book. */
  readonly totalMinor: number | null
}

/** The bed each sizing method would begin with, of the same kind: its pump, and what it costs to build. */
export function methodCosts(
  pond: DesignPond,
  type: FilterDesign['type'],
  rules: FilterRules,
  pumps: readonly CataloguePump[],
  book: PriceBook | null,
): SizingMethodCost[] {
  return SIZING_METHODS.map((sizingMethod) => {
    const design = methodDesign(pond, sizingMethod, rules, pumps, type)
    return {
      sizingMethod,
      pumpName: pumps.find((p) => p.id === design.pumpId)?.name ?? null,
      totalMinor: book ? estimate(design, book, { pumps, rules, pond }).totalMinor : null,
    }
  })
}
