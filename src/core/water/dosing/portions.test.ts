import fc from 'fast-check'
import { portions } from './portions'

const SCOOP = { name: 'scoop', weightG: 15, smallestShare: 0.5 }

describe('portions while water runs in', () => {
  it('78 g over 1.2 m and six hours are four portions, not 39 of 2 g', () => {
    const found = portions(78, 1200, 390)
    expect(found.map((p) => p.amountG)).toEqual([21, 19, 19, 19])
    expect(found.map((p) => p.afterMm)).toEqual([0, 300, 600, 900])
    expect(found.map((p) => p.afterMin)).toEqual([0, 97.5, 195, 292.5])
  })
  it('a low rise takes one each 100 mm', () => expect(portions(60, 250, 60)).toHaveLength(3))
  it('come in the firm’s own measure', () =>
    expect(portions(82.5, 1000, 100, SCOOP).map((p) => p.amountG)).toEqual([22.5 + 15, 15, 15, 15]))
  it('nothing to give is no portion', () => expect(portions(0, 1000, 60)).toEqual([]))
  it('are 2 to 8, add up to the dose, lie ahead of the water, and the first is never the smallest', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1e5, noNaN: true }),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.double({ min: 0, max: 2000, noNaN: true }),
        fc.option(
          fc.record({
            name: fc.constant('u'),
            weightG: fc.double({ min: 1, max: 1e4, noNaN: true }),
            smallestShare: fc.constantFrom(0.1, 0.5, 1),
          }),
          {
            nil: undefined,
          },
        ),
        (dose, rise, minutes, unit) => {
          const found = portions(dose, rise, minutes, unit)
          expect(found.length).toBeGreaterThanOrEqual(2)
          expect(found.length).toBeLessThanOrEqual(8)
          expect(found.reduce((sum, p) => sum + p.amountG, 0)).toBeCloseTo(dose, 5)
          expect(found[0]).toMatchObject({ afterMm: 0, afterMin: 0 })
          for (const p of found) {
            expect(p.amountG).toBeGreaterThan(0)
            expect(p.amountG).toBeLessThanOrEqual(found[0]!.amountG + 1e-6)
            expect(p.afterMm <= rise && p.afterMin <= minutes).toBe(true)
          }
        },
      ),
    ))
})
