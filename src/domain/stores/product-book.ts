import { z } from 'zod'
import {
  PRODUCT_PURPOSES,
  PRODUCT_RANGE,
  PRODUCT_UNITS,
  RATE_BASES,
  type Product,
} from '../../core/water/dosing/products'
import { csvNumber, csvOf, readCsv, zodRowProblems, type CsvRowProblem } from '../shared/csv'
import { numberWithin, optionalText, shortText } from '../shared/fields'
import { said } from '../shared/said'

const KEY = /^[a-z0-9][a-z0-9-]{0,39}$/

const ProductInput = z
  .strictObject({
    key: z.string().regex(KEY, { error: said('kit.problems.keySmallLettersDigitsHyphens') }),
    name: shortText('stores.fields.nameOfTheProduct', 80),
    purpose: z.enum(PRODUCT_PURPOSES, { error: said('stores.problems.chooseWhat') }),
    unit: z.enum(PRODUCT_UNITS, { error: said('stores.problems.chooseGMlEach') }),
    rate: numberWithin(PRODUCT_RANGE.rate, 'stores.fields.rate', { text: 'kit.units.perM3' }),
    basis: z.enum(RATE_BASES, { error: said('stores.problems.chooseWhatRate') }),
    mostPerM3: numberWithin(PRODUCT_RANGE.mostPerM3, 'stores.fields.mostByTheLabel', { text: 'kit.units.perM3' }),
    treats: z.enum(['new-water', 'system'], { error: said('stores.problems.chooseWhichWaterTreats') }),
    waterC: z.tuple([
      numberWithin(PRODUCT_RANGE.waterC, 'stores.fields.coldestWater', '°C'),
      numberWithin(PRODUCT_RANGE.waterC, 'stores.fields.warmestWater', '°C'),
    ]),
    measure: z
      .strictObject({
        name: shortText('stores.fields.measure', 30),
        holds: numberWithin(PRODUCT_RANGE.holds, 'stores.fields.whatTheMeasureHolds', ''),
        smallestShare: numberWithin([0.001, 1], 'stores.fields.smallestPartOfTheMeasure', '').optional(),
      })
      .nullable(),
    repeats: z
      .strictObject({
        times: z
          .int({ error: said('stores.problems.giveWholeTimes') })
          .min(1, { error: said('stores.problems.leastOnceMore') })
          .max(60),
        everyDays: z
          .int({ error: said('kit.problems.giveWholeDays') })
          .min(1, { error: said('stores.problems.leastDayApart') })
          .max(90),
      })
      .nullable(),
    apart: z
      .strictObject({
        purposes: z.array(z.enum(PRODUCT_PURPOSES)).max(10),
        hours: numberWithin([0, 720], 'stores.fields.hoursApart', 'h'),
      })
      .nullable(),
    licence: z.boolean(),
    safety: optionalText('stores.fields.safetyNote', 300),
  })
  .refine(({ waterC }) => waterC[0] < waterC[1], {
    path: ['waterC', 1],
    error: said('stores.problems.coldestWaterMustColderThan'),
  })

export const ProductBook = z
  .array(ProductInput)
  .max(200)
  .superRefine((products, context) => {
    const names = products.map((p) => p.name.toLowerCase())
    const twice = names.findIndex((name, i) => names.indexOf(name) !== i)
    if (twice >= 0)
      context.addIssue({ code: 'custom', path: [twice, 'name'], message: said('stores.problems.twoProductsName') })
    const keys = products.map((p) => p.key)
    const same = keys.findIndex((key, i) => keys.indexOf(key) !== i)
    if (same >= 0)
      context.addIssue({ code: 'custom', path: [same, 'key'], message: said('stores.problems.twoProductsKey') })
  })
export type ProductBook = readonly Product[]

export interface KeptProducts {
  readonly products: ProductBook
  /** 0 while the firm still uses the book it began with. */
  readonly version: number
}

/** A key from a name; a saved product keeps its key whatever it is called later. */
export const productKeyOf = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40) || 'product'

const COLUMNS = [
  'name',
  'purpose',
  'unit',
  'rate',
  'basis',
  'most_per_m3',
  'treats',
  'from_c',
  'to_c',
  'measure',
  'measure_holds',
  'measure_part',
  'repeats',
  'every_days',
  'safety',
] as const

export const productCsv = (products: ProductBook): string =>
  csvOf(
    products.map((p) => ({
      name: p.name,
      purpose: p.purpose,
      unit: p.unit,
      rate: p.rate,
      basis: p.basis,
      most_per_m3: p.mostPerM3,
      treats: p.treats,
      from_c: p.waterC[0],
      to_c: p.waterC[1],
      measure: p.measure?.name ?? '',
      measure_holds: p.measure?.holds ?? '',
      measure_part: p.measure?.smallestShare ?? '',
      repeats: p.repeats?.times ?? '',
      every_days: p.repeats?.everyDays ?? '',
      safety: p.safety,
    })),
    COLUMNS,
  )

const measureOf = (name: string, holds: number, smallestShare: number) => ({
  name,
  holds,
  ...(Number.isNaN(smallestShare) ? {} : { smallestShare }),
})

export interface ProductCsvOutcome {
  readonly products: ProductBook
  readonly read: number
  readonly problems: readonly CsvRowProblem[]
}

/**
 * Products from a CSV: a row changes the product of its name or adds one; rows that do not read are named and leave
 * their product alone.
 */
export function readProductCsv(csv: string, before: ProductBook): ProductCsvOutcome {
  const file = readCsv(csv, COLUMNS, ['name', 'purpose', 'unit', 'rate', 'most_per_m3'])
  const products = [...before]
  const problems = [...file.problems]
  let read = 0
  for (const { line, cell: text } of file.rows) {
    const figure = (column: string, usual = Number.NaN) => csvNumber(text(column)) ?? usual
    const at = products.findIndex((p) => p.name.toLowerCase() === text('name').toLowerCase())
    const old = at >= 0 ? products[at] : undefined
    const parsed = ProductInput.safeParse({
      key: old?.key ?? productKeyOf(text('name')),
      name: text('name'),
      purpose: text('purpose'),
      unit: text('unit'),
      rate: figure('rate'),
      basis: text('basis') || (old?.basis ?? 'volume'),
      mostPerM3: figure('most_per_m3'),
      treats: text('treats') || (old?.treats ?? 'system'),
      waterC: [figure('from_c', old?.waterC[0] ?? 0), figure('to_c', old?.waterC[1] ?? 40)],
      measure:
        text('measure') === ''
          ? null
          : measureOf(text('measure'), figure('measure_holds'), figure('measure_part', old?.measure?.smallestShare)),
      repeats: text('repeats') === '' ? null : { times: figure('repeats'), everyDays: figure('every_days') },
      apart: old?.apart ?? null,
      licence: old?.licence ?? false,
      safety: text('safety'),
    })
    if (!parsed.success) {
      problems.push(...zodRowProblems(line, parsed.error).slice(0, 1))
      continue
    }
    read++
    if (at >= 0) products[at] = parsed.data
    else products.push(parsed.data)
  }
  return { products, read, problems }
}
