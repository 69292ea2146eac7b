/** A first-order system dy/dt = f(t, y). `rates` writes into `dy` and must not keep or change `y`. */
export interface RateSystem {
  readonly size: number
  rates(t: number, y: Float64Array, dy: Float64Array): void
}

export interface StepTolerance {
  readonly relative: number
  /** One per state, in the state's unit; Infinity leaves a state out of the error estimate. */
  readonly absolute: Float64Array
}

export type AdvanceStatus = 'done' | 'step-too-small' | 'too-many-steps'

const SAFETY = 0.9
const [MIN_FACTOR, MAX_FACTOR] = [0.2, 4]
const MAX_STEPS = 5_000_000

/**
 * Steps a system of states that cannot be negative, with an error estimate for each step.
 * Third-order Runge–Kutta with an embedded second-order solution. Stages are evaluated at max(0, y) and a step that
 * would leave
 * a state below zero is halved, so states stay positive; sums that the rates conserve are conserved to rounding, as
 * in every Runge–Kutta method.
 * @source Bogacki & Shampine 1989
 */
export class EmbeddedPair {
  private readonly k1: Float64Array
  private readonly k2: Float64Array
  private readonly k3: Float64Array
  private readonly k4: Float64Array
  private readonly stage: Float64Array
  private readonly next: Float64Array
  private stepSize = Number.NaN
  /** Steps taken and steps thrown away since the integrator was made. */
  taken = 0
  rejected = 0

  constructor(
    private readonly system: RateSystem,
    private readonly tolerance: StepTolerance,
  ) {
    const vector = () => new Float64Array(system.size)
    ;[this.k1, this.k2, this.k3, this.k4, this.stage, this.next] = [
      vector(),
      vector(),
      vector(),
      vector(),
      vector(),
      vector(),
    ]
  }

  /**
   * Moves y from one time to another in place. Rates may jump between calls but not within one.
   * @param y states, none negative; changed in place up to the time reached
   */
  advance(y: Float64Array, from: number, to: number): AdvanceStatus {
    const span = to - from
    if (span <= 0) return 'done'
    const min = Math.max(span * 1e-12, 1e-13)
    let t = from
    let h = Number.isNaN(this.stepSize) ? span / 16 : Math.min(span, this.stepSize)
    this.system.rates(t, y, this.k1)
    for (let step = 0; step < MAX_STEPS; step++) {
      const last = t + h >= to - min
      if (last) h = to - t
      const error = this.attempt(t, h, y)
      if (error <= 1) {
        copy(this.next, y)
        this.taken++
        t += h
        if (!last || this.stepSize < h || Number.isNaN(this.stepSize)) this.stepSize = h * growth(error)
        if (last) return 'done'
        h = this.stepSize
        copy(this.k4, this.k1)
      } else {
        this.rejected++
        h *= error === Infinity ? 0.5 : Math.max(MIN_FACTOR, growth(error))
        this.stepSize = h
        if (h < min) return 'step-too-small'
      }
    }
    return 'too-many-steps'
  }

  /** One step into `next`; its error in tolerances (max norm), Infinity where a state would be negative. */
  private attempt(t: number, h: number, y: Float64Array): number {
    const { k1, k2, k3, k4, stage, next, system } = this
    const n = system.size
    for (let i = 0; i < n; i++) stage[i] = notBelowZero(y[i]! + 0.5 * h * k1[i]!)
    system.rates(t + 0.5 * h, stage, k2)
    for (let i = 0; i < n; i++) stage[i] = notBelowZero(y[i]! + 0.75 * h * k2[i]!)
    system.rates(t + 0.75 * h, stage, k3)
    for (let i = 0; i < n; i++) {
      const value = y[i]! + h * ((2 / 9) * k1[i]! + (1 / 3) * k2[i]! + (4 / 9) * k3[i]!)
      if (!(value >= 0)) return Infinity
      next[i] = value
    }
    system.rates(t + h, next, k4)
    const { relative, absolute } = this.tolerance
    let worst = 0
    for (let i = 0; i < n; i++) {
      const error = Math.abs(h * ((-5 / 72) * k1[i]! + (1 / 12) * k2[i]! + (1 / 9) * k3[i]! - (1 / 8) * k4[i]!))
      const scale = absolute[i]! + relative * (y[i]! > next[i]! ? y[i] : next[i])!
      if (error > worst * scale) worst = error / scale
    }
    return worst
  }
}

/** For a few dozen numbers a plain loop is faster than the typed array's own `set`. */
function copy(from: Float64Array, to: Float64Array): void {
  for (let i = 0; i < from.length; i++) to[i]! = from[i]!
}

const notBelowZero = (value: number): number => (value > 0 ? value : 0)

/** Factor for the next step from an error in tolerances. */
const growth = (error: number): number => (error < 1e-6 ? MAX_FACTOR : Math.min(MAX_FACTOR, SAFETY / Math.cbrt(error)))
