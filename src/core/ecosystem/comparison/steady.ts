import type { Band } from './comparison'

/** A middle line that stays within this share of its chart's height says no more than one figure does. */
const STEADY_SHARE = 0.1

/**
 * Whether lines hardly move, hardly differ and come near no limit: then a chart of them tells nothing that a figure
 * does not.
 * @param bands  one for each option, of the same output
 * @param limits  values at which somebody would act, in the output's unit
 */
export function isSteady(bands: readonly Band[], limits: readonly number[]): boolean {
  const middles = bands.flatMap((b) => b.p50)
  const [low, high] = [Math.min(...bands.flatMap((b) => b.p10)), Math.max(...bands.flatMap((b) => b.p90))]
  const moves = Math.max(...middles) - Math.min(...middles)
  return moves <= STEADY_SHARE * Math.max(Math.abs(high), Math.abs(low)) && !limits.some((l) => l >= low && l <= high)
}
