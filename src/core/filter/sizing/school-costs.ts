import { estimate } from '../../pricing/estimate'
import type { PriceBook } from '../../pricing/price-book'
import type { DesignPond, FilterDesign } from '../design-input'
import { firstDesign } from '../first-design'
import { SCHOOLS, type FilterPractice, type School } from '../house-rules'
import type { CataloguePump } from '../flow/pump-catalogue'

export interface SchoolCost {
  readonly school: School
  readonly pumpName: string
  /** Total of the estimate with tax, minor units; null without a price book. */
  readonly totalMinor: number | null
}

/** The bed each school would begin with, of the same kind: its pump, and what it costs to build. */
export function schoolCosts(
  pond: DesignPond,
  type: FilterDesign['type'],
  practice: FilterPractice,
  pumps: readonly CataloguePump[],
  book: PriceBook | null,
): SchoolCost[] {
  return SCHOOLS.map((school) => {
    const design = firstDesign(pond, school, practice, pumps, type)
    return {
      school,
      pumpName: pumps.find((p) => p.id === design.pumpId)!.name,
      totalMinor: book ? estimate(design, book, { pumps, pipes: practice.tables.pipes }).totalMinor : null,
    }
  })
}
