import { daysBetween, type IsoDate } from '../numeric/calendar'
import { recordOf } from '../numeric/record-of'
import { factorAfter, type FactorBelief, type PastTest } from '../statistics/calibration'
import { LEAD_KEYS, type Lead } from './leads'
import { SCORED_KINDS, type ScoredKind } from './scored'

/** One past test beside what had been forecast of it, on the scale of its kind. */
export interface PastScore extends Omit<PastTest, 'weight'> {
  readonly kind: ScoredKind
  readonly lead: Lead
  readonly day: IsoDate
}

/** By how much bands are made wider than the model's own, by what was forecast and how far ahead. */
export type Stretches = Readonly<Record<ScoredKind, Readonly<Record<Lead, number>>>>

/** Bands as the model has them: of a pond that was never held to account. */
export const UNSTRETCHED: Stretches = recordOf(SCORED_KINDS, () => recordOf(LEAD_KEYS, () => 1))

/** A test counts half as much after so many days: another season asks other things. @source house default */
const HALVES_DAYS = 45
/**
 * How far ponds differ in how well the model suits them, and kinds of one pond from one another: logarithms.
 * @source house defaults
 */
const SPREAD = { pond: 0.4, kind: 0.4 } as const
/** Water chemistry that errs together: who is wrong of the algae is wrong of pH and oxygen. Heat is another matter. */
const OF_WATER: readonly ScoredKind[] = SCORED_KINDS.filter((kind) => kind !== 'waterTemp')

/**
 * What a pond's past scores ask of its next bands. What one kind of test shows counts for the others too, so that
 * what is hardly ever tested is not told more surely than what is.
 */
export function stretchesOf(past: readonly PastScore[], today: IsoDate): Stretches {
  const byLead = recordOf(LEAD_KEYS, (lead) => {
    const tests = recordOf(SCORED_KINDS, (kind) =>
      past
        .filter((score) => score.kind === kind && score.lead === lead)
        .map((score): PastTest => ({ ...score, weight: 0.5 ** (daysBetween(score.day, today) / HALVES_DAYS) })),
    )
    const pond = pondBelief(OF_WATER.map((kind) => tests[kind]))
    return recordOf(SCORED_KINDS, (kind) => {
      const before = OF_WATER.includes(kind) ? pond : 0
      return Math.exp(factorAfter(tests[kind], { middle: before, sd: SPREAD.kind }).middle)
    })
  })
  return recordOf(SCORED_KINDS, (kind) => recordOf(LEAD_KEYS, (lead) => byLead[lead][kind]))
}

/** How well the model suits a pond as a whole: the kinds' own findings, each as far as it is known, and none before. */
function pondBelief(kinds: readonly (readonly PastTest[])[]): number {
  const alone: FactorBelief = { middle: 0, sd: Math.hypot(SPREAD.pond, SPREAD.kind) }
  let [sum, weights] = [0, 1 / SPREAD.pond ** 2]
  for (const tests of kinds.filter((each) => each.length > 0)) {
    const { middle, sd } = factorAfter(tests, alone)
    // what the tests themselves say, without the belief they were weighed against
    const own = 1 / sd ** 2 - 1 / alone.sd ** 2
    if (own <= 0) continue
    const said = middle / sd ** 2 / own
    const weight = 1 / (1 / own + SPREAD.kind ** 2)
    sum += weight * said
    weights += weight
  }
  return sum / weights
}
