import fc from 'fast-check'
import { inverseVariance, pauleMandel } from './random-effects'

describe('combining estimates', () => {
  it('weighs by inverse variance', () => {
    const combined = inverseVariance([
      { value: 10, sd: 1 },
      { value: 12, sd: 2 },
    ])
    expect(combined.value).toBeCloseTo((10 / 1 + 12 / 4) / (1 + 1 / 4), 12)
    expect(combined.sd).toBeCloseTo(Math.sqrt(1 / 1.25), 12)
  })
  it('adds nothing to estimates that agree', () => {
    const agree = [
      { value: 10, sd: 1 },
      { value: 10.5, sd: 0.5 },
    ]
    expect(pauleMandel(agree)).toEqual(inverseVariance(agree))
  })
  it('follows two estimates by hand: τ² = (d² − s₁² − s₂²) / 2', () => {
    const [a, b] = [
      { value: 16, sd: 1.5 },
      { value: 10, sd: 0.2 },
    ]
    const more = (36 - 1.5 ** 2 - 0.2 ** 2) / 2
    const [wa, wb] = [1 / (1.5 ** 2 + more), 1 / (0.2 ** 2 + more)]
    const combined = pauleMandel([a, b])
    expect(combined.value).toBeCloseTo((16 * wa + 10 * wb) / (wa + wb), 6)
    expect(combined.sd).toBeCloseTo(Math.sqrt(1 / (wa + wb)), 6)
  })
  it('leaves as much scatter as is to be expected of three', () => {
    const three = [3, 9, 20].map((value) => ({ value, sd: 1 }))
    const { value, sd } = pauleMandel(three)
    // equal weights: each errs by √3 × the mean's
    const each = sd * Math.sqrt(3)
    expect(three.reduce((sum, e) => sum + ((e.value - value) / each) ** 2, 0)).toBeCloseTo(2, 6)
  })
  it('lies between its estimates, whatever they are', () => {
    const estimate = fc.record({
      value: fc.double({ min: -50, max: 50, noNaN: true }),
      sd: fc.double({ min: 1e-3, max: 30, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.array(estimate, { minLength: 1, maxLength: 6 }), (all) => {
        const { value, sd } = pauleMandel(all)
        expect(value).toBeGreaterThanOrEqual(Math.min(...all.map((e) => e.value)) - 1e-9)
        expect(value).toBeLessThanOrEqual(Math.max(...all.map((e) => e.value)) + 1e-9)
        expect(sd).toBeGreaterThanOrEqual(inverseVariance(all).sd - 1e-12)
      }),
    )
  })
})
