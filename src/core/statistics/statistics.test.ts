import fc from 'fast-check'
import { normalDeviate, seededRandom } from '../numeric/random'
import { factorAfter, type PastTest } from './calibration'
import { normalQuantile, normalShareBelow, Z90 } from './normal'
import { insideShare } from './pit'
import { tDensity, tShareBelow } from './student-t'
import { shareBelow } from './two-piece-normal'

describe('the normal distribution', () => {
  it('has the shares and quantiles of published tables', () => {
    for (const [z, share] of [
      [0, 0.5],
      [1, 0.841345],
      [-1.96, 0.024998],
      [2.5758, 0.995],
    ] as const)
      expect(normalShareBelow(z)).toBeCloseTo(share, 5)
    expect(normalQuantile(0.9)).toBeCloseTo(Z90, 5)
    expect(normalQuantile(0.025)).toBeCloseTo(-1.959964, 4)
  })
  it('finds back every value from its share', () =>
    fc.assert(
      fc.property(fc.double({ min: -4, max: 4, noNaN: true }), (z) => {
        expect(normalQuantile(normalShareBelow(z))).toBeCloseTo(z, 2)
      }),
    ))
})

describe('Student’s t with four degrees of freedom', () => {
  it('has the quantiles of published tables', () => {
    expect(tShareBelow(1.533)).toBeCloseTo(0.9, 3)
    expect(tShareBelow(2.776)).toBeCloseTo(0.975, 3)
    expect(tShareBelow(-4.604)).toBeCloseTo(0.005, 3)
    expect([tShareBelow(-Infinity), tShareBelow(Infinity)]).toEqual([0, 1])
  })
  it('has the density that its shares grow by', () => {
    for (const t of [-3, -0.5, 0, 1, 2.2]) {
      const h = 1e-4
      expect((tShareBelow(t + h) - tShareBelow(t - h)) / (2 * h)).toBeCloseTo(tDensity(t), 6)
    }
  })
})

describe('a test in a forecast', () => {
  const band = { p10: 1, p50: 2, p90: 4 }
  it('falls at 10 and 90 % at the ends of a band that knows no scatter', () => {
    expect(shareBelow(band, 1, 1e-9)).toBeCloseTo(0.1, 6)
    expect(shareBelow(band, 4, 1e-9)).toBeCloseTo(0.9, 6)
    expect(shareBelow(band, Infinity, 0.1)).toBe(1)
  })
  it('lies inside, outside, or in part where it tells a range', () => {
    expect(insideShare({ low: 0.5, high: 0.5 })).toBe(1)
    expect(insideShare({ low: 0.95, high: 0.95 })).toBe(0)
    expect(insideShare({ low: 0.8, high: 1 })).toBeCloseTo(0.5, 9)
    // what tells nothing counts as what the band holds
    expect(insideShare({ low: 0, high: 1 })).toBeCloseTo(0.8, 9)
  })
  it('read to coarse steps is inside as often as the band says', () => {
    const random = seededRandom(5)
    const forecast = { p10: -Z90, p50: 0, p90: Z90 }
    const shares = Array.from({ length: 4000 }, () => {
      const step = Math.round(normalDeviate(random))
      const at = (value: number) => shareBelow(forecast, value, 1e-9)
      return insideShare({ low: at(step - 0.5), high: at(step + 0.5) })
    })
    expect(shares.reduce((a, b) => a + b) / shares.length).toBeCloseTo(0.8, 1.5)
  })
})

describe('the factor by which bands are made wider', () => {
  const before = { middle: 0, sd: 0.4 }
  const forecast = { p10: -Z90, p50: 0, p90: Z90 }
  const tests = (spread: number, n: number, over: Partial<PastTest> = {}): PastTest[] => {
    const random = seededRandom(11)
    return Array.from({ length: n }, () => {
      const at = spread * normalDeviate(random)
      return { forecast, low: at, high: at, scatter: 0.1, weight: 1, ...over }
    })
  }
  const factor = (of: readonly PastTest[]) => Math.exp(factorAfter(of, before).middle)
  it('is what was believed where nothing was tested', () => expect(factor([])).toBeCloseTo(1, 1))
  it('finds the spread of many tests, and goes toward it with few', () => {
    expect(factor(tests(2.5, 200))).toBeCloseTo(2.5, 0)
    expect(factor(tests(1, 200))).toBeCloseTo(1, 0.7)
    const few = factor(tests(2.5, 4))
    expect(few).toBeGreaterThan(1.05)
    expect(few).toBeLessThan(2.5)
  })
  it('hardly follows one slip among sound tests', () => {
    const sound = tests(1, 8)
    const slipped = [...sound, { ...sound[0]!, low: 15, high: 15 }]
    expect(factor(slipped) / factor(sound)).toBeLessThan(1.4)
  })
  it('counts older tests less, and learns nothing from a test that tells nothing', () => {
    expect(factor(tests(3, 6, { weight: 0.1 }))).toBeLessThan(factor(tests(3, 6)))
    expect(factor(tests(3, 6, { low: -Infinity, high: Infinity }))).toBeCloseTo(1, 1)
  })
})
