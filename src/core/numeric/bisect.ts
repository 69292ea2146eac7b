export interface Bracket {
  low: number
  high: number
}

export type RootOutcome = { status: 'converged'; x: number; steps: number } | { status: 'no-sign-change' | 'max-steps'; x: number; steps: number }

/**
 * Root of a continuous function inside a bracket by bisection.
 * @param tolerance half-width of the final bracket, in units of x
 * @returns status; x is the best estimate so far in every case
 */
export function bisect(f: (x: number) => number, { low, high }: Bracket, tolerance: number, maxSteps = 200): RootOutcome {
  let fLow = f(low)
  const fHigh = f(high)
  if (fLow === 0) return { status: 'converged', x: low, steps: 0 }
  if (fHigh === 0) return { status: 'converged', x: high, steps: 0 }
  if (!(fLow * fHigh < 0)) return { status: 'no-sign-change', x: Math.abs(fLow) < Math.abs(fHigh) ? low : high, steps: 0 }
  for (let step = 1; step <= maxSteps; step++) {
    const middle = (low + high) / 2
    const fMiddle = f(middle)
    if (fMiddle === 0 || (high - low) / 2 <= tolerance) return { status: 'converged', x: middle, steps: step }
    if (fLow * fMiddle < 0) high = middle
    else {
      low = middle
      fLow = fMiddle
    }
  }
  return { status: 'max-steps', x: (low + high) / 2, steps: maxSteps }
}
