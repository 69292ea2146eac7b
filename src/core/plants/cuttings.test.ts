import fc from 'fast-check'
import { nutrientsOut } from './cuttings'

describe('what cuttings carry out', () => {
  it('is what the handbook figures make of it', () =>
    // ten buckets: 0.1 m³, 22 kg fresh, 3.3 kg dry, 2 % N and 0.3 % P
    expect(nutrientsOut(10)).toEqual({
      freshKg: expect.closeTo(22, 9),
      nitrogenG: expect.closeTo(66, 9),
      phosphorusG: expect.closeTo(9.9, 9),
    }))
  it('adds up bucket by bucket, and is nothing for nothing', () => {
    expect(nutrientsOut(0).nitrogenG).toBe(0)
    fc.assert(
      fc.property(fc.nat(500), fc.nat(500), (a, b) =>
        expect(nutrientsOut(a + b).nitrogenG).toBeCloseTo(nutrientsOut(a).nitrogenG + nutrientsOut(b).nitrogenG, 6),
      ),
    )
  })
  it('refuses what cannot be counted', () => expect(() => nutrientsOut(Number.NaN)).toThrow('buckets'))
})
