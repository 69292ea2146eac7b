import { z } from 'zod'
import { TABLE_RANGE, type HydraulicTables } from '../../core/hydraulics/fittings'
import { PRICE_RANGE, type PriceItem } from '../../core/pricing/price-book'
import { numberWithin, shortText } from '../shared/fields'
import { said } from '../shared/said'

/** Keys are made from names and never change: saved designs count fittings by them. */
export const FITTING_KEY = /^[a-z0-9][a-z0-9-]{0,39}$/

const cost = z
  .int({ error: said('kit.problems.moneyKeptWholeCents') })
  .min(0, { error: said('kit.problems.costCannotBelowZero') })
  .max(PRICE_RANGE.costMinor[1], { error: said('kit.problems.costTooLargeRight') })

/** The firm's tables of fittings and pipes: the usual rows with its own figures, and rows of its own with a cost. */
export const HouseTables = z
  .strictObject({
    fittings: z
      .array(
        z.strictObject({
          key: z.string().regex(FITTING_KEY, { error: said('kit.problems.keySmallLettersDigitsHyphens') }),
          name: shortText('houseRules.fields.nameOfTheFitting', 60),
          k: numberWithin(TABLE_RANGE.k, 'houseRules.fields.k', ''),
          costMinor: cost.optional(),
        }),
      )
      .max(100),
    pipes: z
      .array(
        z.strictObject({
          name: shortText('houseRules.fields.nameOfThePipe', 40),
          boreM: numberWithin(TABLE_RANGE.boreM, 'houseRules.fields.bore', 'm'),
          costMinor: cost.optional(),
        }),
      )
      .min(2, { error: said('houseRules.problems.keepLeastTwoPipeSizes') })
      .max(60),
  })
  .superRefine(({ fittings, pipes }, context) => {
    const twice = (names: string[]) => names.findIndex((name, i) => names.indexOf(name) !== i)
    const say = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message })
    const key = twice(fittings.map((f) => f.key))
    if (key >= 0) say(['fittings', key, 'name'], said('houseRules.problems.twoFittingsName'))
    const name = twice(pipes.map((p) => p.name))
    if (name >= 0) say(['pipes', name, 'name'], said('houseRules.problems.twoPipesName'))
  })
export type HouseTables = z.infer<typeof HouseTables>

export interface KeptTables {
  readonly tables: HouseTables
  /** 0 while the firm still uses the defaults. */
  readonly version: number
}

/** As the core wants them: pipes rise by bore. */
export const hydraulicTables = ({ fittings, pipes }: HouseTables): HydraulicTables => ({
  fittings: fittings.map(({ key, name, k }) => ({ key, name, k })),
  pipes: pipes.map(({ name, boreM }) => ({ name, boreM })).sort((a, b) => a.boreM - b.boreM),
})

/** Lines that rows of the firm's own bring into its price book. */
export const tablePriceItems = ({ fittings, pipes }: HouseTables, pipeName: (size: string) => string): PriceItem[] => [
  ...fittings.flatMap(({ key, name, costMinor }) =>
    costMinor === undefined
      ? []
      : [{ key: `fitting:${key}`, group: 'pipe' as const, name, unit: 'each', costMinor, step: 1, waste: 0 }],
  ),
  ...pipes.flatMap(({ name, costMinor }) =>
    costMinor === undefined
      ? []
      : [
          {
            key: `pipe:${name}`,
            group: 'pipe' as const,
            name: pipeName(name),
            unit: 'm',
            costMinor,
            step: 3,
            waste: 0.05,
          },
        ],
  ),
]

/** A key from a name, such as "my-long-bend" from "My long bend". */
export const fittingKeyOf = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40) || 'fitting'
