import { assertInRange } from '../../errors'
import { addDays, type IsoDate } from '../../numeric/calendar'
import { measuredDose, SCALE } from './measured-dose'

export const PRODUCT_PURPOSES = [
  'dechlorinator',
  'cold-bacteria',
  'bacteria',
  'kh',
  'gh',
  'salt',
  'binder',
  'flocculant',
  'algae',
  'carbon',
  'plant-food',
] as const
export type ProductPurpose = (typeof PRODUCT_PURPOSES)[number]

/**
 * What a rate is for beside the volume: each mg/L of chlorine, each °dH, each 0.1 % of salt; 'volume': nothing else.
 */
export const RATE_BASES = ['volume', 'chlorine', 'hardness', 'salt'] as const
type RateBasis = (typeof RATE_BASES)[number]

export const PRODUCT_UNITS = ['g', 'mL', 'each'] as const
export type ProductUnit = (typeof PRODUCT_UNITS)[number]

/** What a product is measured with at the water's edge. */
export interface Measure {
  readonly name: string
  /** In the product's unit. */
  readonly holds: number
  /** The smallest part of it that can be told; without it half, of a bag a tenth. */
  readonly smallestShare?: number
}

/**
 * From this size on a measure is a bag or a canister, of which a tenth is weighed out, g or mL.
 * @source house default
 */
const BAG_HOLDS = 1000
export const smallestShareOf = ({ holds, smallestShare }: Measure): number =>
  smallestShare ?? (holds >= BAG_HOLDS ? 0.1 : 0.5)

/** A product of the firm with the rates of its label: the label governs. */
export interface Product {
  readonly key: string
  readonly name: string
  readonly purpose: ProductPurpose
  readonly unit: ProductUnit
  /** Units per m³ and per step of the basis. */
  readonly rate: number
  readonly basis: RateBasis
  /** The most that the label allows at once, units per m³. */
  readonly mostPerM3: number
  /** A refill dose treats the new water, a pond dose the whole system. */
  readonly treats: 'new-water' | 'system'
  /** Water temperatures between which it works, °C. */
  readonly waterC: readonly [number, number]
  /** What it is measured with at the water's edge, and how much that holds; null: weighed. */
  readonly measure: Measure | null
  readonly repeats: { readonly times: number; readonly everyDays: number } | null
  /** Purposes that it must not meet within so many hours. */
  readonly apart: { readonly purposes: readonly ProductPurpose[]; readonly hours: number } | null
  readonly licence: boolean
  readonly safety: string
}

export const PRODUCT_RANGE = {
  rate: [1e-4, 5000],
  mostPerM3: [1e-4, 20_000],
  waterC: [-1, 45],
  holds: [0.01, 10_000],
} as const

/**
 * How near the wanted amount a measured dose has to be.
 * @source house rules: chemistry to a twentieth, cultures by the scoop, dechlorinator never short
 */
const CHEMISTRY = { tolerance: 0.05, roundUpOnly: false } as const
const CULTURE = { tolerance: 0.5, roundUpOnly: true } as const
export const DOSE_RULES: Readonly<
  Record<ProductPurpose, { readonly tolerance: number; readonly roundUpOnly: boolean }>
> = {
  // up to what the label allows: too much of it harms less than too little
  dechlorinator: { tolerance: 0.5, roundUpOnly: true },
  'cold-bacteria': CULTURE,
  bacteria: CULTURE,
  kh: CHEMISTRY,
  gh: CHEMISTRY,
  salt: CHEMISTRY,
  binder: CHEMISTRY,
  flocculant: CHEMISTRY,
  algae: CHEMISTRY,
  carbon: CULTURE,
  'plant-food': { tolerance: 1, roundUpOnly: true },
}

/** What was given at a pond before. */
export interface GivenDose {
  readonly productKey: string
  readonly purpose: ProductPurpose
  readonly hoursAgo: number
}

/** Why a product should not be given now. 'over-label' is never passed. */
export type DoseProblem =
  | { readonly code: 'over-label'; readonly perM3: number; readonly mostPerM3: number }
  /** Within the label for the water as it is reckoned, but not for the least that it may be. */
  | {
      readonly code: 'over-label-of-least'
      readonly leastM3: number
      readonly perM3: number
      readonly mostPerM3: number
    }
  | { readonly code: 'too-cold'; readonly waterC: number; readonly fromC: number }
  | { readonly code: 'too-warm'; readonly waterC: number; readonly toC: number }
  | { readonly code: 'too-close'; readonly purpose: ProductPurpose; readonly hours: number; readonly hoursAgo: number }
  | { readonly code: 'too-soon'; readonly hours: number; readonly hoursAgo: number }
  | { readonly code: 'course-over'; readonly times: number; readonly days: number }
  | { readonly code: 'licence' }

/** These are stops: they are passed by a crew lead with a reason, over the label by nobody. */
export const DOSE_STOPS: readonly DoseProblem['code'][] = ['over-label', 'too-close', 'too-soon', 'course-over']

