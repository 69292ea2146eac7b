import { coverPerPlantM2, firstPlanting, judgePlanting, plantsFor, uptakeShare, type PlantingSite } from './planting'
import { hardinessZone, PLANT_SPECIES, plantSpecies } from './species'

const site: PlantingSite = { lengthM: 6, widthM: 3, waterOverGravelM: 0, coldestMonthC: 4, pipeAlongMiddle: true }
const problems = (
  species: string,
  place: { xM: number; yM: number; count?: number },
  over: Partial<PlantingSite> = {},
) =>
  judgePlanting([{ species, count: place.count ?? 3, xM: place.xM, yM: place.yM }], { ...site, ...over }).findings.map(
    (f) => f.problem,
  )

describe('the species library', () => {
  it('holds at least eighty, each with a key of its own', () => {
    expect(PLANT_SPECIES.length).toBeGreaterThanOrEqual(80)
    expect(new Set(PLANT_SPECIES.map((s) => s.key)).size).toBe(PLANT_SPECIES.length)
  })
  it.each(PLANT_SPECIES.map((s) => [s.key, s] as const))('%s has figures that can be true', (_, s) => {
    expect(s.depthM[0]).toBeLessThanOrEqual(s.depthM[1])
    expect(s.spreadM).toBeGreaterThan(0)
    expect(s.nitrogenGPerM2D).toBeGreaterThan(s.phosphorusGPerM2D)
    expect(s.nitrogenGPerM2D).toBeLessThanOrEqual(1)
    expect(s.botanical).toMatch(/^[A-Z][a-z]+ /)
    expect(hardinessZone(s.hardyToC)).toBeGreaterThanOrEqual(2)
  })
  it('gives the zone of the USDA map', () => {
    expect(hardinessZone(-34.4)).toBe(4)
    expect(hardinessZone(-28.9)).toBe(5)
    expect(hardinessZone(-1.1)).toBe(10)
  })
})

describe('a planting', () => {
  it('to begin with covers the bed and breaks no rule', () => {
    const result = judgePlanting(firstPlanting(6, 3), site)
    expect(result.findings).toEqual([])
    expect(result.coverShare).toBeGreaterThan(0.7)
    expect(result.heavyKinds).toBeGreaterThanOrEqual(3)
  })
  it('keeps clogging roots off the pipe and spreaders from the lip', () => {
    expect(problems('phragmites-australis', { xM: 3, yM: 1.5 })).toContain('clogs-feed')
    expect(problems('phragmites-australis', { xM: 3, yM: 1.5 }, { pipeAlongMiddle: false })).not.toContain('clogs-feed')
    expect(problems('mentha-aquatica', { xM: 5.8, yM: 0.5 })).toContain('aggressive-near-lip')
    expect(problems('mentha-aquatica', { xM: 1, yM: 0.5 })).not.toContain('aggressive-near-lip')
  })
  it('knows too deep, too dry, too cold, outside and tall in front', () => {
    expect(problems('iris-versicolor', { xM: 1, yM: 0.5 }, { waterOverGravelM: 0.5 })).toContain('too-deep')
    expect(problems('nymphaea-alba', { xM: 1, yM: 0.5 })).toContain('too-dry')
    expect(problems('aponogeton-distachyos', { xM: 1, yM: 2 }, { coldestMonthC: 1, waterOverGravelM: 0.3 })).toContain(
      'not-hardy',
    )
    expect(problems('canna-hybrids', { xM: 1, yM: 2.5 }, { coldestMonthC: 0 })).not.toContain('not-hardy')
    expect(problems('iris-versicolor', { xM: 9, yM: 1 })).toContain('outside-bed')
    expect(problems('schoenoplectus-lacustris', { xM: 1, yM: 0.3 })).toContain('tall-in-front')
  })
  it('never certifies a regulated plant, and counts no lily as a filter', () => {
    expect(problems('typha-latifolia', { xM: 1, yM: 2.5 })).toContain('regulated')
    expect(judgePlanting([{ species: 'nymphaea-alba', count: 2, xM: 2, yM: 2 }], site).nitrogenGPerD).toBe(0)
  })
  it('spaces plants to meet in the second year', () => {
    const flag = plantSpecies('iris-versicolor')!
    expect(coverPerPlantM2(flag)).toBeCloseTo((0.4 * 0.75) ** 2, 9)
    expect(plantsFor(flag, 1)).toBe(11)
  })
  it('draws nothing in cold water and all it can in warm', () =>
    expect([2, 6, 13, 20, 28].map(uptakeShare)).toEqual([0, 0, 0.5, 1, 1]))
})
