import { errorFunction } from 'simple-statistics'

/** Share of a standard normal below z. @source errorFunction: Abramowitz & Stegun 7.1.26, error below 1.5e-7 */
export const normalShareBelow = (z: number): number => 0.5 * (1 + errorFunction(z / Math.SQRT2))

export const normalDensity = (z: number): number => Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI)

/** Standard deviations that hold 80 % of a normal between them, either way from its middle. */
export const Z90 = 1.2815515655446004

/** Furthest that a quantile is looked for: beyond it the share itself is not known so well. */
const REACH = 6

/**
 * Value below which a share of a standard normal lies.
 * @param share 0..1; 0 and 1 give the ends of what is looked for, ±6
 * @source Newton's method on the share, from the logistic approximation
 */
export function normalQuantile(share: number): number {
  const held = Math.min(1 - 1e-9, Math.max(1e-9, share))
  let z = Math.log(held / (1 - held)) / 1.702
  for (let i = 0; i < 12; i++) {
    const step = (normalShareBelow(z) - held) / Math.max(normalDensity(z), 1e-12)
    z = Math.min(REACH, Math.max(-REACH, z - Math.max(-1, Math.min(1, step))))
    if (Math.abs(step) < 1e-10) break
  }
  return z
}
