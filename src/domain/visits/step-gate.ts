import { judgeGate } from '../../core/visits/gates'
import { outcomeOf, type GateContext, type GateOutcome, type GateReason } from '../../core/visits/gates/gate'
import type { VisitStep } from '../../core/visits/step'
import { doseProblems, type GivenDose, type Product } from '../../core/water/dosing/products'
import type { StepAnswer } from './visit'
import { fishTakenOut, type FishInTanks, type StepState } from './visit-progress'
import { MINUTE_MS } from '../../core/numeric/time'

/** Below this a flocculant takes what is left of the buffer, °dH. @source house default */
const FLOCCULANT_MIN_KH = 3

const GRAMS_PER_KG = 1000

/** Products of an answer with how much of each. */
function givenOf(
  answer: Pick<StepAnswer, 'doses'>,
  products: readonly Product[],
): { readonly product: Product; readonly amount: number }[] {
  return (answer.doses ?? []).flatMap(({ productKey, amount }) => {
    const product = products.find((p) => p.key === productKey)
    return product && amount > 0 ? [{ product, amount }] : []
  })
}

/** Why what is about to be given has to wait: the label's gap and course, and a flocculant without buffer. */
function doseReasons(
  answer: Pick<StepAnswer, 'doses'>,
  products: readonly Product[],
  recent: readonly GivenDose[],
  readings: GateContext['readings'],
): GateReason[] {
  return givenOf(answer, products).flatMap(({ product, amount }): GateReason[] => {
    const again = doseProblems(product, amount, { volumeM3: 0, waterC: null, recent }).flatMap((p): GateReason[] => {
      if (p.code === 'too-soon')
        return [{ code: 'dose-too-soon', product: product.name, hours: p.hours, hoursAgo: p.hoursAgo }]
      return p.code === 'course-over'
        ? [{ code: 'dose-course-over', product: product.name, times: p.times, days: p.days }]
        : []
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
  return {
    ...context,
    figures: { ...context.figures, saltKg: Math.max(context.figures.saltKg ?? 0, grams / GRAMS_PER_KG) },
  }
}

/** What a step's stop is about, where it has one; products have theirs wherever they are given. */
export type StopKind = NonNullable<VisitStep['gate']> | 'dose' | 'timer' | 'count'

/**
 * Whether a step may be done now: its own gate, and what its products ask for.
 * @param recent doses at this pond before this step
 * @returns null where nothing decides
 */
export function judgeStep(
  step: VisitStep,
  context: GateContext,
  answer: Pick<StepAnswer, 'doses' | 'fish' | 'losses'>,
  products: readonly Product[],
  recent: readonly GivenDose[],
  visit: VisitSoFar,
): { readonly kind: StopKind; readonly gate: GateOutcome } | null {
  const doses = doseReasons(answer, products, recent, context.readings)
  const waiting = timerReasons(step, visit)
  const counted = countReasons(step, answer, visit)
  const more = [...waiting, ...counted, ...doses]
  if (!step.gate) {
    const waitsFor = () => {
      if (waiting.length > 0) return 'timer'
      if (counted.length > 0) return 'count'
      return 'dose'
    }
    const kind = waitsFor()
    return more.length > 0 || step.waits ? { kind: step.waits ? 'timer' : kind, gate: outcomeOf(more) } : null
  }
  const gate = judgeGate(step.gate, withSalt(context, answer, products))
  if (more.length === 0) return { kind: step.gate, gate }
  return { kind: step.gate, gate: outcomeOf([...(gate.status === 'stop' ? gate.reasons : []), ...more]) }
}

/** What has happened on the visit that stops go by, beside its tests. */
export interface VisitSoFar {
  readonly states: ReadonlyMap<string, StepState>
  /** Fish that an earlier day of the same work took out. */
  readonly fishInTanks?: FishInTanks | null
  /** When this step's timer was last started, ISO time. */
  readonly timerStartedAt: string | null
  /** ms since 1970 */
  readonly atMs: number
}

/** A step that waits is not done before its timer has run out. */
function timerReasons({ waits, timerMinutes }: VisitStep, { timerStartedAt, atMs }: VisitSoFar): GateReason[] {
  if (!waits || !timerMinutes) return []
  if (timerStartedAt === null) return [{ code: 'timer-not-started', minutes: timerMinutes }]
  // a clock that was last looked at before the start, or set right since, makes no timer longer than it is
  const leftMin = Math.min(timerMinutes, timerMinutes - (atMs - Date.parse(timerStartedAt)) / MINUTE_MS)
  return leftMin > 0 ? [{ code: 'timer-running', leftMin }] : []
}

/** As many fish come back as went out, but for those that are written down as lost. */
function countReasons(
  step: VisitStep,
  answer: Pick<StepAnswer, 'fish' | 'losses'>,
  { states, fishInTanks }: VisitSoFar,
): GateReason[] {
  const went = fishTakenOut(states) ?? fishInTanks
  if (step.key !== 'fish-back' || !answer.fish || !went) return []
  const out = went.count
  const back = answer.fish.reduce((sum, line) => sum + line.count, 0)
  // lost on the way out or back; those lost in between are written down at either
  const lost = (answer.losses ?? 0) + went.losses
  const accounted = back + (answer.losses ?? 0)
  return accounted === out || back + lost === out ? [] : [{ code: 'fish-missing', out, back, lost: answer.losses ?? 0 }]
}