export interface DoseQuestion {
  /** The water that is treated, m³. */
  readonly volumeM3: number
  /** The least that it may be, as far as it is known, m³; missing where it is measured as it is treated. */
  readonly leastM3?: number
  /** Steps of the basis: mg/L of chlorine, °dH to rise, tenths of a percent of salt; not read for a rate by volume. */
  readonly steps: number
  readonly waterC: number | null
  /** What was given before, hours ago. */
  readonly recent: readonly GivenDose[]
}

export interface Dose {
  /** In the product's unit, as its measure or a scale can give it; within the label whenever the exact amount is. */
  readonly amount: number
  /** As worked out: rate × volume × steps. */
  readonly exact: number
  /** How many of its measures; null where it is weighed or counted. */
  readonly measures: number | null
  readonly problems: readonly DoseProblem[]
}

/**
 * How much of a product a volume of water takes by its label.
 * @throws {DomainError} volume or steps negative or NaN
 */
export function productDose(product: Product, { steps, ...question }: DoseQuestion): Dose {
  const { volumeM3 } = question
  assertInRange('volumeM3', volumeM3, [0, 1e6])
  assertInRange('steps', steps, [0, 1000])
  const exact = product.rate * volumeM3 * (product.basis === 'volume' ? 1 : steps)
  const { amount, measures } = measured(product, exact, product.mostPerM3 * volumeM3)
  return { amount, exact, measures, problems: doseProblems(product, amount, question) }
}

/** An amount as a hand can give it. */
function measured({ purpose, unit, measure }: Product, exact: number, max: number): Pick<Dose, 'amount' | 'measures'> {
  if (exact <= 0) return { amount: 0, measures: null }
  if (unit === 'each') {
    const whole = Math.ceil(exact - 1e-9)
    return { amount: whole <= max || exact > max ? whole : exact, measures: null }
  }
  const units = measure ? [{ name: measure.name, weightG: measure.holds, smallestShare: smallestShareOf(measure) }] : []
  const given = measuredDose(exact, units, { ...DOSE_RULES[purpose], ...(exact <= max ? { maxG: max } : {}) })
  // what is too little for the scale is given as it was worked out
  if (given.unit === SCALE.name) return { amount: given.givenG > 0 ? given.givenG : exact, measures: null }
  return { amount: given.givenG, measures: given.count }
}

/**
 * A daily course is given at about the same hour of the day: a label's gap counts so many hours less.
 * @source house default
 */
const GAP_SLACK_H = 6

/** Same product again: the label's gap and number of repeats hold across visits. */
function repeatProblems({ key, repeats }: Product, recent: readonly GivenDose[]): DoseProblem[] {
  if (!repeats) return []
  const own = recent.filter((given) => given.productKey === key)
  const gapH = repeats.everyDays * 24
  const last = Math.min(...own.map((given) => given.hoursAgo))
  const courseDaysLong = repeats.everyDays * (repeats.times + 1)
  const inCourse = own.filter((given) => given.hoursAgo < courseDaysLong * 24).length
  return [
    ...(last < gapH - GAP_SLACK_H ? [{ code: 'too-soon' as const, hours: gapH, hoursAgo: last }] : []),
    ...(inCourse > repeats.times
      ? [{ code: 'course-over' as const, times: repeats.times + 1, days: courseDaysLong }]
      : []),
  ]
}

/** What speaks against giving an amount now. */
export function doseProblems(
  product: Product,
  amount: number,
  { volumeM3, leastM3 = volumeM3, waterC, recent }: Omit<DoseQuestion, 'steps'>,
): DoseProblem[] {
  if (amount <= 0) return []
  const problems: DoseProblem[] = []
  const { mostPerM3 } = product
  const perM3 = (water: number) => (water > 0 ? amount / water : Infinity)
  const over = (water: number) => perM3(water) > mostPerM3 * (1 + 1e-9)
  if (over(volumeM3)) problems.push({ code: 'over-label', perM3: perM3(volumeM3), mostPerM3 })
  else if (over(leastM3)) problems.push({ code: 'over-label-of-least', leastM3, perM3: perM3(leastM3), mostPerM3 })
  const [fromC, toC] = product.waterC
  if (waterC !== null && waterC < fromC) problems.push({ code: 'too-cold', waterC, fromC })
  if (waterC !== null && waterC > toC) problems.push({ code: 'too-warm', waterC, toC })
  for (const { purpose, hoursAgo } of recent)
    if (product.apart?.purposes.includes(purpose) && hoursAgo < product.apart.hours)
      problems.push({ code: 'too-close', purpose, hours: product.apart.hours, hoursAgo })
  problems.push(...repeatProblems(product, recent))
  if (product.licence) problems.push({ code: 'licence' })
  return problems
}

/** Days on which a course goes on after a first dose. */
export const courseDays = ({ repeats }: Pick<Product, 'repeats'>, first: IsoDate): IsoDate[] =>
  repeats ? Array.from({ length: repeats.times }, (_, i) => addDays(first, (i + 1) * repeats.everyDays)) : []

/** Temperature of two waters mixed, °C: the volumes' weighted mean. */
export function mixedTempC(volumesM3: readonly [number, number], temperaturesC: readonly [number, number]): number {
  const total = volumesM3[0] + volumesM3[1]
  return total > 0 ? (volumesM3[0] * temperaturesC[0] + volumesM3[1] * temperaturesC[1]) / total : Number.NaN
}
