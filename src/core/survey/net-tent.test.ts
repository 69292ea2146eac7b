import fc from 'fast-check'
import { NET_RULES, netMeshMm, netTent } from './net-tent'

const side = fc.double({ min: 0.5, max: 40, noNaN: true })

describe('a net held up as a tent', () => {
  it('is worked out by hand for a pond of 6 m × 4 m', () => {
    const tent = netTent({ lengthM: 6, widthM: 4, freeboardM: 0.1 })
    // half span 2 m; at 16° the middle of the slope stands 0.1 + 0.287 − 0.104 = 0.283 m over the water
    expect(tent.pitchDeg).toBe(16)
    expect(tent.clearanceM).toBeCloseTo(0.2827, 3)
    expect(tent.ridgeHeightM).toBeCloseTo(2 * Math.tan((16 * Math.PI) / 180), 9)
    expect(tent.posts).toBe(3)
    expect(tent.pins).toBe(25)
    expect(tent.net.lengthM).toBeCloseTo(6.9, 9)
    expect(tent.net.widthM).toBeCloseTo((2 * 2 * 1.05) / Math.cos((16 * Math.PI) / 180) + 0.6, 9)
  })
  it('is pitched steeper over a narrow pond until the sagging net clears the water', () => {
    const narrow = netTent({ lengthM: 4, widthM: 1, freeboardM: 0.05 })
    expect(narrow.pitchDeg).toBeGreaterThan(16)
    expect(narrow.clearanceM).toBeGreaterThanOrEqual(NET_RULES.clearanceM)
  })
  it('covers the pond whichever way it was measured, and never spans more than 3 m between posts', () => {
    fc.assert(
      fc.property(side, side, (lengthM, widthM) => {
        const tent = netTent({ lengthM, widthM, freeboardM: 0.1 })
        expect(netTent({ lengthM: widthM, widthM: lengthM, freeboardM: 0.1 })).toEqual(tent)
        expect(tent.net.lengthM).toBeGreaterThan(Math.max(lengthM, widthM))
        expect(tent.net.widthM).toBeGreaterThan(Math.min(lengthM, widthM))
        expect(tent.ridgeLengthM / (tent.posts - 1)).toBeLessThanOrEqual(NET_RULES.postSpacingM + 1e-9)
      }),
    )
  })
  it('has a finer mesh under more trees', () => expect(netMeshMm('many')).toBeLessThan(netMeshMm('none')))
  it('refuses a figure that is not one', () =>
    expect(() => netTent({ lengthM: Number.NaN, widthM: 2, freeboardM: 0.1 })).toThrow(/lengthM/))
})
