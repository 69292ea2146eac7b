import { BED_MATERIALS } from '../../core/filter/bed/layers'
import { laidOut, LAYOUT } from '../../../tests/fixtures/site-plan'
import { systemVolumeOf } from './system-volume'

const stream = { depthM: 0.1, places: [{ at: { xM: 6, yM: 0 }, widthM: 1, dropM: 0.1 }] }
const built = { state: 'built', bed: laidOut({ ...LAYOUT, stream }), builtBed: null } as const

const TEN = { volumeM3: 10, lowM3: 9, highM3: 11.5 }

describe('what a dose must treat', () => {
  it('holds the stream of the filter that is built: 2 m of 1 m, 10 cm deep, six tenths water', () => {
    const without = { ...built, bed: laidOut() }
    const of = (design: typeof built) => systemVolumeOf({ beside: [] }, TEN, [design], BED_MATERIALS)
    const [dry, wet] = [of(without), of(built)]
    expect(wet.besideM3 - dry.besideM3).toBeCloseTo(2 * 0.1 * 0.6, 9)
    expect(wet.totalM3 - dry.totalM3).toBeCloseTo(2 * 0.1 * 0.6, 9)
    expect(wet.totalM3).toBeCloseTo(10 + wet.besideM3 + wet.filterVoidsM3, 9)
  })
  it('counts a stream that was surveyed as it was measured, and once', () => {
    const beside = [{ kind: 'stream', lengthM: 3, widthM: 0.5, depthM: 0.1, fill: 1 }] as const
    expect(systemVolumeOf({ beside: [...beside] }, TEN, [built], BED_MATERIALS).besideM3).toBeCloseTo(0.15, 9)
  })
  it('counts nothing that is only drawn', () => {
    expect(systemVolumeOf({ beside: [] }, TEN, [{ ...built, state: 'open' }], BED_MATERIALS).totalM3).toBe(10)
  })
  it('is known as far as the water of the pond is', () => {
    const { totalM3, lowM3, highM3 } = systemVolumeOf({ beside: [] }, TEN, [built], BED_MATERIALS)
    expect(totalM3 - lowM3).toBeCloseTo(1, 9)
    expect(highM3 - totalM3).toBeCloseTo(1.5, 9)
  })
})
