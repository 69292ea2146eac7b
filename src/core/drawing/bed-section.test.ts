import { koiPond } from '../../../tests/fixtures/design-pond'
import { suggestDesign } from '../filter/suggest'
import type { FilterDesign } from '../filter/design-input'
import { PUMP_CATALOGUE } from '../filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES } from '../filter/house-rules'
import { FILTER_TYPES, type FilterType } from '../filter/types'
import { bedSectionOf } from './bed-section'

const design = (type: FilterType, over: Partial<FilterDesign> = {}): FilterDesign => ({
  ...suggestDesign(koiPond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE, type),
  ...over,
})
const upflow = (over: Partial<FilterDesign> = {}) => design('lined-wetland', { feed: 'slotted-pipe', ...over })

describe('the long section of a bed', () => {
  it('stacks the layers without a gap, from the base to the gravel’s top', () => {
    const bed = upflow()
    const { bands, depthM } = bedSectionOf(bed)
    expect(bands[0]!.baseM).toBe(0)
    bands.forEach((band, i) => {
      expect(band.material).toBe(bed.layers[i]!.material)
      expect(band.topM - band.baseM).toBeCloseTo(bed.layers[i]!.thicknessM, 12)
      if (i > 0) expect(band.baseM).toBe(bands[i - 1]!.topM)
    })
    expect(bands.at(-1)!.topM).toBeCloseTo(depthM, 12)
  })
  it('holds the water as far over the gravel as designed, and the level it drains back to only below that', () => {
    const { waterM, depthM, airBreakM } = bedSectionOf(upflow({ waterOverGravelM: 0.05, airBreakM: 0.3 }))
    expect(waterM).toBeCloseTo(depthM + 0.05, 12)
    expect(airBreakM).toBe(0.3)
    expect(bedSectionOf(upflow({ airBreakM: waterM + 0.01 })).airBreakM).toBeNull()
  })
  it('lays the pipe in a trench under the base, pitched to the vault: never through modules or gravel', () => {
    const bed = upflow({
      lengthM: 4,
      manifold: { diameterM: 0.1, laterals: 1, slots: 100, slotAreaM2: 1e-4, pitchPercent: 2 },
    })
    const pipe = bedSectionOf(bed).pipe!
    expect(pipe[1]!.yM - pipe[0]!.yM).toBeCloseTo(0.08, 9)
    expect(pipe[2]!.yM - pipe[1]!.yM).toBeCloseTo(0.1, 12)
    expect(Math.max(...pipe.map((p) => p.yM))).toBeLessThanOrEqual(0)
    // a long bed is not clamped: its trench is as deep as its pitch makes it
    const long = bedSectionOf(upflow({ lengthM: 40, manifold: { ...bed.manifold, pitchPercent: 2 } }))
    expect(Math.min(...long.pipe!.map((p) => p.yM))).toBeCloseTo(-0.9, 12)
    expect(long.vault![0]!.yM).toBeLessThan(-0.9)
  })
  it('draws a pipe, headers or a chamber by how the water enters', () => {
    expect(bedSectionOf(upflow({ feed: 'chamber' })).pipe).toBeNull()
    const along = bedSectionOf(design('horizontal-bed', { feed: 'full-height-header' }))
    expect(along.pipe).toBeNull()
    expect(along.headers).toHaveLength(2)
    expect(Math.max(...along.headers[0]!.map((p) => p.yM))).toBeCloseTo(along.depthM, 12)
  })
  it('runs as large a share of its ways through the roots as the flow does', () => {
    const bed = design('horizontal-bed', { feed: 'bottom-header' })
    const high = (rootShare: number) => {
      const { flow, depthM } = bedSectionOf(bed, rootShare)
      return flow.filter((points) => points[1]!.yM > depthM / 2).length / flow.length
    }
    expect(high(1)).toBe(1)
    expect(high(0.4)).toBeCloseTo(0.4, 12)
    expect(high(0)).toBe(0)
  })
  it.each(FILTER_TYPES.filter((type) => type !== 'none'))('stays within its bed for a %s', (type) => {
    const { bands, flow, headers, lengthM, depthM } = bedSectionOf(design(type), 0.5)
    expect(bands.length).toBeGreaterThan(0)
    for (const { xM, yM } of [...flow, ...headers].flat()) {
      expect(xM).toBeGreaterThanOrEqual(0)
      expect(xM).toBeLessThanOrEqual(lengthM)
      expect(yM).toBeGreaterThanOrEqual(0)
      expect(yM).toBeLessThanOrEqual(depthM)
    }
  })
})
