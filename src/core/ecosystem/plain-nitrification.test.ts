import { goldenSolve } from '../../../tests/fixtures/golden-solver'
import { seededRandom } from '../numeric/random'
import { plainNitrification, type PlainNitrification } from './plain-nitrification'

const BASE: PlainNitrification = {
  mu1: 0.75,
  theta1: 1.09,
  K1: 0.6,
  KO1: 0.5,
  mu2: 0.95,
  theta2: 1.07,
  K2: 0.5,
  KO2: 0.6,
  Y1: 0.14,
  Y2: 0.07,
  b1: 0.1,
  b2: 0.1,
  thetab: 1.05,
  D: 0.03,
  Sin1: 0.1,
  Sin3: 1,
  U: 0.15,
  KU: 1,
  oxygenMode: 'dynamic',
  DO: 8,
  kLa: 6,
  Osat: 9.1,
  R: 2,
  T_mean: 17,
  T_slope: 0.02,
  T_amp: 3,
  T_period: 60,
  L0: 0.5,
  L1: 0.9,
  tStep: 45.3,
  start: [0.2, 0.05, 1, 0.01, 0.004, 8],
  events: [
    { day: 20, fraction: 0.3 },
    { day: 60, fraction: 0.5 },
  ],
}
const DAYS = [0, 1, 5, 10, 15, 20, 25, 30, 40, 45, 50, 60, 75, 90, 110]

/** The same equations written anew and solved by extrapolation (Hairer & Wanner's ODEX) to ten digits. */
function golden(p: PlainNitrification, days: readonly number[]): number[][] {
  const rates =
    (load: number) =>
    (t: number, [s1, s2, s3, x1, x2, o]: number[]) => {
      const c = p.T_mean + p.T_slope * t + p.T_amp * Math.sin((2 * Math.PI * t) / p.T_period)
      const oxygen = p.oxygenMode === 'fixed' ? p.DO : o
      const f1 = ((p.mu1 * p.theta1 ** (c - 20) * s1!) / (p.K1 + s1!)) * (oxygen! / (p.KO1 + oxygen!))
      const f2 = ((p.mu2 * p.theta2 ** (c - 20) * s2!) / (p.K2 + s2!)) * (oxygen! / (p.KO2 + oxygen!))
      const [r1, r2] = [(f1 * x1!) / p.Y1, (f2 * x2!) / p.Y2]
      return [
        load - r1 + p.D * (p.Sin1 - s1!),
        r1 - r2 - p.D * s2!,
        r2 - (p.U * s3!) / (p.KU + s3!) + p.D * (p.Sin3 - s3!),
        f1 * x1! - p.b1 * p.thetab ** (c - 20) * x1!,
        f2 * x2! - p.b2 * p.thetab ** (c - 20) * x2!,
        p.oxygenMode === 'fixed'
          ? 0
          : p.kLa * (p.Osat - oxygen!) - 3.43 * r1 - 1.14 * r2 - (p.R * oxygen!) / (0.2 + oxygen!),
      ]
    }
  const stops = [...new Set([...days, ...p.events.map((e) => e.day), ...(p.tStep === null ? [] : [p.tStep])])].sort(
    (a, b) => a - b,
  )
  const at = new Map<number, number[]>()
  let y = [...p.start]
  if (p.oxygenMode === 'fixed') y[5] = p.DO
  let now = 0
  for (const stop of stops) {
    if (stop > now) {
      y = goldenSolve(rates(p.tStep !== null && now >= p.tStep ? p.L1 : p.L0), now, y, stop)
      now = stop
    }
    for (const e of p.events) {
      if (e.day !== stop) continue
      const keep = 1 - e.fraction
      y = [p.Sin1 + (y[0]! - p.Sin1) * keep, y[1]! * keep, p.Sin3 + (y[2]! - p.Sin3) * keep, y[3]!, y[4]!, y[5]!]
    }
    at.set(stop, [...y])
  }
  return days.map((day) => at.get(day)!)
}

const columns = ({ run }: ReturnType<typeof plainNitrification>) => [
  run.tan,
  run.nitrite,
  run.nitrate,
  run.x1,
  run.x2,
  run.oxygen,
]

function worstError(p: PlainNitrification): number {
  const ours = plainNitrification(p, DAYS)
  expect(ours.status).toBe('done')
  const theirs = golden(p, DAYS)
  return Math.max(
    ...DAYS.flatMap((_, d) =>
      columns(ours).map(
        (column, i) => Math.abs(column[d]! - theirs[d]![i]!) / Math.max(1e-9, Math.abs(theirs[d]![i]!)),
      ),
    ),
  )
}

describe('the plain nitrification model', () => {
  it('agrees with an independent solver far within half a percent on every day', () =>
    expect(worstError(BASE)).toBeLessThan(1e-4))

  it.each([
    ['oxygen held', { oxygenMode: 'fixed' as const, DO: 5 }],
    ['fast reaeration', { kLa: 150 }],
    ['little oxygen', { kLa: 0.8, Osat: 8 }],
    ['cold', { T_mean: 8, T_amp: 2 }],
    ['no swing and no period', { T_amp: 0, T_period: 0, T_slope: 0 }],
    ['no exchange, no uptake', { D: 0, U: 0 }],
    ['tiny seed', { start: [0, 0, 0, 1e-5, 1e-6, 8] as const }],
  ])('with %s', (_name, change) => {
    const p = { ...BASE, ...change }
    expect(worstError(p.T_period === 0 ? { ...p, T_period: 1 } : p)).toBeLessThan(1e-3)
    expect(plainNitrification(p, [30]).run.tan[0]).toBeGreaterThanOrEqual(0)
  })

  it('with anything in its range', () => {
    const random = seededRandom(11)
    const between = (a: number, b: number) => a + (b - a) * random()
    for (let i = 0; i < 12; i++) {
      const p = {
        ...BASE,
        mu1: between(0.4, 1.2),
        mu2: between(0.5, 1.3),
        K1: between(0.1, 2),
        K2: between(0.1, 2),
        kLa: between(1, 60),
        R: between(0, 8),
        L0: between(0, 2),
        L1: between(0, 2),
        T_mean: between(6, 26),
        D: between(0, 0.2),
        tStep: random() < 0.5 ? null : between(1, 100),
      }
      expect(worstError(p)).toBeLessThan(2e-3)
    }
  })

  it('reports the value just after an event asked for on its day, and days in any order', () => {
    const { run } = plainNitrification({ ...BASE, events: [{ day: 20, fraction: 1 }] }, [20, 3])
    expect(run.tan[0]).toBeCloseTo(BASE.Sin1, 12)
    expect(run.nitrite[0]).toBe(0)
    expect(run.tan[1]).toBeGreaterThan(0)
  })

  it('refuses what cannot be', () => {
    expect(() => plainNitrification({ ...BASE, T_period: 0 }, [1])).toThrow(/T_period/)
    expect(() => plainNitrification(BASE, [Number.NaN])).toThrow(/days.0/)
    expect(() => plainNitrification({ ...BASE, events: [{ day: 1, fraction: 2 }] }, [1])).toThrow(/fraction/)
  })
})
