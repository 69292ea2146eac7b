import fc from 'fast-check'
import { LAYOUT, groundWith, siteWith, squareBasin } from '../../../tests/fixtures/site-plan'
import { DomainError } from '../errors'
import { areaM2 } from '../survey/polygon'
import { inside, lineLengthM, liesWithin, longestCrossing, nearestOn, shapesApartM } from './geometry'
import { groundLevelM } from './ground-level'
import { leafFallKgPerYear, litterKgPerM2 } from './leaf-fall'
import { depthAtM, pondGround } from './pond-ground'
import { EMPTY_SITE_SURVEY } from './site-survey'
import { basinOf } from '../survey/basin'

const at = (xM: number, yM: number) => ({ xM, yM })
const square = [at(0, 0), at(2, 0), at(2, 2), at(0, 2)]

describe('shapes on the plan', () => {
  it('lie apart by their nearest places, and not at all where one lies in the other', () => {
    const other = (dx: number) => ({ points: square.map((p) => at(p.xM + dx, p.yM)), closed: true })
    expect(shapesApartM({ points: square, closed: true }, other(5))).toBeCloseTo(3, 12)
    expect(shapesApartM({ points: square, closed: true }, other(1))).toBe(0)
    expect(shapesApartM({ points: [at(1, 1)], closed: false }, { points: square, closed: true })).toBe(0)
    // a line through a shape without a corner in it
    expect(shapesApartM({ points: [at(-1, 1), at(3, 1)], closed: false }, { points: square, closed: true })).toBe(0)
    expect(shapesApartM({ points: [at(5, 6)], closed: false }, { points: [at(2, 2)], closed: false })).toBe(5)
  })
  it('lie within an outline only with all of themselves', () => {
    const l = [at(0, 0), at(4, 0), at(4, 1), at(1, 1), at(1, 4), at(0, 4)]
    expect(liesWithin({ points: [at(0.5, 0.5), at(3, 0.5)], closed: false }, l)).toBe(true)
    // both ends inside, the middle over the notch
    expect(liesWithin({ points: [at(0.5, 3), at(3, 0.5)], closed: false }, l)).toBe(false)
    expect(inside(l, at(2, 2))).toBe(false)
  })
  it('know their longest crossing and their nearest place', () => {
    const [a, b] = longestCrossing(square)
    expect(Math.hypot(a.xM - b.xM, a.yM - b.yM)).toBeCloseTo(Math.sqrt(8), 12)
    expect(nearestOn(square, true, at(1, -3))).toEqual(at(1, 0))
    expect(lineLengthM([at(0, 0), at(3, 4), at(3, 5)])).toBe(6)
  })
})

describe('ground by spot levels', () => {
  const spot = (xM: number, yM: number, levelM: number) => ({ kind: 'spot-level' as const, at: at(xM, yM), levelM })
  it('is not known without one, level by one, and a slope along the line of two', () => {
    expect(groundLevelM(EMPTY_SITE_SURVEY, at(3, 3))).toBeNull()
    expect(groundLevelM(siteWith(spot(0, 0, 0.4)), at(30, 3))).toBeCloseTo(0.4, 12)
    const slope = siteWith(spot(0, 0, 0), spot(10, 0, 0.5))
    expect(groundLevelM(slope, at(4, 0))).toBeCloseTo(0.2, 9)
    // nothing was measured across: it stays as high
    expect(groundLevelM(slope, at(4, 7))).toBeCloseTo(0.2, 9)
  })
  it('goes through three spots, and through any number of one plane', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.2, max: 0.2, noNaN: true }),
        fc.double({ min: -0.2, max: 0.2, noNaN: true }),
        fc.array(fc.tuple(fc.integer({ min: -20, max: 20 }), fc.integer({ min: -20, max: 20 })), { maxLength: 5 }),
        (gx, gy, more) => {
          const plane = (x: number, y: number) => 0.3 + gx * x + gy * y
          const places = [[0, 0], [10, 1], [3, 8], ...more] as const
          const survey = siteWith(...places.map(([x, y]) => spot(x!, y!, plane(x!, y!))))
          expect(groundLevelM(survey, at(7, -5))!).toBeCloseTo(plane(7, -5), 6)
        },
      ),
    )
  })
})

describe('leaves of marked trees', () => {
  const tree = (xM: number, yM: number, crownM: number) => ({ kind: 'tree' as const, at: at(xM, yM), crownM })
  it('come down as much as the tree sheds: 0.35 kg a m² of crown, three quarters of it below', () => {
    const crownM = 3
    // rings of 1 cm out to where nothing is left
    let sum = 0
    for (let r = 0.005; r < 120; r += 0.01) sum += litterKgPerM2(tree(0, 0, crownM), at(r, 0)) * 2 * Math.PI * r * 0.01
    expect(sum).toBeCloseTo(0.35 * Math.PI * crownM ** 2, 2)
    expect(litterKgPerM2(tree(0, 0, crownM), at(2, 0))).toBeCloseTo(0.35 * 0.75, 12)
  })
  it('fall on a pond under a wide crown by its area, and less the further it stands', () => {
    const under = leafFallKgPerYear(siteWith(tree(3, 0, 20)), squareBasin.outline)
    expect(under).toBeCloseTo(0.35 * 0.75 * areaM2(squareBasin.outline), 9)
    const kg = [3, 6, 10, 20].map((x) => leafFallKgPerYear(siteWith(tree(x + 5, 0, 4)), squareBasin.outline))
    expect(kg).toEqual([...kg].sort((a, b) => b - a))
    expect(kg.at(-1)!).toBeGreaterThan(0)
    expect(leafFallKgPerYear(EMPTY_SITE_SURVEY, squareBasin.outline)).toBe(0)
  })
  it('refuse a crown of no size', () => {
    expect(() => litterKgPerM2(tree(0, 0, Number.NaN), at(1, 1))).toThrow(DomainError)
  })
})

describe('depth of the pond at a place', () => {
  it('is nothing on land and the floor with upright walls', () => {
    expect(depthAtM(groundWith(), at(10, 0))).toBe(0)
    expect(depthAtM(groundWith(), LAYOUT.pump)).toBe(1)
  })
  it('runs down a sloped wall', () => {
    const basin = basinOf({
      outline: { kind: 'rectangle', lengthM: 10, widthM: 10 },
      zones: [{ name: 'Floor', floorDepthM: 1, surfaceShare: 1, sideSlope: 2 }],
      rockShare: 0,
    })
    if (!basin.ok) throw new Error('cannot be built')
    const sloped = pondGround(basin.value, EMPTY_SITE_SURVEY)
    expect(depthAtM(sloped, at(0.5, 0))).toBeCloseTo(0.25, 2)
    expect(depthAtM(sloped, at(1.5, 0))).toBeCloseTo(0.75, 2)
    expect(depthAtM(sloped, at(5, 0))).toBe(1)
  })
})
