import { checkVolume } from './volume-check'
import { combineVolumes } from './volume-evidence'

const shape = { method: 'geometry-free-form', volumeM3: 20, sigmaM3: 2.4 }
const meter = (volumeM3: number) => ({ method: 'metered-fill', volumeM3, sigmaM3: 0.02 * volumeM3 })

describe('a volume held against its surest way', () => {
  it('is held where the meter lies in the band of the shape, with the meter’s own error', () => {
    const check = checkVolume([shape, meter(22)])!
    expect(check).toMatchObject({ method: 'metered-fill', cameM3: 22, held: true })
    expect(check.highM3 - 20).toBeCloseTo(1.2816 * Math.hypot(2.4, 0.44), 3)
    expect(checkVolume([shape, meter(24)])!.held).toBe(false)
  })
  it('is nothing where all was measured in one way', () => {
    expect(checkVolume([shape])).toBeNull()
    expect(checkVolume([meter(20), meter(21)])).toBeNull()
  })
  it('does not know what the surest way adds', () =>
    expect(checkVolume([shape, meter(22)])!.highM3).toBeGreaterThan(combineVolumes([shape, meter(22)]).highM3))
})
