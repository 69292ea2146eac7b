import { BED_MATERIALS } from '../../core/filter/bed/layers'
import { laidOut, LAYOUT } from '../../../tests/fixtures/site-plan'
import { systemVolumeOf } from './system-volume'

const stream = { depthM: 0.1, places: [{ at: { xM: 6, yM: 0 }, widthM: 1, dropM: 0.1 }] }
const built = { state: 'built', bed: laidOut({ ...LAYOUT, stream }), builtBed: null } as const

describe('what a dose must treat', () => {
  it('holds the stream of the filter that is built: 2 m of 1 m, 10 cm deep, six tenths water', () => {
    const without = { ...built, bed: laidOut() }
    const of = (design: typeof built) => systemVolumeOf({ beside: [] }, 10, [design], BED_MATERIALS)
    const [dry, wet] = [of(without), of(built)]
    expect(wet.besideM3 - dry.besideM3).toBeCloseTo(2 * 0.1 * 0.6, 9)
    expect(wet.totalM3 - dry.totalM3).toBeCloseTo(2 * 0.1 * 0.6, 9)
    expect(wet.totalM3).toBeCloseTo(10 + wet.besideM3 + wet.filterVoidsM3, 9)
  })
  it('counts a stream that was surveyed as it was measured, and once', () => {
    const beside = [{ kind: 'stream', lengthM: 3, widthM: 0.5, depthM: 0.1, fill: 1 }] as const
    expect(systemVolumeOf({ beside: [...beside] }, 10, [built], BED_MATERIALS).besideM3).toBeCloseTo(0.15, 9)
  })
  it('counts nothing that is only drawn', () => {
    expect(systemVolumeOf({ beside: [] }, 10, [{ ...built, state: 'open' }], BED_MATERIALS).totalM3).toBe(10)
  })
})
