import fc from 'fast-check'
import { addDays, dayNumber, dayOfYear, isoWeekday, mondayOf, weekBeginOf } from './calendar'
import { monotoneCubic } from './interpolate'
import { quantileOfSorted } from '../statistics/quantile'
import { normalDeviate, seededRandom } from './random'
import { findRoot } from './root'

describe('findRoot', () => {
  it('finds known roots to the tolerance', () => {
    const root = (f: (x: number) => number, low: number, high: number) => findRoot(f, { low, high }, 1e-10).x
    expect(root((x) => x * x - 2, 0, 2)).toBeCloseTo(Math.SQRT2, 9)
    expect(root((x) => Math.cos(x) - x, 0, 1)).toBeCloseTo(0.7390851332, 9)
    expect(root((x) => x ** 9 - 1e-3, 0, 10)).toBeCloseTo(1e-3 ** (1 / 9), 8)
    expect(root((x) => 1 - x, -50, 5)).toBeCloseTo(1, 9)
  })
  it('finds the root of any rising cubic, in few steps', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -9, max: 9, noNaN: true }),
        fc.double({ min: 0.01, max: 20, noNaN: true }),
        (r, slope) => {
          const outcome = findRoot((x) => (x - r) ** 3 + slope * (x - r), { low: -10, high: 10 }, 1e-9)
          expect(outcome.status).toBe('converged')
          expect(outcome.x).toBeCloseTo(r, 6)
          expect(outcome.steps).toBeLessThan(60)
        },
      ),
    )
  })
  it('says when there is nothing to find', () =>
    expect(findRoot((x) => x * x + 1, { low: -1, high: 2 }, 1e-9).status).toBe('no-sign-change'))
})

describe('interpolation', () => {
  it('passes through its points and stays between neighbours', () => {
    const xs = [0, 1, 3, 4]
    const ys = [5, 4.5, 1, 0]
    const f = monotoneCubic(xs, ys)
    xs.forEach((x, i) => expect(f(x)).toBeCloseTo(ys[i]!, 12))
    for (let x = 0; x < 4; x += 0.05) expect(f(x + 0.05)).toBeLessThanOrEqual(f(x) + 1e-12)
  })
})

describe('chance', () => {
  it('repeats for a seed, and has the mean and spread it should', () => {
    const random = seededRandom(7)
    const draws = Array.from({ length: 20_000 }, () => normalDeviate(random))
    const mean = draws.reduce((a, b) => a + b, 0) / draws.length
    const variance = draws.reduce((a, b) => a + (b - mean) ** 2, 0) / draws.length
    expect(Math.abs(mean)).toBeLessThan(0.03)
    expect(variance).toBeCloseTo(1, 1)
    expect(seededRandom(7)()).toBe(seededRandom(7)())
  })
  it('reads quantiles between order statistics', () =>
    expect([0, 0.5, 0.9, 1].map((q) => quantileOfSorted([1, 2, 3, 4], q))).toEqual([1, 2.5, 3.7, 4]))
})

describe('the calendar', () => {
  it('knows weekdays and leap years', () => {
    expect(isoWeekday('2027-04-09')).toBe(5)
    expect(mondayOf('2027-04-11')).toBe('2027-04-05')
    // a Sunday ends the week of those who begin on Mondays, and begins that of the others
    expect(weekBeginOf('2027-04-11', 7)).toBe('2027-04-11')
    expect(weekBeginOf('2027-04-10', 7)).toBe('2027-04-04')
    expect(dayOfYear('2028-12-31')).toBe(366)
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29')
  })
  it('adds days back and forth', () => {
    fc.assert(
      fc.property(fc.integer({ min: -20_000, max: 60_000 }), (n) =>
        expect(dayNumber(addDays('1999-12-31', n)) - dayNumber('1999-12-31')).toBe(n),
      ),
    )
  })
})
