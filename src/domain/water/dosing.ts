import { addDays } from '../../core/numeric/calendar'
import type { VisitStep } from '../../core/visits/step'
import type { VisitAmounts } from '../../core/visits/visit-amounts'
import {
  doseProblems,
  productDose,
  type Dose,
  type DoseProblem,
  type GivenDose,
  type Product,
} from '../../core/water/dosing/products'
import type { AnswerProblem } from '../visits/step-check'
import type { Entry, StepAnswer } from '../visits/visit'
import { inOrder, type StepState } from '../visits/visit-progress'
import { HOUR_MS } from '../../core/numeric/time'

/** What is known for working a product's dose out on a visit. */
export interface DosingFacts {
  readonly amounts: VisitAmounts
  /** Newest water temperature of this visit, or the last before it, °C. */
  readonly waterC: number | null
  readonly recent: readonly GivenDose[]
}

/** The water that a step treats with a product, m³. */
export function treatedM3(
  step: VisitStep,
  product: Product,
  amounts: VisitAmounts,
  changedM3: number | undefined,
): number {
  if (product.treats === 'system') return amounts.systemM3
  // a part change treats what it lets in, a refill all that it fills
  if (step.quantity === 'partial-change') return changedM3 ?? amounts.partialChange.volumeM3
  return step.quantity === 'dechlorinator' || step.quantity === 'refill'
    ? amounts.refillM3
    : (changedM3 ?? amounts.partialChange.volumeM3)
}

/** What the basis of a product's rate is today: chlorine of the tap, the rise of hardness, the salt aimed at. */
function stepsOf(product: Product, amounts: VisitAmounts, answer: Pick<StepAnswer, 'figures'>): number {
  switch (product.basis) {
    case 'volume':
      return 1
    case 'chlorine':
      return amounts.chlorineMgL
    case 'hardness':
      return answer.figures?.khRiseDH ?? amounts.khRise?.riseDH ?? 0
    case 'salt':
      return amounts.winterSalt.share * 1000
  }
}

/** Tests older than this say nothing of the water a dose goes into. @source house default */
const GATE_TEST_DAYS = 2

/** Tests that are young enough for a gate, and the day of the oldest of them. @param today the firm's day */
export function youngTests(
  readings: readonly { readonly kind: string; readonly value: number; readonly takenAt: string }[],
  kinds: readonly string[],
  today: string,
): { readonly values: Readonly<Record<string, number>>; readonly since: string | null } {
  const young = readings.filter(
    (r) => kinds.includes(r.kind) && r.takenAt.slice(0, 10) >= addDays(today, -GATE_TEST_DAYS),
  )
  return {
    values: Object.fromEntries(young.map((r) => [r.kind, r.value])),
    since: young.map((r) => r.takenAt.slice(0, 10)).sort()[0] ?? null,
  }
}

export interface StepDose extends Dose {
  readonly product: Product
  readonly volumeM3: number
  /** Between which that water lies in four of five ponds; null where it is measured as it is treated. */
  readonly rangeM3: readonly [number, number] | null
}

/** The firm's products for a step, each with its amount by the label. */
export function stepDoses(
  step: VisitStep,
  products: readonly Product[],
  facts: DosingFacts,
  answer: Pick<StepAnswer, 'figures'>,
): StepDose[] {
  return products
    .filter((product) => step.products?.includes(product.purpose))
    .map((product) => {
      const volumeM3 = treatedM3(step, product, facts.amounts, answer.figures?.changedM3)
      const rangeM3 = product.treats === 'system' ? facts.amounts.systemRangeM3 : null
      return {
        product,
        volumeM3,
        rangeM3,
        ...productDose(product, {
          volumeM3,
          leastM3: rangeM3?.[0],
          steps: stepsOf(product, facts.amounts, answer),
          waterC: facts.waterC,
          recent: facts.recent,
        }),
      }
    })
}

/** What was given on this visit before a moment, and how long ago. */
export function givenBefore(
  states: ReadonlyMap<string, StepState>,
  products: readonly Product[],
  except: string,
  atMs: number,
): DosingFacts['recent'] {
  return [...states.entries()].flatMap(([stepKey, state]) =>
    state.status !== 'done' || stepKey === except
      ? []
      : (state.entry.answer.doses ?? []).flatMap((dose) => {
          const purpose = products.find((p) => p.key === dose.productKey)?.purpose
          return purpose && dose.amount > 0
            ? [{ productKey: dose.productKey, purpose, hoursAgo: (atMs - Date.parse(state.entry.at)) / HOUR_MS }]
            : []
        }),
  )
}

/** A dose of another visit at the same pond. */
export interface EarlierDose {
  readonly productKey: string
  readonly at: string
}

/**
 * Doses further back say nothing any more: no product keeps apart longer, and no usual course runs longer.
 * @source house default
 */
export const EARLIER_DOSE_DAYS = 120

/** What was given on other visits, and how long ago. */
export const givenEarlier = (
  doses: readonly EarlierDose[],
  products: readonly Product[],
  atMs: number,
): DosingFacts['recent'] =>
  doses.flatMap(({ productKey, at }) => {
    const purpose = products.find((p) => p.key === productKey)?.purpose
    return purpose ? [{ productKey, purpose, hoursAgo: (atMs - Date.parse(at)) / HOUR_MS }] : []
  })

/** The newest water temperature that was tested on this visit, °C. */
export function waterToday(log: readonly Entry[]): number | null {
  const tested = inOrder(
    log.filter(
      (e): e is Extract<Entry, { kind: 'done' }> => e.kind === 'done' && e.answer.readings?.waterTemp !== undefined,
    ),
  )
  return tested.at(-1)?.answer.readings?.waterTemp?.value ?? null
}

/** Quantity over the label is refused, whoever gives it; all else is said and left to people. */
export function overLabel(
  step: VisitStep,
  products: readonly Product[],
  amounts: VisitAmounts,
  answer: StepAnswer,
): AnswerProblem | null {
  for (const [i, { productKey, amount }] of (answer.doses ?? []).entries()) {
    const product = products.find((p) => p.key === productKey)
    if (!product) continue
    const volumeM3 = treatedM3(step, product, amounts, answer.figures?.changedM3)
    const over = doseProblems(product, amount, { volumeM3, waterC: null, recent: [] }).find(
      (p): p is Extract<DoseProblem, { code: 'over-label' }> => p.code === 'over-label',
    )
    if (!over) continue
    const max = Number((product.mostPerM3 * volumeM3).toPrecision(3))
    return { code: 'over-label', product: product.name, most: max, unit: product.unit, paths: [`answer.doses.${i}`] }
  }
  return null
}
