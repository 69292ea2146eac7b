import { koiPond } from '../../../tests/fixtures/design-pond'
import { suggestDesign } from '../filter/suggest'
import type { FilterDesign } from '../filter/design-input'
import { PUMP_CATALOGUE } from '../filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES } from '../filter/house-rules'
import { FILTER_TYPES, type FilterType } from '../filter/types'
import { basinOf } from '../survey/basin'
import { bedSectionOf } from './bed-section'
import { systemSection } from './system-section'

const design = (type: FilterType, over: Partial<FilterDesign> = {}): FilterDesign => ({
  ...suggestDesign(koiPond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE, type),
  ...over,
})
const surveyed = basinOf({
  outline: { kind: 'rectangle', lengthM: 5, widthM: 3 },
  zones: [{ name: 'Pool', floorDepthM: 1.2, surfaceShare: 1, sideSlope: 0 }],
  rockShare: 0,
})
if (!surveyed.ok) throw new Error(surveyed.problem.code)
const basin = surveyed.value
const section = (over: Partial<Parameters<typeof systemSection>[0]> = {}) =>
  systemSection({ basin, design: design('container-bog'), dropM: 0, plants: [], ...over })!

describe('the section of a whole system', () => {
  it('keeps the pond as it was measured: from bank to bank, as deep as it is', () => {
    const { pond, rightBankM } = section()
    expect(rightBankM).toBeCloseTo(5, 9)
    expect(pond[0]).toEqual({ xM: 0, yM: -0 })
    expect(Math.min(...pond.map((p) => p.yM))).toBeCloseTo(-1.2, 9)
  })
  it('sets the bed so high that its water stands as far over the pond as the lift says', () => {
    const bed = design('container-bog', { staticLiftM: 0.7 })
    const placed = section({ design: bed }).bed!
    expect(placed.originM.yM + bedSectionOf(bed).waterM).toBeCloseTo(0.7, 12)
    expect(placed.originM.xM).toBeGreaterThan(5)
  })
  it('lets the water sink by what is missing, never below the floor', () => {
    expect(section({ dropM: 0.15 }).levelM).toBeCloseTo(-0.15, 12)
    expect(section({ dropM: -0.05 }).levelM).toBeCloseTo(0, 12)
    expect(section({ dropM: 9 }).levelM).toBeCloseTo(-1.2, 12)
  })
  it('leads the water from the pump in the pond to the bed, and from the bed’s water back to the pond’s', () => {
    for (const type of FILTER_TYPES.filter((t) => t !== 'none')) {
      const { pump, delivery, waterReturn, bed, levelM } = section({ design: design(type), dropM: 0.1 })
      expect(delivery[0]).toEqual(pump)
      expect(pump!.yM).toBeLessThan(levelM)
      expect(delivery.at(-1)!.xM).toBeLessThanOrEqual(bed!.originM.xM)
      expect(waterReturn[0]!.yM).toBeCloseTo(bed!.waterLevelM, 12)
      expect(waterReturn.at(-1)!.yM).toBeCloseTo(-0.1, 12)
    }
  })
  it('lets it fall as far as the falls are high, no higher than it was lifted', () => {
    const fall = (staticLiftM: number) =>
      section({ design: design('container-bog', { staticLiftM, falls: { widthM: 0.3, dropM: 0.5 } }) }).waterReturn[1]!
        .yM
    expect(fall(0.8)).toBeCloseTo(0.5, 12)
    expect(fall(0.3)).toBeCloseTo(0.3, 12)
  })
  it('draws no bed where none is designed, and nothing but the pond before anything is', () => {
    expect(section({ design: design('none') }).bed).toBeNull()
    const bare = section({ design: null })
    expect(bare).toMatchObject({ bed: null, pump: null, delivery: [], waterReturn: [] })
  })
  it('stands bed plants on the gravel where they were set, pond plants where the water is as deep as they like', () => {
    const plants = [
      { place: 'bed', species: 'iris-pseudacorus', xM: 0.5 },
      { place: 'pond', species: 'iris-pseudacorus', xM: null },
      { place: 'pond', species: 'no-such-plant', xM: null },
    ] as const
    const { plants: drawn, bed } = section({ plants })
    expect(drawn).toHaveLength(2)
    expect(drawn[0]).toMatchObject({ xM: bed!.originM.xM + 0.5, yM: bed!.originM.yM + bed!.section.depthM })
    expect(drawn[1]!.yM).toBeLessThanOrEqual(0)
    expect(drawn[1]!.yM).toBeGreaterThanOrEqual(-1.2)
  })
  it('has bounds that hold all that is drawn', () => {
    const { bounds, pond, delivery, waterReturn, plants } = section({
      plants: [{ place: 'bed', species: 'iris-pseudacorus', xM: 0.5 }],
    })
    for (const { xM, yM } of [...pond, ...delivery, ...waterReturn, ...plants]) {
      expect(xM).toBeGreaterThanOrEqual(bounds.minX)
      expect(xM).toBeLessThanOrEqual(bounds.maxX)
      expect(yM).toBeGreaterThanOrEqual(bounds.minY - 1e-9)
      expect(yM).toBeLessThanOrEqual(bounds.maxY)
    }
  })
})
