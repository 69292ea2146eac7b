import { DomainError } from '../errors'

/**
 * Monotone cubic interpolation through points with rising x (no overshoot between points).
 * Outside the points the end value is held.
 * @throws {DomainError} fewer than two points or x not strictly rising
 * @source Fritsch & Carlson 1980, slopes by the Fritsch–Butland harmonic mean
 */
export function monotoneCubic(xs: readonly number[], ys: readonly number[]): (x: number) => number {
  if (xs.length < 2 || xs.length !== ys.length) throw new DomainError('points', xs.length, 'at least two x–y pairs')
  for (let i = 1; i < xs.length; i++)
    if (!(xs[i]! > xs[i - 1]!)) throw new DomainError('x', xs[i], 'rising from point to point')
  const secants = xs.slice(1).map((x, i) => (ys[i + 1]! - ys[i]!) / (x - xs[i]!))
  const slopes = xs.map((_, i) => {
    if (i === 0) return secants[0]
    if (i === xs.length - 1) return secants[secants.length - 1]
    const [before, after] = [secants[i - 1]!, secants[i]!]
    return before * after <= 0 ? 0 : (2 * before * after) / (before + after)
  })
  return (x) => {
    if (x <= xs[0]!) return ys[0]!
    if (x >= xs[xs.length - 1]!) return ys[ys.length - 1]!
    let i = 0
    while (x > xs[i + 1]!) i++
    const h = xs[i + 1]! - xs[i]!
    const t = (x - xs[i]!) / h
    const [t2, t3] = [t * t, t * t * t]
    return (
      (2 * t3 - 3 * t2 + 1) * ys[i]! +
      (t3 - 2 * t2 + t) * h * slopes[i]! +
      (-2 * t3 + 3 * t2) * ys[i + 1]! +
      (t3 - t2) * h * slopes[i + 1]!
    )
  }
}
