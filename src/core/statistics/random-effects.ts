import { findRoot } from '../numeric/root'

/** An estimate with its standard deviation, both in one unit. */
export interface Measured {
  readonly value: number
  readonly sd: number
}

/** Minimum-variance combination of estimates that err independently. @source any statistics text */
export function inverseVariance(estimates: readonly Measured[]): Measured {
  const weights = estimates.map(({ sd }) => 1 / (sd * sd))
  const total = weights.reduce((a, b) => a + b, 0)
  return {
    value: estimates.reduce((sum, { value }, i) => sum + value * weights[i]!, 0) / total,
    sd: Math.sqrt(1 / total),
  }
}

const widened = (estimates: readonly Measured[], by: number): Measured[] =>
  estimates.map(({ value, sd }) => ({ value, sd: Math.hypot(sd, by) }))

function scatterOf(estimates: readonly Measured[]): number {
  const { value: mean } = inverseVariance(estimates)
  return estimates.reduce((sum, { value, sd }) => sum + ((value - mean) / sd) ** 2, 0)
}

/**
 * Random effects: estimates that scatter more than they say are each taken to err by so much more, until their scatter
 * is what is to be expected of them; by nothing more where they agree.
 * @returns the combination, plain inverse variance where they agree
 * @source Paule & Mandel 1982
 */
export function pauleMandel(estimates: readonly Measured[]): Measured {
  const tooMuch = (by: number) => scatterOf(widened(estimates, by)) - (estimates.length - 1)
  if (tooMuch(0) <= 0) return inverseVariance(estimates)
  const values = estimates.map(({ value }) => value)
  // their whole range as further error leaves less scatter than is to be expected
  const range = Math.max(...values) - Math.min(...values)
  return inverseVariance(widened(estimates, findRoot(tooMuch, { low: 0, high: 2 * range }, 1e-9 * range).x))
}
