import fc from 'fast-check'
import { measuredDose, SCALE } from './measured-dose'

const BAG = { name: '10 kg bag', weightG: 10_000, smallestShare: 0.1 }
const HALF_BAG = { ...BAG, smallestShare: 0.5 }
const SCOOP = { name: 'scoop', weightG: 15, smallestShare: 0.5 }
const CHEMISTRY = { tolerance: 0.05, roundUpOnly: false }

describe('a dose fits the hand', () => {
  it('2.07 kg of salt is not half a 10 kg bag', () => {
    expect(measuredDose(2070, [HALF_BAG], CHEMISTRY)).toEqual({ givenG: 2070, unit: 'g', count: 2070 })
    expect(measuredDose(2070, [BAG], CHEMISTRY)).toEqual({ givenG: 2000, unit: '10 kg bag', count: 0.2 })
  })
  it('20.1 kg is two bags, not two and a half', () =>
    expect(measuredDose(20_100, [HALF_BAG], CHEMISTRY)).toMatchObject({ givenG: 20_000, count: 2 }))
  it('takes the largest measure that fits', () =>
    expect(measuredDose(30_000, [SCOOP, BAG], CHEMISTRY)).toMatchObject({ unit: '10 kg bag', count: 3 }))
  it('is never short where it may not be', () =>
    expect(measuredDose(35, [SCOOP], { tolerance: 0.25, roundUpOnly: true })).toEqual({
      givenG: 37.5,
      unit: 'scoop',
      count: 2.5,
    }))
  it('stays under the label: a scoop more would be over it', () =>
    expect(measuredDose(35, [SCOOP], { tolerance: 0.25, roundUpOnly: true, maxG: 36 })).toEqual({
      givenG: 35,
      unit: 'g',
      count: 35,
    }))
  it('is weighed where nobody would count the scoops', () =>
    expect(measuredDose(1500, [SCOOP], CHEMISTRY).unit).toBe(SCALE.name))
  it('never leaves the tolerance, but for the last gram of the scale', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1e5, noNaN: true }),
        fc.array(
          fc.record({
            name: fc.constant('u'),
            weightG: fc.double({ min: 1, max: 2e4, noNaN: true }),
            smallestShare: fc.constantFrom(0.1, 0.5, 1),
          }),
          {
            maxLength: 4,
          },
        ),
        fc.boolean(),
        (wanted, units, roundUpOnly) => {
          const { givenG, unit, count } = measuredDose(wanted, units, { tolerance: 0.05, roundUpOnly })
          const off = Math.abs(givenG - wanted)
          expect(off <= wanted * 0.05 + 1e-6 || (unit === 'g' && off <= 1)).toBe(true)
          expect(!roundUpOnly || givenG >= wanted - 1e-6 * wanted).toBe(true)
          expect(count).toBeGreaterThan(0)
        },
      ),
    ))
  it('refuses NaN', () => expect(() => measuredDose(Number.NaN, [], CHEMISTRY)).toThrow('wantedG'))
})
