import fc from 'fast-check'
import { READING_KINDS, type ReadingKindName } from './readings'
import { METHOD_STEPS, READING_METHODS, readingInterval } from './test-methods'

const of = (kind: ReadingKindName, value: number, method: (typeof READING_METHODS)[number], belowStep = false) =>
  readingInterval(kind, { value, method, belowStep })

describe('what a reading says for sure', () => {
  it('a colour stands for all up to half way to its neighbours', () => {
    expect(of('tan', 0.5, 'strip')).toEqual([0.375, 0.75])
    expect(of('tan', 0.5, 'drops')).toEqual([0.375, 0.75])
    expect(of('nitrite', 3, 'strip')).toEqual([2, 6.5])
  })
  it('none found is all up to the first colour, typed as 0 or as “below”', () => {
    expect(of('tan', 0, 'strip')).toEqual([0, 0.25])
    expect(of('tan', 0, 'strip', true)).toEqual([0, 0.25])
    expect(of('tan', 0.2, 'meter', true)).toEqual([0, 0.2])
  })
  it('between two colours is told by eye, from half way to half way', () =>
    expect(of('tan', 0.75, 'drops')).toEqual([0.625, 0.875]))
  it('beyond the last colour is as coarse as the last step', () => expect(of('tan', 8, 'drops')).toEqual([6, 10]))
  it('a meter is exact; oxygen met by day bounds the night’s least from above', () => {
    expect(of('ph', 7.42, 'meter')).toEqual([7.42, 7.42])
    expect(of('dissolvedOxygen', 8, 'meter')).toEqual([4, 8])
    expect(of('dissolvedOxygen', 8, 'probe')).toEqual([8, 8])
  })
  it('holds the value, whatever the kind and the test', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(READING_KINDS) as ReadingKindName[])),
        fc.constantFrom(...READING_METHODS),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (kind, method, value) => {
          const [low, high] = of(kind, value, method)
          expect(low).toBeLessThanOrEqual(value)
          expect(high).toBeGreaterThanOrEqual(value)
          expect(low).toBeGreaterThanOrEqual(0)
        },
      ),
    ))
  it('steps stand in order', () => {
    for (const steps of READING_METHODS.flatMap((method) => Object.values(METHOD_STEPS[method])))
      expect([...steps].sort((a, b) => a - b)).toEqual([...steps])
  })
})
