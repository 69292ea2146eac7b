import { koiPond } from '../../../tests/fixtures/design-pond'
import { USUAL_PRICE_BOOK } from '../../../tests/fixtures/usual-in-words'
import { DEFAULT_FILTER_RULES as rules } from '../filter/house-rules'
import { PUMP_CATALOGUE } from '../filter/flow/pump-catalogue'
import { suggestDesign } from '../filter/suggest'
import { estimate } from './estimate'
import { priceRange } from './price-range'

const priced = (book = USUAL_PRICE_BOOK) =>
  estimate(suggestDesign(koiPond, 'volume', rules, PUMP_CATALOGUE), book, {
    pumps: PUMP_CATALOGUE,
    rules,
    pond: koiPond,
  })

describe('what a job may come to if charged by what it takes', () => {
  it('lies about the price, as far as a detailed estimate usually does: 5 to 15 % below, 5 to 20 % above', () => {
    const price = priced()
    const [low, high] = priceRange(price, USUAL_PRICE_BOOK).chargedMinor.map((minor) => minor / price.totalMinor)
    expect(low).toBeGreaterThan(0.85)
    expect(low).toBeLessThan(0.95)
    expect(high).toBeGreaterThan(1.05)
    expect(high).toBeLessThan(1.2)
  })
  it('counts the jobs that take more than the price, and is the same for the same price', () => {
    const range = priceRange(priced(), USUAL_PRICE_BOOK)
    expect(range.dearerThanPrice).toBeGreaterThan(0.3)
    expect(range.dearerThanPrice).toBeLessThan(0.7)
    expect(priceRange(priced(), USUAL_PRICE_BOOK)).toEqual(range)
  })
  it('is dearer nearly always where the price leaves work out', () => {
    const price = priced()
    const half = { ...price, totalMinor: price.totalMinor / 2 }
    expect(priceRange(half, USUAL_PRICE_BOOK).dearerThanPrice).toBe(1)
  })
  it('grows with markup and tax, which lie on what is charged', () => {
    const dearer = { ...USUAL_PRICE_BOOK, tax: USUAL_PRICE_BOOK.tax + 0.1 }
    const [low] = priceRange(priced(), USUAL_PRICE_BOOK).chargedMinor
    const [more] = priceRange(priced(dearer), dearer).chargedMinor
    expect(more / low).toBeCloseTo((1 + dearer.tax) / (1 + USUAL_PRICE_BOOK.tax), 5)
  })
})
