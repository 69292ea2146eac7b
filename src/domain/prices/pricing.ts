import { z } from 'zod'
import { PRICE_RANGE, type PriceBook } from '../../core/pricing/price-book'
import { numberWithin, shortText } from '../shared/fields'
import { said } from '../shared/said'

const minor = z
  .int({ error: said('kit.problems.moneyKeptWholeCents') })
  .min(PRICE_RANGE.costMinor[0], { error: said('kit.problems.costCannotBelowZero') })
  .max(PRICE_RANGE.costMinor[1], { error: said('kit.problems.costTooLargeRight') })

const PriceItemInput = z.strictObject({
  key: shortText('prices.fields.key', 80),
  group: z.enum(['sheet', 'stone', 'pipe', 'equipment', 'plants', 'labour', 'other']),
  name: shortText('prices.fields.name', 120),
  unit: shortText('prices.fields.unit', 40),
  costMinor: minor,
  step: numberWithin(PRICE_RANGE.step, 'prices.fields.stockStep', ''),
  waste: numberWithin(PRICE_RANGE.waste, 'prices.fields.waste', ''),
})

export const PriceBookInput = z
  .strictObject({
    currency: z.string().regex(/^[A-Z]{3}$/, { error: said('prices.problems.currencyThreeCapitalLettersSuch') }),
    markup: numberWithin(PRICE_RANGE.markup, 'prices.fields.markup', ''),
    tax: numberWithin(PRICE_RANGE.tax, 'prices.fields.tax', ''),
    items: z.array(PriceItemInput).min(1).max(500),
  })
  .refine((book) => new Set(book.items.map((item) => item.key)).size === book.items.length, {
    error: said('prices.problems.twoLinesSameKey'),
    path: ['items'],
  }) satisfies z.ZodType<PriceBook>

export interface KeptPriceBook {
  readonly book: PriceBook
  /** 0 while the firm still uses the defaults. */
  readonly version: number
}

/** Money in words: minor units in the firm's currency. */
export const money = (minorUnits: number, currency: string, locale = 'en'): string =>
  new Intl.NumberFormat(locale, {
    style: 'currency',
    currency,
    maximumFractionDigits: minorUnits % 100 === 0 ? 0 : 2,
  }).format(minorUnits / 100)
