import fc from 'fast-check'
import { Z90 } from '../statistics/normal'
import { combineVolumes, type VolumeEvidence } from './volume-evidence'
import { possibleSlips } from './volume-slips'

const way = (method: string, volumeM3: number, share: number): VolumeEvidence => ({
  method,
  volumeM3,
  sigmaM3: share * volumeM3,
})
const shape = (volumeM3: number) => way('geometry-free-form', volumeM3, 0.12)
const meter = (volumeM3: number) => way('metered-fill', volumeM3, 0.02)
const salt = (volumeM3: number) => way('salt-dilution', volumeM3, 0.05)
const hose = (volumeM3: number) => way('timed-fill', volumeM3, 0.07)

describe('combineVolumes', () => {
  it('weighs ways that agree by inverse variance', () => {
    const combined = combineVolumes([way('a', 10, 0.1), way('b', 10.5, 0.05)])
    const [wa, wb] = [1, 1 / 0.525 ** 2]
    expect(combined.volumeM3).toBeCloseTo((10 * wa + 10.5 * wb) / (wa + wb), 12)
    expect(combined.sigmaM3).toBeCloseTo(Math.sqrt(1 / (wa + wb)), 12)
    expect(combined).toMatchObject({ open: false, distrust: null, conflicts: [] })
    expect(combined.highM3 - combined.lowM3).toBeCloseTo(2 * Z90 * combined.sigmaM3, 12)
  })
  it('a meter 20 % off against the shape: the band covers both, and neither is blamed', () => {
    const { volumeM3, lowM3, highM3, open, distrust, sigmaM3 } = combineVolumes([shape(20), meter(24)])
    expect({ open, distrust }).toEqual({ open: true, distrust: null })
    expect(lowM3).toBeLessThan(18.5)
    expect(highM3).toBeGreaterThan(24)
    expect(volumeM3 - Z90 * sigmaM3).toBeLessThanOrEqual(lowM3 + 1e-9)
  })
  it('a conflict is named beyond two joint sigmas; of two ways it is not told which is off', () => {
    const { conflicts } = combineVolumes([way('tape', 16, 0.1), way('meter', 10, 0.02)])
    expect(conflicts).toMatchObject([{ methods: ['tape', 'meter'], distrust: null }])
    expect(conflicts[0]!.sigmas).toBeCloseTo(6 / Math.hypot(1.6, 0.2), 9)
  })
  it('a conflict of 5.6 σ widens the band, it does not narrow it', () => {
    const { lowM3, highM3, conflicts } = combineVolumes([
      { method: 'geometry', volumeM3: 20, sigmaM3: 1 },
      { method: 'meter', volumeM3: 12.08, sigmaM3: 1 },
    ])
    expect(conflicts[0]!.sigmas).toBeCloseTo(5.6, 1)
    expect(lowM3).toBeLessThan(12.08)
    expect(highM3).toBeGreaterThan(20)
  })
  it('of three and more the odd one out is named, and counts little', () => {
    const { volumeM3, distrust, conflicts } = combineVolumes([shape(20), salt(20.4), hose(19.5), meter(26)])
    expect(distrust).toBe('metered-fill')
    expect(volumeM3).toBeCloseTo(20.2, 0)
    expect(conflicts.every((c) => c.distrust === 'metered-fill')).toBe(true)
  })
  it('three runs of one method are surer than one, but not by √3', () => {
    const [one, three] = [combineVolumes([salt(20)]), combineVolumes([salt(20), salt(20), salt(20)])]
    expect(one.sigmaM3).toBeCloseTo(1, 12)
    expect(three.sigmaM3).toBeCloseTo(Math.sqrt(0.6 + 0.4 / 3), 9)
  })
  it('lies between its evidence and is no surer than the surest allows', () => {
    const evidence = fc.record({
      method: fc.constantFrom('a', 'b', 'c', 'd'),
      volumeM3: fc.double({ min: 1, max: 100, noNaN: true }),
      sigmaM3: fc.double({ min: 0.05, max: 20, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.array(evidence, { minLength: 1, maxLength: 6 }), (all) => {
        const { volumeM3, sigmaM3, lowM3, highM3 } = combineVolumes(all)
        expect(volumeM3).toBeGreaterThanOrEqual(Math.min(...all.map((e) => e.volumeM3)) - 1e-9)
        expect(volumeM3).toBeLessThanOrEqual(Math.max(...all.map((e) => e.volumeM3)) + 1e-9)
        expect(lowM3).toBeGreaterThan(0)
        expect(volumeM3 + Z90 * sigmaM3).toBeGreaterThanOrEqual(highM3 - 1e-9)
        const precision = all.reduce((sum, e) => sum + 1 / e.sigmaM3 ** 2, 0)
        expect(sigmaM3).toBeGreaterThanOrEqual(Math.sqrt(1 / precision) * (1 - 1e-9))
      }),
    )
  })
  it('refuses no evidence', () => expect(() => combineVolumes([])).toThrow('evidence'))
})

describe('slips that would explain a volume', () => {
  const slips = (...evidence: VolumeEvidence[]) => possibleSlips(evidence, combineVolumes(evidence))
  it('are none where the ways agree', () => expect(slips(shape(20), meter(20.5))).toEqual([]))
  it('name the gallon first where the figures lie as gallons do', () =>
    expect(slips(meter(24.02), salt(20))[0]).toEqual({
      method: 'metered-fill',
      code: 'gallons-taken-for-imperial',
    }))
  it('are of either way while it is open which is off, and point the right way', () => {
    const found = slips(shape(20), meter(26))
    expect(new Set(found.map(({ method }) => method))).toEqual(new Set(['geometry-free-form', 'metered-fill']))
    expect(found.map(({ code }) => code)).toContain('others-drew-on-the-meter')
    expect(found.map(({ code }) => code)).toContain('shelves-smaller-than-drawn')
    expect(found.map(({ code }) => code)).not.toContain('not-filled-from-empty')
    expect(found.map(({ code }) => code)).not.toContain('gallons-taken-for-us')
  })
  it('are only of the odd one out where it is known', () => {
    const found = slips(shape(20), salt(20.4), hose(19.5), meter(26))
    expect(found.length).toBeGreaterThan(0)
    expect(found.every(({ method }) => method === 'metered-fill')).toBe(true)
  })
})
