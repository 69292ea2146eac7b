import type { PlantingSite } from './planting'
import { plantGaps, replant, type PatchToFill } from './replant'
import { plantSpecies } from './species'

const site: PlantingSite = { lengthM: 6, widthM: 3, waterOverGravelM: 0, coldestMonthC: 4, pipeAlongMiddle: true }
const group = (id: string, species: string, count: number, over: Partial<PatchToFill> = {}): PatchToFill => ({
  id,
  species,
  count,
  planned: count,
  condition: 'good',
  stored: false,
  xM: 1,
  yM: 0.4,
  ...over,
})

describe('gaps', () => {
  it('are what was lost since planting, or what the eye says where nobody counted', () => {
    expect(plantGaps([group('a', 'iris-versicolor', 7, { planned: 10 })], null)).toEqual([
      expect.objectContaining({ patchId: 'a', missing: 3 }),
    ])
    expect(plantGaps([group('a', 'iris-versicolor', 10, { condition: 'thin' })], null)[0]!.missing).toBe(3)
    expect(plantGaps([group('a', 'iris-versicolor', 10, { condition: 'bare' })], null)[0]!.missing).toBe(10)
    // counted beside the look: the count says it
    expect(plantGaps([group('a', 'iris-versicolor', 9, { planned: 10, condition: 'thin' })], null)[0]!.missing).toBe(1)
  })
  it('are none where all stands, or is in store', () => {
    expect(
      plantGaps(
        [group('a', 'iris-versicolor', 10), group('b', 'canna-hybrids', 2, { planned: 4, stored: true })],
        null,
      ),
    ).toEqual([])
  })
  it('a bed that is not green enough has open ground between its groups; a pond may have open water', () => {
    const few = [group('a', 'iris-versicolor', 10)]
    const coveredM2 = 10 * (plantSpecies('iris-versicolor')!.spreadM * 0.75) ** 2
    expect(plantGaps(few, site)).toEqual([
      { patchId: null, species: null, missing: 0, areaM2: expect.closeTo(0.8 * 18 - coveredM2, 9) },
    ])
    expect(plantGaps(few, null)).toEqual([])
  })
})

describe('replanting', () => {
  const thin = [group('a', 'pontederia-cordata', 6, { planned: 10 })]
  it('gives the same kind first, and every piece once', () => {
    const two = [...thin, group('b', 'pontederia-cordata', 2, { planned: 5 })]
    const given = replant(plantGaps(two, null), two, [{ species: 'pontederia-cordata', onHand: 5 }], null)
    expect(given).toEqual([
      expect.objectContaining({ patchId: 'a', count: 4, sameKind: true }),
      expect.objectContaining({ patchId: 'b', count: 1, sameKind: true }),
    ])
  })
  it('takes another mild kind that likes the depth, and never one that takes over', () => {
    const given = replant(
      plantGaps(thin, null),
      thin,
      [
        { species: 'typha-latifolia', onHand: 50 },
        { species: 'acorus-calamus', onHand: 50 },
      ],
      null,
    )
    expect(given.map((g) => [g.species, g.sameKind])).toEqual([['acorus-calamus', false]])
    expect(given[0]!.count).toBeGreaterThan(0)
  })
  it('keeps to the bed’s own depth, and off its pipe', () => {
    const lilies = replant(plantGaps(thin, site), thin, [{ species: 'nymphaea-alba', onHand: 9 }], site)
    expect(lilies).toEqual([])
    const onThePipe = [group('a', 'acorus-gramineus', 2, { planned: 9, yM: 1.5 })]
    expect(
      replant(plantGaps(onThePipe, site), onThePipe, [{ species: 'typha-minima', onHand: 9 }], site).filter(
        (r) => r.patchId === 'a',
      ),
    ).toEqual([])
  })
  it('says so where a kind is regulated somewhere', () => {
    const arrow = [group('a', 'sagittaria-latifolia', 2, { planned: 4 })]
    expect(replant(plantGaps(arrow, null), arrow, [{ species: 'sagittaria-latifolia', onHand: 2 }], null)).toEqual([
      { patchId: 'a', species: 'sagittaria-latifolia', count: 2, sameKind: true, regulated: true },
    ])
  })
  it('gives nothing from an empty holding bed', () =>
    expect(replant(plantGaps(thin, null), thin, [{ species: 'pontederia-cordata', onHand: 0 }], null)).toEqual([]))
})
