import { normalDensity, normalShareBelow, Z90 } from './normal'
import { tDensity, tShareBelow } from './student-t'
import type { Spread } from './two-piece-normal'

/** One past test beside what had been forecast of it, all on one scale. */
export interface PastTest {
  /** What the model itself had said, before anything was made wider. */
  readonly forecast: Spread
  /** The test lay between these; the same twice where it is exact. */
  readonly low: number
  readonly high: number
  /** Standard deviation that the test itself adds. */
  readonly scatter: number
  /** 1 for one of today, less for an older one. */
  readonly weight: number
}

/** What is believed of the factor before a test: its middle and its spread as logarithms. */
export interface FactorBelief {
  readonly middle: number
  readonly sd: number
}

/** Factors that are weighed, and how finely. */
const GRID = { from: Math.log(0.25), to: Math.log(8), points: 56 } as const
const STEP = (GRID.to - GRID.from) / (GRID.points - 1)
const FACTORS = Array.from({ length: GRID.points }, (_, i) => GRID.from + i * STEP)

/**
 * By how much the spread of a forecast has to be made wider, judged by tests that came after: a handful of tests is
 * weighed against what was believed before, since the share of them that a band held would tell next to nothing.
 * @returns the belief about the factor's logarithm once the tests are known
 * @source variance inflation by Bayes' rule on a grid; errors follow Student's t, so that one slip widens little.
 *   Discounted likelihoods for tests that are not exchangeable: West & Harrison 1997
 */
export function factorAfter(tests: readonly PastTest[], before: FactorBelief): FactorBelief {
  const logs = FACTORS.map(
    (factor) =>
      -0.5 * ((factor - before.middle) / before.sd) ** 2 +
      tests.reduce((sum, test) => sum + test.weight * Math.log(likelihoodOf(test, Math.exp(factor))), 0),
  )
  const most = Math.max(...logs)
  const weights = logs.map((log) => Math.exp(log - most))
  const total = weights.reduce((a, b) => a + b, 0)
  const middle = weights.reduce((sum, w, i) => sum + w * FACTORS[i]!, 0) / total
  const variance = weights.reduce((sum, w, i) => sum + w * (FACTORS[i]! - middle) ** 2, 0) / total
  return { middle, sd: Math.max(Math.sqrt(variance), STEP / 2) }
}

/** Student's t with four degrees of freedom reaches as far as a normal at 90 % where its scale is so much less. */
const T_SCALE = 0.836

/** One test in so many is a slip, or an event that nobody logged: it lies so many spreads off. @source house default */
const SLIP = { share: 0.04, spreads: 8 } as const

function likelihoodOf({ forecast, low, high, scatter }: PastTest, factor: number): number {
  const spreadAt = (value: number, times: number) => {
    const half = value < forecast.p50 ? forecast.p50 - forecast.p10 : forecast.p90 - forecast.p50
    return Math.hypot((times * half) / Z90, scatter)
  }
  const mixed = (plain: number, slipped: number) => (1 - SLIP.share) * plain + SLIP.share * slipped + 1e-12
  if (high - low < 1e-9) {
    const off = low - forecast.p50
    const [sd, wide] = [T_SCALE * spreadAt(low, factor), SLIP.spreads * spreadAt(low, 1)]
    return mixed(tDensity(off / sd) / sd, normalDensity(off / wide) / wide)
  }
  const below = (value: number, share: (z: number) => number, spread: number) =>
    Number.isFinite(value) ? share((value - forecast.p50) / spread) : Number(value > 0)
  const between = (share: (z: number) => number, spread: (value: number) => number) =>
    below(high, share, spread(high)) - below(low, share, spread(low))
  return mixed(
    between(tShareBelow, (value) => T_SCALE * spreadAt(value, factor)),
    between(normalShareBelow, (value) => SLIP.spreads * spreadAt(value, 1)),
  )
}
