import { fishMassKg } from './load'
import { stockDensity, stockOutlook, winterPlaces } from './stock'

const koi = (count: number, lengthM = 0.5) => [{ species: 'koi' as const, count, lengthM }]

describe('how full a pond is', () => {
  it('counts mass and the trade’s litres per centimetre', () => {
    const density = stockDensity(koi(10), 20, 'koi')
    expect(density.kgPerM3).toBeCloseTo((10 * fishMassKg('koi', 0.5)) / 20, 12)
    expect(density.litresPerCm).toBeCloseTo(20_000 / 500, 9)
  })
  it('says how many have to go, and after that it is no longer too many', () => {
    const crowded = stockDensity(koi(60), 20, 'koi')
    expect(crowded.verdict).toBe('too-many')
    expect(stockDensity(koi(60 - crowded.toRehome), 20, 'koi').verdict).not.toBe('too-many')
  })
  it('counts length where many small fish weigh little', () => {
    const small = [{ species: 'goldfish' as const, count: 200, lengthM: 0.05 }]
    const density = stockDensity(small, 5, 'few-small-fish')
    expect(density.kgPerM3).toBeLessThan(1)
    expect(density.litresPerCm).toBeCloseTo(5, 9)
    expect(density).toMatchObject({ verdict: 'too-many', toRehome: 134 })
    expect(stockDensity([{ ...small[0]!, count: 200 - density.toRehome }], 5, 'few-small-fish').verdict).not.toBe(
      'too-many',
    )
  })
  it('is never emptier when the fish have grown', () => {
    const { now, grown } = stockOutlook(koi(8, 0.2), 20, 'koi', 4)
    expect(grown.massKg).toBeGreaterThan(now.massKg)
  })
  it('of an empty pond is fine', () =>
    expect(stockDensity([], 5, 'wildlife')).toMatchObject({ verdict: 'fine', toRehome: 0, litresPerCm: Infinity }))
})

describe('winter', () => {
  const mixed = [
    ...koi(3),
    { species: 'roundGoldfish' as const, count: 4, lengthM: 0.1 },
    { species: 'tropical' as const, count: 2, lengthM: 0.05 },
  ]
  it('keeps hardy fish out where there is a deep refuge, and brings tender ones in', () =>
    expect(winterPlaces(mixed, 0.5, 1.2).map((p) => p.place)).toEqual(['stays', 'comes-in', 'comes-in']))
  it('worries in a shallow pond', () => expect(winterPlaces(koi(3), 0.5, 0.5)[0]!.place).toBe('at-risk'))
  it('asks nothing about fish that are not there', () => expect(winterPlaces(koi(0), 0, 1)).toEqual([]))
})
