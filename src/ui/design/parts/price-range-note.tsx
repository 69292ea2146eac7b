import { useMemo } from 'react'
import type { Estimate } from '@/core/pricing/estimate'
import type { PriceBook } from '@/core/pricing/price-book'
import { priceRange } from '@/core/pricing/price-range'
import { money } from '@/domain/prices/pricing'
import { useTexts } from '@/ui/kit/texts'

/** To whole money of this many minor units: what is not known to the cent is not said to it. */
const TO_MINOR = 10_000
/** Shares in steps of this many percent: a few hundred draws know no more. */
const TO_PERCENT = 5

/** What such jobs come to if charged by what they take, and how often that is more than the price. */
export function PriceRangeNote({ price, book }: { readonly price: Estimate; readonly book: PriceBook }) {
  const t = useTexts()
  const { chargedMinor, dearerThanPrice } = useMemo(() => priceRange(price, book), [price, book])
  const cash = (minor: number) => money(Math.round(minor / TO_MINOR) * TO_MINOR, price.currency)
  return (
    <p className="mb-2" data-testid="price-range">
      {t('design.pricePart.chargedRange', {
        low: cash(chargedMinor[0]),
        high: cash(chargedMinor[1]),
        dearer: Math.round((100 * dearerThanPrice) / TO_PERCENT) * TO_PERCENT,
      })}
    </p>
  )
}
