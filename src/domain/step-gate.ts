import { judgeGate } from '../core/jobs/gates'
import { outcomeOf, type GateContext, type GateOutcome, type GateReason } from '../core/jobs/gates/gate'
import type { JobStep } from '../core/jobs/step'
import { doseProblems, type GivenDose, type Product } from '../core/water/products'
import type { StepAnswer } from './visit'

/** Below this a flocculant takes what is left of the buffer, °dH. @source house default */
export const FLOCCULANT_MIN_KH = 3

const GRAMS_PER_KG = 1000

/** Products of an answer with how much of each. */
function givenOf(answer: Pick<StepAnswer, 'doses'>, products: readonly Product[]): { readonly product: Product; readonly amount: number }[] {
  return (answer.doses ?? []).flatMap(({ productKey, amount }) => {
    const product = products.find((p) => p.key === productKey)
    return product && amount > 0 ? [{ product, amount }] : []
  })
}

/** Why what is about to be given has to wait: the label's gap and course, and a flocculant without buffer. */
export function doseReasons(
  answer: Pick<StepAnswer, 'doses'>,
  products: readonly Product[],
  recent: readonly GivenDose[],
  readings: GateContext['readings'],
): GateReason[] {
  return givenOf(answer, products).flatMap(({ product, amount }): GateReason[] => {
    const again = doseProblems(product, amount, { volumeM3: 0, waterC: null, recent }).flatMap((p): GateReason[] => {
      if (p.code === 'too-soon') return [{ code: 'dose-too-soon', product: product.name, hours: p.hours, hoursAgo: p.hoursAgo }]
      return p.code === 'course-over' ? [{ code: 'dose-course-over', product: product.name, times: p.times, days: p.days }] : []
    })
    return [...again, ...(product.purpose === 'flocculant' ? flocculantReasons(readings) : [])]
  })
}

/** No flocculant without carbonate hardness: it uses it up. */
export function flocculantReasons({ kh }: GateContext['readings']): GateReason[] {
  if (kh === undefined) return [{ code: 'needs-test', missing: ['kh'] }]
  return kh < FLOCCULANT_MIN_KH ? [{ code: 'kh-low', khDH: kh, minDH: FLOCCULANT_MIN_KH }] : []
}

/** Salt counts however it was written down: as a figure, or as a product of the book. */
function withSalt(context: GateContext, answer: Pick<StepAnswer, 'doses'>, products: readonly Product[]): GateContext {
  const grams = givenOf(answer, products)
    .filter(({ product }) => product.purpose === 'salt')
    .reduce((sum, { amount }) => sum + amount, 0)
  if (grams === 0) return context
  return { ...context, figures: { ...context.figures, saltKg: Math.max(context.figures.saltKg ?? 0, grams / GRAMS_PER_KG) } }
}

/** What a step's stop is about, where it has one; products have theirs wherever they are given. */
export type StopKind = NonNullable<JobStep['gate']> | 'dose'

/**
 * Whether a step may be done now: its own gate, and what its products ask for.
 * @param recent doses at this pond before this step
 * @returns null where nothing decides
 */
export function judgeStep(
  step: JobStep,
  context: GateContext,
  answer: Pick<StepAnswer, 'doses'>,
  products: readonly Product[],
  recent: readonly GivenDose[],
): { readonly kind: StopKind; readonly gate: GateOutcome } | null {
  const doses = doseReasons(answer, products, recent, context.readings)
  if (!step.gate) return doses.length > 0 ? { kind: 'dose', gate: outcomeOf(doses) } : null
  const gate = judgeGate(step.gate, withSalt(context, answer, products))
  if (doses.length === 0) return { kind: step.gate, gate }
  return { kind: step.gate, gate: outcomeOf([...(gate.status === 'stop' ? gate.reasons : []), ...doses]) }
}
