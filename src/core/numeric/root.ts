export interface Bracket {
  low: number
  high: number
}

export type RootOutcome =
  | { status: 'converged'; x: number; steps: number }
  | { status: 'no-sign-change' | 'max-steps'; x: number; steps: number }

const MAX_STEPS = 200

/**
 * Root of a continuous function inside a bracket: false position with the Illinois halving, and a bisection whenever
 * the bracket has not shrunk to half in three steps, so that it never stalls.
 * @param tolerance accepted error of the root, in units of x
 * @returns status; x is the best estimate so far in every case
 * @source Dowell & Jarratt 1971
 */
export function findRoot(f: (x: number) => number, bracket: Bracket, tolerance: number): RootOutcome {
  let [a, b] = [bracket.low, bracket.high]
  let [fa, fb] = [f(a), f(b)]
  if (fa === 0) return { status: 'converged', x: a, steps: 0 }
  if (fb === 0) return { status: 'converged', x: b, steps: 0 }
  if (!(fa * fb < 0)) return { status: 'no-sign-change', x: Math.abs(fa) < Math.abs(fb) ? a : b, steps: 0 }
  let width = Math.abs(b - a)
  let last = Number.NaN
  for (let step = 1; step <= MAX_STEPS; step++) {
    const lagging = step % 3 === 0 && Math.abs(b - a) > width / 2
    if (step % 3 === 0) width = Math.abs(b - a)
    // halving can bring both ends so near to nothing that their difference is nothing
    const x = lagging || fb === fa ? (a + b) / 2 : b - (fb * (b - a)) / (fb - fa)
    const fx = f(x)
    if (fx === 0) return { status: 'converged', x, steps: step }
    // keep the root between a and b; the same end moved twice halves the weight of the other
    if (fx * fb < 0) [a, fa] = [b, fb]
    else fa /= 2
    ;[b, fb] = [x, fx]
    if (Math.abs(b - a) <= tolerance) return { status: 'converged', x, steps: step }
    if (Math.abs(x - last) <= tolerance) {
      // small steps prove nothing on a flat curve: the root is here only if the sign turns within the tolerance
      const beyond = b + Math.sign(a - b) * tolerance
      const fBeyond = f(beyond)
      if (fBeyond * fb <= 0) return { status: 'converged', x, steps: step }
      ;[b, fb] = [beyond, fBeyond]
    }
    last = x
  }
  return { status: 'max-steps', x: last, steps: MAX_STEPS }
}
