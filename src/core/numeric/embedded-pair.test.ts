import fc from 'fast-check'
import { EmbeddedPair, type RateSystem } from './embedded-pair'

const system = (size: number, rates: RateSystem['rates']): RateSystem => ({ size, rates })
const solver = (s: RateSystem, relative: number, absolute = relative * 1e-3) =>
  new EmbeddedPair(s, { relative, absolute: new Float64Array(s.size).fill(absolute) })

const decay = (rate: number) =>
  system(1, (_t, y, dy) => {
    dy[0] = -rate * y[0]!
  })

describe('the integrator', () => {
  it('follows exponential decay', () => {
    const y = Float64Array.of(3)
    expect(solver(decay(0.7), 1e-8).advance(y, 0, 5)).toBe('done')
    expect(y[0]).toBeCloseTo(3 * Math.exp(-3.5), 7)
  })

  it('is of third order: a thousandth of the tolerance costs ten times the steps', () => {
    const steps = [1e-5, 1e-8].map((relative) => {
      const s = solver(
        system(2, (_t, y, dy) => {
          dy[0] = -y[0]! + y[1]!
          dy[1] = y[0]! - y[1]! + 0.5 * Math.sin(_t) + 0.5
        }),
        relative,
      )
      s.advance(Float64Array.of(1, 0), 0, 30)
      return s.taken
    })
    expect(steps[1]! / steps[0]!).toBeGreaterThan(6)
    expect(steps[1]! / steps[0]!).toBeLessThan(14)
  })

  it('agrees with the closed form of logistic growth', () => {
    const logistic = system(1, (_t, y, dy) => {
      dy[0] = 0.9 * y[0]! * (1 - y[0]! / 10)
    })
    const y = Float64Array.of(0.01)
    solver(logistic, 1e-8).advance(y, 0, 12)
    expect(y[0]).toBeCloseTo(10 / (1 + 999 * Math.exp(-0.9 * 12)), 5)
  })

  it('keeps every state above zero and sums what the rates conserve, however fast the exchange', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 500, noNaN: true }),
        fc.double({ min: 0.001, max: 2, noNaN: true }),
        (rate, half) => {
          const chain = system(3, (_t, y, dy) => {
            const first = (rate * y[0]!) / (half + y[0]!)
            const second = (rate * y[1]!) / (half + y[1]!)
            dy[0] = -first
            dy[1] = first - second
            dy[2] = second
          })
          const y = Float64Array.of(5, 0, 0)
          expect(solver(chain, 1e-3).advance(y, 0, 2)).toBe('done')
          expect(Math.min(...y)).toBeGreaterThanOrEqual(0)
          expect(y[0]! + y[1]! + y[2]!).toBeCloseTo(5, 9)
        },
      ),
      { numRuns: 60, seed: 7 },
    )
  })

  it('says so when rates leave no step that stays above zero', () => {
    const draining = system(1, (_t, _y, dy) => {
      dy[0] = -1
    })
    expect(solver(draining, 1e-3).advance(Float64Array.of(0.5), 0, 1)).toBe('step-too-small')
  })

  it('does nothing over no time', () => {
    const y = Float64Array.of(2)
    expect(solver(decay(1), 1e-3).advance(y, 4, 4)).toBe('done')
    expect(y[0]).toBe(2)
  })
})
