import type { DesignPond, FilterDesign } from '../filter/design-input'
import { heaterKw } from '../filter/heater'
import { evaluateSitePlan, type SitePlanResult } from '../site-plan/evaluate-site-plan'
import type { FilterRules } from '../filter/house-rules'
import type { CataloguePump } from '../filter/flow/pump-catalogue'
import { labourOf, materialsOf, type Need } from './materials'
import { SUNDRIES_SHARE, type PriceBook, type PriceItem } from './price-book'

interface EstimateLine {
  readonly key: string
  readonly group: PriceItem['group']
  readonly name: string
  readonly unit: string
  readonly exact: number
  /** With waste, rounded up to stock. */
  readonly quantity: number
  readonly costMinor: number
  readonly totalMinor: number
}

export interface Estimate {
  readonly currency: string
  readonly lines: readonly EstimateLine[]
  readonly materialsMinor: number
  readonly labourMinor: number
  readonly labourH: number
  readonly markupMinor: number
  readonly netMinor: number
  readonly taxMinor: number
  readonly totalMinor: number
  /** Needs that the price book does not know; a total that leaves them out says so. */
  readonly unpriced: readonly string[]
}

const known = new WeakMap<PriceBook['items'], ReadonlyMap<string, PriceItem>>()

/** Lines of a book by their key; a book is looked through once, however many designs it prices. */
function itemsOf({ items }: PriceBook): ReadonlyMap<string, PriceItem> {
  const found = known.get(items) ?? new Map(items.map((item) => [item.key, item]))
  known.set(items, found)
  return found
}

/** Materials, labour and price of a design. Money is whole minor units; each line is rounded, sums are exact. */
// eslint-disable-next-line max-lines-per-function -- one sum, line by line
export function estimate(
  design: FilterDesign,
  book: PriceBook,
  {
    pumps,
    rules,
    pond,
    sitePlan = evaluateSitePlan(design, pond.ground),
  }: {
    readonly pumps: readonly CataloguePump[]
    readonly rules: Pick<FilterRules, 'tables' | 'materials' | 'production'>
    /** What a heater is sized by, and the ground that the design stands on. */
    readonly pond: Pick<DesignPond, 'areaM2' | 'monthlyTempC' | 'ground'>
    /** Where the design was worked through already. */
    readonly sitePlan?: SitePlanResult | null
  },
): Estimate {
  const items = itemsOf(book)
  const materials = materialsOf(design, pumps, rules, heaterKw(design, pond), sitePlan)
  const unpriced: string[] = []
  const priced = (need: Need): EstimateLine[] => {
    const known = [need.key, ...(need.otherwise ?? [])].map((key) => items.get(key)).find((line) => line !== undefined)
    if (!known && !need.own) {
      unpriced.push(need.key)
      return []
    }
    const step = known?.step ?? 1
    const quantity = inStockSteps(need.quantity * (1 + (known?.waste ?? 0)), step)
    const costMinor = known?.costMinor ?? need.own!.costMinor
    return [
      {
        key: need.key,
        group: known?.group ?? 'equipment',
        name: known?.name ?? need.own!.name,
        unit: known?.unit ?? need.own!.unit,
        exact: need.quantity,
        quantity,
        costMinor,
        totalMinor: Math.round(quantity * costMinor),
      },
    ]
  }
  const bought = materials.flatMap(priced)
  const boughtMinor = bought.reduce((sum, line) => sum + line.totalMinor, 0)
  const sundries = items.get('sundries')
  const sundriesMinor = Math.round(boughtMinor * SUNDRIES_SHARE)
  const materialLines: EstimateLine[] = sundries
    ? [
        ...bought,
        {
          ...sundries,
          exact: SUNDRIES_SHARE * 100,
          quantity: SUNDRIES_SHARE * 100,
          costMinor: 0,
          totalMinor: sundriesMinor,
        },
      ]
    : bought
  const labourLines = labourOf(design, materials, rules.production, sitePlan).flatMap(priced)
  const materialsMinor = materialLines.reduce((sum, line) => sum + line.totalMinor, 0)
  const labourMinor = labourLines.reduce((sum, line) => sum + line.totalMinor, 0)
  const markupMinor = Math.round(materialsMinor * book.markup)
  const netMinor = materialsMinor + markupMinor + labourMinor
  const taxMinor = Math.round(netMinor * book.tax)
  return {
    currency: book.currency,
    lines: [...materialLines, ...labourLines],
    materialsMinor,
    labourMinor,
    labourH: labourLines.filter((line) => line.key === 'labour').reduce((sum, line) => sum + line.quantity, 0),
    markupMinor,
    netMinor,
    taxMinor,
    totalMinor: netMinor + taxMinor,
    unpriced,
  }
}

/** An amount rounded up to what can be bought. */
export const inStockSteps = (quantity: number, step: number): number =>
  Number((Math.ceil(quantity / step - 1e-9) * step).toFixed(6))
