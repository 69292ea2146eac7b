import fc from 'fast-check'
import { middleOf, patchShapes, type PatchCircle } from './patch-shapes'
import type { DrawnPoint } from './sheet'

const GROUND = { lengthM: 3, widthM: 2, round: false }
const areaOf = (shape: readonly DrawnPoint[]): number =>
  Math.abs(
    shape.reduce((sum, p, i) => {
      const q = shape[(i + 1) % shape.length]!
      return sum + p.xM * q.yM - q.xM * p.yM
    }, 0),
  ) / 2
const isWithin = (shape: readonly DrawnPoint[], x: number, y: number): boolean =>
  shape.length > 2 &&
  shape.every((p, i) => {
    const q = shape[(i + 1) % shape.length]!
    return (q.xM - p.xM) * (y - p.yM) - (q.yM - p.yM) * (x - p.xM) > 1e-9
  })
const circle = fc.record({
  xM: fc.double({ min: 0, max: 3, noNaN: true }),
  yM: fc.double({ min: 0, max: 2, noNaN: true }),
  radiusM: fc.double({ min: 0.1, max: 1, noNaN: true }),
})
const circles = fc.array(circle, { minLength: 1, maxLength: 6 })

describe('shapes of patches', () => {
  it('are circles where nothing is near: a 48-gon has 99.7 % of the circle', () => {
    const [shape] = patchShapes([{ xM: 1.5, yM: 1, radiusM: 0.5 }], GROUND)
    expect(areaOf(shape!)).toBeCloseTo(0.5 * 48 * Math.sin((2 * Math.PI) / 48) * 0.25, 9)
  })
  it('end at the edge of the bed', () => {
    const [shape] = patchShapes([{ xM: 0, yM: 1, radiusM: 0.5 }], GROUND)
    expect(areaOf(shape!)).toBeCloseTo(0.5 * 0.5 * 48 * Math.sin((2 * Math.PI) / 48) * 0.25, 6)
  })
  it('of two equal neighbours meet halfway', () => {
    const [left, right] = patchShapes(
      [
        { xM: 1, yM: 1, radiusM: 0.5 },
        { xM: 1.6, yM: 1, radiusM: 0.5 },
      ],
      GROUND,
    )
    expect(Math.max(...left!.map((p) => p.xM))).toBeCloseTo(1.3, 9)
    expect(Math.min(...right!.map((p) => p.xM))).toBeCloseTo(1.3, 9)
  })
  it('never lie over one another, nor outside the bed, round or not', () => {
    fc.assert(
      fc.property(circles, fc.boolean(), (patches: readonly PatchCircle[], round) => {
        const shapes = patchShapes(patches, { lengthM: 3, widthM: round ? 3 : 2, round })
        for (const p of shapes.flat())
          if (round) expect(Math.hypot(p.xM - 1.5, p.yM - 1.5)).toBeLessThan(1.5 / Math.cos(Math.PI / 48) + 1e-6)
          else {
            expect(p.xM).toBeGreaterThan(-1e-6)
            expect(p.xM).toBeLessThan(3 + 1e-6)
            expect(p.yM).toBeGreaterThan(-1e-6)
            expect(p.yM).toBeLessThan(2 + 1e-6)
          }
        for (let x = 0.05; x < 3; x += 0.25)
          for (let y = 0.05; y < 2; y += 0.25)
            // patches in the very same place cannot be told apart
            if (new Set(patches.map((p) => `${p.xM} ${p.yM}`)).size === patches.length)
              expect(shapes.filter((shape) => isWithin(shape, x, y)).length).toBeLessThan(2)
      }),
      { numRuns: 60 },
    )
  })
  it('have their name in the middle of what is left of them', () => {
    const [shape] = patchShapes([{ xM: 0, yM: 1, radiusM: 0.5 }], GROUND)
    // the middle of a half disc lies 4r/3π from its straight edge
    expect(middleOf(shape!)!.xM).toBeCloseTo((4 * 0.5) / (3 * Math.PI), 2)
    expect(middleOf(shape!)!.yM).toBeCloseTo(1, 9)
    expect(middleOf([])).toBeNull()
  })
})
