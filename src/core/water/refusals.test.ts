import type { DomainError } from '../errors'
import {
  dechlorinatorPortions,
  ghDoseG,
  khDoseG,
  oxygenSaturationMgL,
  saltDoseKg,
  thiosulfateDoseG,
  waterChanges,
} from '.'
import { measuredDose } from './dosing/measured-dose'

const REFILL = { volumeM3: 5, hoseM3PerH: 2, riseM: 0.5, freeChlorineMgL: 0.6 }
const RULES = { tolerance: 0.05, roundUpOnly: false }
const BAG = { name: 'bag', weightG: 1000, smallestShare: 0.5 }

function refusalOf(call: () => unknown): { parameter: string; allowed: string } {
  try {
    call()
  } catch (error) {
    const { parameter, allowed } = error as DomainError
    return { parameter, allowed }
  }
  throw new Error('It was not refused')
}

describe('a figure that cannot be is refused by its name', () => {
  it.each<[string, () => unknown]>([
    ['volumeM3', () => khDoseG(0, 3, 5)],
    ['fromDKH', () => khDoseG(1, -1, 5)],
    ['toDKH', () => khDoseG(1, 3, 61)],
    ['volumeM3', () => ghDoseG(Number.NaN, 3, 5)],
    ['fromDGH', () => ghDoseG(1, -1, 5)],
    ['toDGH', () => ghDoseG(1, 3, 61)],
    ['calciumShare', () => ghDoseG(1, 3, 5, 1.1)],
    ['volumeM3', () => saltDoseKg(-1, 0, 0.1)],
    ['fromPercent', () => saltDoseKg(1, -0.1, 0.1)],
    ['toPercent', () => saltDoseKg(1, 0, 5)],
    ['volumeM3', () => thiosulfateDoseG(0, 0.5)],
    ['freeChlorineMgL', () => thiosulfateDoseG(1, 21)],
    ['hoseM3PerH', () => dechlorinatorPortions({ ...REFILL, hoseM3PerH: 0 })],
    ['riseM', () => dechlorinatorPortions({ ...REFILL, riseM: 0 })],
    ['freeChlorineMgL', () => dechlorinatorPortions({ ...REFILL, freeChlorineMgL: 21 })],
    ['tempC', () => oxygenSaturationMgL(41)],
    ['altitudeM', () => oxygenSaturationMgL(20, 5001)],
    ['current', () => waterChanges(-1, 5, 25, 0.3)],
    ['source', () => waterChanges(60, -1, 25, 0.3)],
    ['target', () => waterChanges(60, 5, Number.NaN, 0.3)],
    ['maxFraction', () => waterChanges(60, 5, 25, 0)],
    ['wantedG', () => measuredDose(Number.NaN, [BAG], RULES)],
    ['tolerance', () => measuredDose(100, [BAG], { ...RULES, tolerance: -1 })],
    ['weightG', () => measuredDose(100, [{ ...BAG, weightG: 0 }], RULES)],
    ['smallestShare', () => measuredDose(100, [{ ...BAG, smallestShare: 0 }], RULES)],
  ])('%s', (parameter, call) => expect(refusalOf(call).parameter).toBe(parameter))

  it('a rise that is none says what would lower it', () => {
    expect(refusalOf(() => khDoseG(1, 6, 5)).allowed).toBe(
      'at least 6: chemicals only raise it, a water change lowers it',
    )
    expect(refusalOf(() => ghDoseG(1, 6, 5)).parameter).toBe('toDGH')
    expect(refusalOf(() => saltDoseKg(1, 0.2, 0.1)).parameter).toBe('toPercent')
    expect(khDoseG(1, 5, 5)).toBe(0)
  })
})

describe('water changes', () => {
  it('that can never arrive say between which levels they could', () => {
    expect(refusalOf(() => waterChanges(60, 30, 25, 0.3)).allowed).toBe(
      "between the pond's 60 and the source water's 30",
    )
    // the source is only ever neared, and reached by changing all of it
    expect(refusalOf(() => waterChanges(60, 25, 25, 0.3)).parameter).toBe('target')
    expect(waterChanges(60, 25, 25, 1)).toEqual({ count: 1, afterEach: [25] })
    expect(refusalOf(() => waterChanges(20, 5, 25, 1)).parameter).toBe('target')
  })
  it('raise a level as well as they lower one', () => {
    const { count, afterEach } = waterChanges(2, 10, 6, 0.25)
    expect(count).toBe(3)
    afterEach.forEach((level, i) => expect(level).toBeCloseTo(10 - 8 * 0.75 ** (i + 1), 9))
  })
  it('without end are refused', () =>
    expect(refusalOf(() => waterChanges(1e6, 0, 1, 0.01)).allowed).toBe('reachable within 1000 changes'))
})

describe('dechlorinator portions', () => {
  it('come as the water does: their times, rises and grams are those of the whole refill', () => {
    const { count, everyMinutes, everyRiseM, portionG, totalG } = dechlorinatorPortions(REFILL)
    expect(count).toBeGreaterThan(1)
    expect(count * everyMinutes).toBeCloseTo((5 / 2) * 60, 9)
    expect(count * everyRiseM).toBeCloseTo(0.5, 12)
    expect(count * portionG).toBeCloseTo(totalG, 9)
    expect(totalG).toBeCloseTo(5 * 0.6 * 7, 9)
  })
  it('are more the longer the hose runs', () =>
    expect(dechlorinatorPortions({ ...REFILL, hoseM3PerH: 0.5 }).count).toBeGreaterThan(
      dechlorinatorPortions({ ...REFILL, hoseM3PerH: 60, riseM: 0.05 }).count,
    ))
})

describe('oxygen saturation at height', () => {
  // pressures of the standard atmosphere and of water vapour as tabled: what is left of dry air holds the oxygen
  const SEA_HPA = 1013.25
  it.each([
    [0, 1000, 898.75, 6.11],
    [10, 1000, 898.75, 12.28],
    [20, 2000, 794.95, 23.39],
    [30, 3000, 701.09, 42.47],
  ])('at %d °C and %d m falls with the pressure of dry air', (tempC, altitudeM, airHPa, vapourHPa) =>
    expect(oxygenSaturationMgL(tempC, altitudeM) / oxygenSaturationMgL(tempC)).toBeCloseTo(
      (airHPa - vapourHPa) / (SEA_HPA - vapourHPa),
      3,
    ),
  )
})

describe('a measured dose at its edges', () => {
  it('of nothing is nothing', () => expect(measuredDose(0, [BAG], RULES)).toEqual({ givenG: 0, unit: 'g', count: 0 }))
  it('may be just what the label allows', () =>
    expect(measuredDose(1000, [BAG], { ...RULES, maxG: 1000 })).toEqual({ givenG: 1000, unit: 'bag', count: 1 }))
  it('may be just at its tolerance, on both sides', () => {
    expect(measuredDose(1000, [{ ...BAG, weightG: 1050, smallestShare: 1 }], RULES).unit).toBe('bag')
    expect(measuredDose(1000, [{ ...BAG, weightG: 950, smallestShare: 1 }], RULES).unit).toBe('bag')
    expect(measuredDose(1000, [{ ...BAG, weightG: 1051, smallestShare: 1 }], RULES).unit).toBe('g')
    expect(measuredDose(1000, [{ ...BAG, weightG: 949, smallestShare: 1 }], RULES).unit).toBe('g')
  })
  it('is weighed down to the label, never over it', () =>
    expect(measuredDose(1000.4, [], { ...RULES, roundUpOnly: true, maxG: 1000.5 })).toMatchObject({ givenG: 1000 }))
})
