import { z } from 'zod'
import { PRICE_RANGE, type PriceBook } from '../../core/pricing/price-book'
import { numberWithin, shortText } from '../shared/fields'

const minor = z
  .int({ error: 'Money is kept in whole cents.' })
  .min(PRICE_RANGE.costMinor[0], { error: 'A cost cannot be below zero.' })
  .max(PRICE_RANGE.costMinor[1], { error: 'This cost is too large to be right.' })

const PriceItemInput = z.strictObject({
  key: shortText('Key', 80),
  group: z.enum(['sheet', 'stone', 'pipe', 'equipment', 'plants', 'labour', 'other']),
  name: shortText('Name', 120),
  unit: shortText('Unit', 40),
  costMinor: minor,
  step: numberWithin(PRICE_RANGE.step, 'Stock step', ''),
  waste: numberWithin(PRICE_RANGE.waste, 'Waste', ''),
})

export const PriceBookInput = z
  .strictObject({
    currency: z.string().regex(/^[A-Z]{3}$/, { error: 'A currency is three capital letters, such as EUR.' }),
    markup: numberWithin(PRICE_RANGE.markup, 'Markup', ''),
    tax: numberWithin(PRICE_RANGE.tax, 'Tax', ''),
    items: z.array(PriceItemInput).min(1).max(500),
  })
  .refine((book) => new Set(book.items.map((item) => item.key)).size === book.items.length, {
    error: 'Two lines have the same key.',
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
