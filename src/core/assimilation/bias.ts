import { recordOf } from '../numeric/record-of'
import { normalDeviate, type Random } from '../numeric/random'
import { OBSERVED, OBSERVED_KINDS, type ObservedKind } from './observed'

/** How far a pond stands off the model, by kind on its scale: above 0 where there is more than the model has. */
export type Biases = Readonly<Record<ObservedKind, number>>

/** Weeks after which little of a pond's bias is left. @source house default: what is fed and grows changes by then */
const LASTS_DAYS = 60

/** Before anything was read: by what sound models of ponds stand off as a rule. */
export const drawBias = (random: Random): Biases =>
  recordOf(OBSERVED_KINDS, (kind) => OBSERVED[kind].biasSd * normalDeviate(random))

/**
 * A bias some days later: drawn back toward none, and wandering by as much, so that what is believed before anything
 * is read comes back where nothing is read for long.
 * @source first-order autoregressive bias beside an ensemble, as in Dee & da Silva 1998
 */
export function nextBias(bias: Biases, days: number, random: Random): Biases {
  const kept = Math.exp(-days / LASTS_DAYS)
  return recordOf(
    OBSERVED_KINDS,
    (kind) => kept * bias[kind] + Math.sqrt(1 - kept ** 2) * OBSERVED[kind].biasSd * normalDeviate(random),
  )
}

/** A bias on the days ahead, from the first on: it wanders off along one line a run. */
export function biasPath(kind: ObservedKind, bias: number, days: number, random: Random): number[] {
  const way = normalDeviate(random)
  return Array.from({ length: days }, (_, d) => {
    const kept = Math.exp(-d / LASTS_DAYS)
    return kept * bias + Math.sqrt(1 - kept ** 2) * OBSERVED[kind].biasSd * way
  })
}
