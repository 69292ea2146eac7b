import { assertInRange, DomainError } from '../errors'
import { EmbeddedPair, type RateSystem } from '../numeric/embedded-pair'

/** Parameters of the plain model; concentrations in g/m³ (N, COD or O2), times in days. */
export interface PlainNitrification {
  readonly mu1: number
  readonly theta1: number
  readonly K1: number
  readonly KO1: number
  readonly mu2: number
  readonly theta2: number
  readonly K2: number
  readonly KO2: number
  readonly Y1: number
  readonly Y2: number
  readonly b1: number
  readonly b2: number
  readonly thetab: number
  readonly D: number
  readonly Sin1: number
  readonly Sin3: number
  readonly U: number
  readonly KU: number
  readonly oxygenMode: 'fixed' | 'dynamic'
  readonly DO: number
  readonly kLa: number
  readonly Osat: number
  readonly R: number
  readonly T_mean: number
  readonly T_slope: number
  readonly T_amp: number
  readonly T_period: number
  readonly L0: number
  readonly L1: number
  readonly tStep: number | null
  /** S1, S2, S3, X1, X2, O at day 0. */
  readonly start: readonly [number, number, number, number, number, number]
  /** Water replaced at once. */
  readonly events: readonly { readonly day: number; readonly fraction: number }[]
}

export interface PlainNitrificationRun {
  readonly tan: readonly number[]
  readonly nitrite: readonly number[]
  readonly nitrate: readonly number[]
  readonly x1: readonly number[]
  readonly x2: readonly number[]
  readonly oxygen: readonly number[]
}

const [S1, S2, S3, X1, X2, O] = [0, 1, 2, 3, 4, 5]
/** Oxygen used by the first and second step, g per g N. */
const OXYGEN = { first: 3.43, second: 1.14, respirationHalfMgL: 0.2 } as const
const TOLERANCE = { relative: 1e-7, absolute: 1e-10 } as const

class PlainSystem implements RateSystem {
  readonly size = 6
  /** The load in force between breaks; a jump inside a step would cost accuracy. */
  load = 0
  constructor(private readonly p: PlainNitrification) {}

  rates(t: number, y: Float64Array, dy: Float64Array): void {
    const { p } = this
    const wave = p.T_amp === 0 ? 0 : p.T_amp * Math.sin((2 * Math.PI * t) / p.T_period)
    const above20 = p.T_mean + p.T_slope * t + wave - 20
    const oxygen = p.oxygenMode === 'fixed' ? p.DO : y[O]
    const f1 = p.mu1 * p.theta1 ** above20 * (y[S1]! / (p.K1 + y[S1]!)) * (oxygen! / (p.KO1 + oxygen!))
    const f2 = p.mu2 * p.theta2 ** above20 * (y[S2]! / (p.K2 + y[S2]!)) * (oxygen! / (p.KO2 + oxygen!))
    const [r1, r2] = [(f1 * y[X1]!) / p.Y1, (f2 * y[X2]!) / p.Y2]
    const decay = p.thetab ** above20
    dy[S1] = this.load - r1 + p.D * (p.Sin1 - y[S1]!)
    dy[S2] = r1 - r2 - p.D * y[S2]!
    const uptake = p.U === 0 ? 0 : (p.U * y[S3]!) / (p.KU + y[S3]!)
    dy[S3] = r2 - uptake + p.D * (p.Sin3 - y[S3]!)
    dy[X1] = (f1 - p.b1 * decay) * y[X1]!
    dy[X2] = (f2 - p.b2 * decay) * y[X2]!
    dy[O] =
      p.oxygenMode === 'fixed'
        ? 0
        : p.kLa * (p.Osat - oxygen!) -
          OXYGEN.first * r1 -
          OXYGEN.second * r2 -
          (p.R * oxygen!) / (OXYGEN.respirationHalfMgL + oxygen!)
  }
}

/**
 * The plain two-step nitrification model of the calculation contract, run by the pond simulator's own integrator.
 * @param days days to report, ≥ 0, in any order; on a day of an event the value just after it
 * @returns each state at each of the days, g/m³; status other than 'done' when the integrator gave up
 * @throws {DomainError} a figure outside its range
 */
export function plainNitrification(
  p: PlainNitrification,
  days: readonly number[],
): { status: 'done' | 'gave-up'; run: PlainNitrificationRun } {
  check(p, days)
  const system = new PlainSystem(p)
  const integrator = new EmbeddedPair(system, {
    relative: TOLERANCE.relative,
    absolute: new Float64Array(6).fill(TOLERANCE.absolute),
  })
  const y = Float64Array.from(p.start)
  if (p.oxygenMode === 'fixed') y[O] = p.DO
  const end = Math.max(0, ...days)
  const breaks = [...new Set([...days, ...p.events.map((e) => e.day), ...(p.tStep === null ? [] : [p.tStep])])]
    .filter((day) => day >= 0 && day <= end)
    .sort((a, b) => a - b)
  const at = new Map<number, Float64Array>()
  let now = 0
  let status: 'done' | 'gave-up' = 'done'
  for (const stop of breaks) {
    system.load = p.tStep !== null && now >= p.tStep ? p.L1 : p.L0
    if (integrator.advance(y, now, stop) !== 'done') {
      status = 'gave-up'
      break
    }
    now = stop
    for (const event of p.events) if (event.day === stop) replaceWater(y, event.fraction, p)
    at.set(stop, y.slice())
  }
  const series = (state: number) => days.map((day) => at.get(day)?.[state] ?? Number.NaN)
  return {
    status,
    run: {
      tan: series(S1),
      nitrite: series(S2),
      nitrate: series(S3),
      x1: series(X1),
      x2: series(X2),
      oxygen: series(O),
    },
  }
}

/** Part of the water for new water; bacteria and oxygen stay. */
function replaceWater(y: Float64Array, fraction: number, p: PlainNitrification): void {
  y[S1] = p.Sin1 + (y[S1]! - p.Sin1) * (1 - fraction)
  y[S2]! *= 1 - fraction
  y[S3] = p.Sin3 + (y[S3]! - p.Sin3) * (1 - fraction)
}

function check(p: PlainNitrification, days: readonly number[]): void {
  days.forEach((day, i) => assertInRange(`days.${i}`, day, [0, 5000]))
  p.events.forEach((event, i) => {
    assertInRange(`events.${i}.day`, event.day, [0, 5000])
    assertInRange(`events.${i}.fraction`, event.fraction, [0, 1])
  })
  if (p.T_amp !== 0 && !(p.T_period > 0)) throw new DomainError('T_period', p.T_period, 'above 0 where T_amp is not 0')
}
