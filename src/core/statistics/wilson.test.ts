import fc from 'fast-check'
import { shareOf } from './wilson'

describe('a share of few', () => {
  it('has the interval of Wilson', () => {
    // 9 of 10 at 90 %: (0.9 + 0.135)/(1.271) ± …, as published tables have it
    const { low, high } = shareOf(9, 10)
    expect(low).toBeCloseTo(0.652, 2)
    expect(high).toBeCloseTo(0.977, 2)
  })
  it('never leaves 0 to 1, and holds the share', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), fc.double({ min: 0, max: 1, noNaN: true }), (of, share) => {
        const { value, low, high } = shareOf(Math.round(share * of), of)
        expect(low).toBeGreaterThanOrEqual(0)
        expect(high).toBeLessThanOrEqual(1)
        expect(low).toBeLessThanOrEqual(value + 1e-12)
        expect(high).toBeGreaterThanOrEqual(value - 1e-12)
      }),
    ))
})
