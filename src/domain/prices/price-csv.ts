import { PRICE_RANGE, type PriceBook } from '../../core/pricing/price-book'
import { csvNumber, csvOf, readCsv, type CsvRowProblem } from '../shared/csv'
import { said } from '../shared/said'

const PRICE_CSV_COLUMNS = ['key', 'name', 'unit', 'cost', 'stock_step', 'waste_percent'] as const

export interface PriceCsvOutcome {
  readonly book: PriceBook
  readonly changed: number
  readonly problems: readonly CsvRowProblem[]
}

/** The price book as CSV. */
export const priceCsv = (book: PriceBook): string =>
  csvOf(
    book.items.map((item) => ({
      key: item.key,
      name: item.name,
      unit: item.unit,
      cost: (item.costMinor / 100).toFixed(2),
      stock_step: item.step,
      waste_percent: Number((item.waste * 100).toFixed(4)),
    })),
    PRICE_CSV_COLUMNS,
  )

/**
 * Changes the lines of a price book that a CSV names; rows that do not read are named and leave their line as it was.
 */
export function readPriceCsv(text: string, book: PriceBook): PriceCsvOutcome {
  const file = readCsv(text, PRICE_CSV_COLUMNS, ['key', 'cost'])
  const problems = [...file.problems]
  const items = new Map(book.items.map((item) => [item.key, item]))
  let changed = 0
  for (const { line, cell } of file.rows) {
    const key = cell('key')
    const item = items.get(key)
    const cost = csvNumber(cell('cost'))
    const step = csvNumber(cell('stock_step'))
    const waste = csvNumber(cell('waste_percent'))
    const outside = (value: number | null, [min, max]: readonly [number, number], factor: number) =>
      value !== null && !(value * factor >= min && value * factor <= max)
    if (!item) problems.push({ line, message: said('prices.problems.keyLinePriceBook', { key }) })
    else if (cost === null || outside(cost, PRICE_RANGE.costMinor, 100))
      problems.push({ line, message: said('prices.problems.costPrice', { cell: cell('cost') }) })
    else if (outside(step, PRICE_RANGE.step, 1))
      problems.push({ line, message: said('prices.problems.stockStepStepAbove', { cell: cell('stock_step') }) })
    else if (outside(waste, PRICE_RANGE.waste, 0.01))
      problems.push({ line, message: said('prices.problems.wastePercentBetween', { cell: cell('waste_percent') }) })
    else {
      const next = {
        ...item,
        costMinor: Math.round(cost * 100),
        step: step ?? item.step,
        waste: waste === null ? item.waste : waste / 100,
      }
      if (next.costMinor !== item.costMinor || next.step !== item.step || Math.abs(next.waste - item.waste) > 1e-9)
        changed++
      items.set(key, next)
    }
  }
  return { book: { ...book, items: [...items.values()] }, changed, problems }
}
