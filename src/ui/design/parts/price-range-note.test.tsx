import { render, screen } from '@testing-library/react'
import { suggestDesign } from '@/core/filter/suggest'
import { PUMP_CATALOGUE } from '@/core/filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES as rules } from '@/core/filter/house-rules'
import { estimate } from '@/core/pricing/estimate'
import { koiPond } from '../../../../tests/fixtures/design-pond'
import { AsPerson } from '../../../../tests/fixtures/person'
import { USUAL_PRICE_BOOK } from '../../../../tests/fixtures/usual-in-words'
import { PriceRangeNote } from './price-range-note'

const price = estimate(suggestDesign(koiPond, 'volume', rules, PUMP_CATALOGUE), USUAL_PRICE_BOOK, {
  pumps: PUMP_CATALOGUE,
  rules,
  pond: koiPond,
})
const said = (totalMinor = price.totalMinor) => {
  render(
    <AsPerson>
      <PriceRangeNote price={{ ...price, totalMinor }} book={USUAL_PRICE_BOOK} />
    </AsPerson>,
  )
  return screen.getByTestId('price-range').textContent
}

describe('under a price', () => {
  it('stands what such jobs come to if charged by what they take, in whole hundreds, low to high about the price', () => {
    const [low, high] = said()!
      .match(/€[\d,]+/g)!
      .map((text) => Number(text.replace(/[€,]/g, '')))
    expect([low! % 100, high! % 100]).toEqual([0, 0])
    expect(low!).toBeLessThan(price.totalMinor / 100)
    expect(high!).toBeGreaterThan(price.totalMinor / 100)
  })
  it('stands how often that is more than the price', () => {
    expect(said(price.totalMinor * 2)).toMatch(/about 0 in 100 to more than this price/)
  })
})
