import { inverse, Matrix, solve } from 'ml-matrix'
import { DomainError } from '../errors'

export interface LeastSquaresProblem {
  /** Residuals at a point, each divided by its own uncertainty; their number must not change. */
  readonly residuals: (point: readonly number[]) => readonly number[]
  readonly start: readonly number[]
  /** Lowest and highest allowed value of each unknown. */
  readonly bounds: readonly (readonly [number, number])[]
  readonly maxSteps?: number
}

export interface LeastSquaresFit {
  readonly status: 'converged' | 'max-steps'
  readonly point: readonly number[]
  readonly sumOfSquares: number
  readonly steps: number
  /** Of the unknowns, as far as residuals of one standard deviation each tell. */
  readonly covariance: () => number[][]
}

const SMALL_STEP = 1e-4
const ENOUGH = 1e-7

/**
 * Smallest sum of squares by damped Gauss–Newton steps with finite differences, inside bounds. Made for a handful of
 * unknowns.
 * @throws {DomainError} no unknown, or a start outside its bounds
 * @source Marquardt 1963
 */
export function leastSquares({ residuals, start, bounds, maxSteps = 60 }: LeastSquaresProblem): LeastSquaresFit {
  if (start.length === 0 || start.length !== bounds.length)
    throw new DomainError('start', start.length, 'one value and one pair of bounds per unknown')
  start.forEach((value, i) => {
    if (!(value >= bounds[i]![0] && value <= bounds[i]![1]))
      throw new DomainError(`start.${i}`, value, `${bounds[i]![0]} to ${bounds[i]![1]}`)
  })
  const inside = (point: readonly number[]) =>
    point.map((value, i) => Math.min(bounds[i]![1], Math.max(bounds[i]![0], value)))
  const squares = (r: readonly number[]) => r.reduce((sum, x) => sum + x * x, 0)
  let point = [...start]
  let r = residuals(point)
  let best = squares(r)
  let damping = 1e-2
  for (let step = 1; step <= maxSteps; step++) {
    const slopes = jacobian(residuals, point, r, bounds)
    const before = best
    for (let attempt = 0; attempt < 8; attempt++) {
      const change = dampedStep(slopes, r, damping)
      const tried = inside(point.map((value, i) => value + change[i]!))
      const there = residuals(tried)
      const sum = squares(there)
      if (sum < best) {
        ;[point, r, best] = [tried, there, sum]
        damping = Math.max(1e-9, damping / 5)
        break
      }
      damping *= 5
    }
    if (before - best <= ENOUGH * (before + ENOUGH))
      return { status: 'converged', point, sumOfSquares: best, steps: step, covariance: covarianceAt(point, r) }
  }
  return { status: 'max-steps', point, sumOfSquares: best, steps: maxSteps, covariance: covarianceAt(point, r) }

  function covarianceAt(at: readonly number[], there: readonly number[]) {
    return () => inverse(new Matrix(normalOf(jacobian(residuals, at, there, bounds), 0))).to2DArray()
  }
}

/** One column of slopes per unknown; at an upper bound the difference is taken inward. */
function jacobian(
  residuals: LeastSquaresProblem['residuals'],
  point: readonly number[],
  r: readonly number[],
  bounds: LeastSquaresProblem['bounds'],
): number[][] {
  return point.map((value, i) => {
    const span = SMALL_STEP * Math.max(1, Math.abs(value))
    const h = value + span > bounds[i]![1] ? -span : span
    const there = residuals(point.map((v, k) => (k === i ? v + h : v)))
    return there.map((x, k) => (x - r[k]!) / h)
  })
}

const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, x, i) => sum + x * b[i]!, 0)

/** JᵀJ with its diagonal made larger by a share. */
const normalOf = (slopes: readonly number[][], damping: number): number[][] =>
  slopes.map((a, i) => slopes.map((b, k) => dot(a, b) * (i === k ? 1 + damping : 1) + (i === k ? 1e-12 : 0)))

/** Solves (JᵀJ + λ·diag) δ = −Jᵀr. */
function dampedStep(slopes: readonly number[][], r: readonly number[], damping: number): number[] {
  const downhill = slopes.map((a) => [-dot(a, r)])
  return solve(new Matrix(normalOf(slopes, damping)), new Matrix(downhill)).to1DArray()
}
