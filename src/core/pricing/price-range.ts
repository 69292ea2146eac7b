import { normalDeviate, seededRandom } from '../numeric/random'
import { quantileOfSorted } from '../statistics/quantile'
import { inStockSteps, type Estimate } from './estimate'
import type { PriceBook, PriceItem } from './price-book'

/**
 * How far the amount that a job takes turns out other than was reckoned, as a share (1σ), by what it is of.
 * Counted parts hardly change; stone settles and holes are dug larger; hours vary most.
 * @source house defaults; the sum is held to the range usual for a detailed estimate (AACE 18R-97, class 2)
 */
export const AMOUNT_SPREAD: Readonly<Record<PriceItem['group'], number>> = {
  sheet: 0.05,
  stone: 0.1,
  pipe: 0.15,
  equipment: 0.03,
  plants: 0.1,
  other: 0.2,
  labour: 0.12,
}
/** What all hours of one job share: access, ground, weather. @source as AMOUNT_SPREAD */
export const JOB_SPREAD = 0.15
/** How far what a thing costs on the day lies from the price book (1σ). @source as AMOUNT_SPREAD */
export const COST_SPREAD = 0.05

const DRAWS = 400
const SEED = 20_270_501
const LOW = 0.05
const HIGH = 0.95

export interface PriceRange {
  /** Nine in ten such jobs, were they charged by what they take; minor units, tax in it. */
  readonly chargedMinor: readonly [number, number]
  /** Share of such jobs that take more than the price. */
  readonly dearerThanPrice: number
}

/**
 * What a job of this price may come to if charged by what it takes: amounts, hours and costs drawn by chance.
 * @returns the same for the same price
 */
export function priceRange(price: Estimate, book: PriceBook): PriceRange {
  const random = seededRandom(SEED)
  const items = new Map(book.items.map((item) => [item.key, item]))
  /** A factor about 1, never below 0. */
  const about = (sigma: number) => Math.exp(sigma * normalDeviate(random) - sigma ** 2 / 2)
  const charged = (): number => {
    const job = about(JOB_SPREAD)
    let materials = 0
    let labour = 0
    for (const line of price.lines) {
      const isLabour = line.group === 'labour'
      const amount = about(AMOUNT_SPREAD[line.group]) * (isLabour ? job : 1)
      const cost = isLabour ? 1 : about(COST_SPREAD)
      if (line.costMinor === 0) materials += line.totalMinor * amount
      else {
        const { step = 1, waste = 0 } = items.get(line.key) ?? {}
        const taken = line.exact * amount * (1 + waste)
        // what comes by the piece is taken whole: one elbow more or none, never a part of one
        const pieces = line.unit === 'each' ? Math.round(taken) : taken
        const minor = inStockSteps(pieces, step) * line.costMinor * cost
        if (isLabour) labour += minor
        else materials += minor
      }
    }
    return (materials * (1 + book.markup) + labour) * (1 + book.tax)
  }
  const sorted = Array.from({ length: DRAWS }, charged).sort((a, b) => a - b)
  const at = (share: number) => Math.round(quantileOfSorted(sorted, share))
  return {
    chargedMinor: [at(LOW), at(HIGH)],
    dearerThanPrice: sorted.filter((minor) => minor > price.totalMinor).length / DRAWS,
  }
}
