import { recordOf } from '../numeric/record-of'
import { normalDeviate, type Random } from '../numeric/random'
import { OBSERVED, OBSERVED_KINDS, type ObservedKind } from './observed'

/** How far a pond stands off the model, by kind on its scale: above 0 where there is more than the model has. */
export type Biases = Readonly<Record<ObservedKind, number>>

/** How far biases wander at this pond, as a multiple of what they do once a pond is known. */
export type Wander = Readonly<Record<ObservedKind, number>>
/**
 * Of a pond that was never read: what its file leaves out (its water supply, its sun, its keepers) may be anything.
 * Each calm reading takes some of it back. @source house default
 */
export const UNREAD_WANDER: Wander = recordOf(OBSERVED_KINDS, () => 4)

/** @source house defaults: one surprise widens by half, a calm test takes a tenth back */
const SURPRISE = { perSquare: 0.2, expected: 0.8, furthest: 6, widest: 12, mostAtOnce: 2 } as const

/**
 * The wander of a kind once a reading is met: wider after one that lay far out, so that a pond which is not as the
 * model has it is followed, and is told less surely.
 * @param out how far the reading lay from what was expected, in standard deviations of both
 * @source adaptive inflation by innovations, after Anderson 2007
 */
export function wanderAfter(wander: number, out: number): number {
  const { perSquare, expected, furthest, widest, mostAtOnce } = SURPRISE
  const step = Math.exp(perSquare * (Math.min(out * out, furthest) - expected))
  return Math.min(widest, Math.max(1, wander * Math.min(mostAtOnce, step)))
}

/** Weeks after which little of a pond's bias is left. @source house default: what is fed and grows changes by then */
const LASTS_DAYS = 60

/** Before anything was read: as far as ponds may stand off the model. */
export const drawBias = (random: Random, wander: Wander): Biases =>
  recordOf(OBSERVED_KINDS, (kind) => wander[kind] * OBSERVED[kind].biasSd * normalDeviate(random))

/**
 * A bias some days later: drawn back toward none, and wandering by as much, so that what is believed before anything
 * is read comes back where nothing is read for long.
 * @source first-order autoregressive bias beside an ensemble, as in Dee & da Silva 1998
 */
export function nextBias(bias: Biases, days: number, random: Random, wander: Wander): Biases {
  const kept = Math.exp(-days / LASTS_DAYS)
  return recordOf(
    OBSERVED_KINDS,
    (kind) =>
      kept * bias[kind] + Math.sqrt(1 - kept ** 2) * wander[kind] * OBSERVED[kind].biasSd * normalDeviate(random),
  )
}

/** A bias on the days ahead, from the first on: it wanders off along one line a run. */
export function biasPath(kind: ObservedKind, bias: number, days: number, random: Random, wander: Wander): number[] {
  const way = wander[kind] * OBSERVED[kind].biasSd * normalDeviate(random)
  return Array.from({ length: days }, (_, d) => {
    const kept = Math.exp(-d / LASTS_DAYS)
    return kept * bias + Math.sqrt(1 - kept ** 2) * way
  })
}
