import fc from 'fast-check'
import { basinOf, type BasinSurvey } from './basin'
import { inset, insetAreaM2, insetForShare } from './inset'
import { outlineOf } from './outline-shapes'
import { areaM2, findCrossing, perimeterM } from './polygon'
import { pondVolumeM3, prismoidalVolumeM3 } from './prismoid'
import { longSection } from './section'

const rectangle = (lengthM: number, widthM: number) => outlineOf({ kind: 'rectangle', lengthM, widthM })
const side = fc.double({ min: 1, max: 60, noNaN: true })

describe('outlines', () => {
  it('gives a rectangle its area and perimeter', () => {
    expect(areaM2(rectangle(7, 4))).toBe(28)
    expect(perimeterM(rectangle(7, 4))).toBe(22)
  })
  it('gives an ellipse πab and, as a circle, 2πr within a tenth of a percent', () => {
    const ellipse = outlineOf({ kind: 'ellipse', lengthM: 10, widthM: 6 })
    expect(areaM2(ellipse)).toBeCloseTo(Math.PI * 15, 9)
    expect(perimeterM(outlineOf({ kind: 'ellipse', lengthM: 4, widthM: 4 })) / (4 * Math.PI)).toBeCloseTo(1, 3)
  })
  it('agrees with the trapezoid rule for baseline and offsets', () => {
    const offsets = [
      { stationM: 0, leftM: 0, rightM: 1 },
      { stationM: 2, leftM: 2, rightM: 1.5 },
      { stationM: 5, leftM: 1, rightM: 0 },
    ]
    const trapezoids = ((1 + 3.5) / 2) * 2 + ((3.5 + 1) / 2) * 3
    expect(areaM2(outlineOf({ kind: 'offsets', offsets }))).toBeCloseTo(trapezoids, 12)
  })
  it('refuses stations that do not advance along the tape, by name', () => {
    const offsets = [
      { stationM: 1, leftM: 1, rightM: 1 },
      { stationM: 1, leftM: 2, rightM: 2 },
      { stationM: 3, leftM: 0, rightM: 0 },
    ]
    expect(() => outlineOf({ kind: 'offsets', offsets })).toThrow('offsets.1.stationM')
  })
  it('names the point where an outline crosses itself', () => {
    const bowTie = [
      { xM: 0, yM: 0 },
      { xM: 4, yM: 4 },
      { xM: 4, yM: 0 },
      { xM: 0, yM: 4 },
    ]
    expect(findCrossing(bowTie)?.at).toEqual({ xM: 2, yM: 2 })
    expect(findCrossing(rectangle(5, 3))).toBeNull()
  })
  it('finds a side that folds back over its neighbour', () => {
    expect(
      findCrossing([
        { xM: 0, yM: 0 },
        { xM: 4, yM: 0 },
        { xM: 2, yM: 0 },
        { xM: 2, yM: 3 },
      ]),
    ).not.toBeNull()
  })
  it('never finds a crossing in a star-shaped outline', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 1, max: 5, noNaN: true }), { minLength: 5, maxLength: 30 }), (radii) => {
        const outline = radii.map((r, i) => ({
          xM: r * Math.cos((2 * Math.PI * i) / radii.length),
          yM: r * Math.sin((2 * Math.PI * i) / radii.length),
        }))
        expect(findCrossing(outline)).toBeNull()
      }),
    )
  })
})

describe('insets', () => {
  it('shrinks a rectangle by the distance on every side', () => {
    fc.assert(
      fc.property(side, side, fc.double({ min: 0.01, max: 0.45, noNaN: true }), (a, b, share) => {
        const d = share * Math.min(a, b)
        expect(Math.abs(insetAreaM2(rectangle(a, b), d) - (a - 2 * d) * (b - 2 * d))).toBeLessThan(
          0.0003 * (a + b) + 1e-3,
        )
      }),
    )
  })
  it('vanishes once its walls have met', () => expect(inset(rectangle(4, 2), 1.01)).toEqual([]))
  it('finds the distance that keeps a share of the surface', () => {
    fc.assert(
      fc.property(side, side, fc.double({ min: 0.02, max: 0.99, noNaN: true }), (a, b, share) => {
        expect(insetAreaM2(rectangle(a, b), insetForShare(rectangle(a, b), share)) / (a * b)).toBeCloseTo(share, 3)
      }),
      { numRuns: 40 },
    )
  })
})

describe('volume', () => {
  it('is exact for a truncated pyramid: h/3 (A + B + √AB)', () => {
    const volume = prismoidalVolumeM3({ topAreaM2: 16, midAreaM2: 9, bottomAreaM2: 4, depthM: 3 })
    expect(volume).toBeCloseTo((3 / 3) * (16 + 4 + Math.sqrt(64)), 12)
  })
  it('takes stone off the gross volume', () => {
    expect(pondVolumeM3([{ topAreaM2: 10, midAreaM2: 10, bottomAreaM2: 10, depthM: 1 }], 0.12)).toEqual({
      grossM3: 10,
      waterM3: 8.8,
    })
  })
  it('refuses a depth of zero, a negative one and NaN', () => {
    for (const depthM of [0, -1, Number.NaN])
      expect(() => prismoidalVolumeM3({ topAreaM2: 1, midAreaM2: 1, bottomAreaM2: 1, depthM })).toThrow('depthM')
  })
})

const survey = (zones: BasinSurvey['zones'], lengthM = 6, widthM = 4): BasinSurvey => ({
  outline: { kind: 'rectangle', lengthM, widthM },
  zones,
  rockShare: 0,
})
const zone = (floorDepthM: number, surfaceShare: number, sideSlope: number) => ({
  name: 'z',
  floorDepthM,
  surfaceShare,
  sideSlope,
})

describe('basinOf', () => {
  it('adds up zone by zone', () => {
    const basin = basinOf(survey([zone(0.4, 1, 0), zone(1, 0.5, 0)]))
    expect(basin.ok && basin.value.grossM3).toBeCloseTo(24 * 0.4 + 12 * 0.6, 2)
  })
  it('matches a truncated pyramid for sloped walls', () => {
    const basin = basinOf(survey([zone(1, 1, 0.5)]))
    // walls run in 0.5 m all round: 6×4 at the top, 5×3 at the floor
    expect(basin.ok && basin.value.grossM3).toBeCloseTo((1 / 6) * (24 + 4 * 5.5 * 3.5 + 15), 2)
  })
  it.each([
    ['a floor no deeper than the one above', [zone(0.5, 1, 0), zone(0.5, 0.5, 0)], 'zone-not-deeper'],
    ['a zone wider than the floor above it', [zone(0.5, 1, 1), zone(1, 0.9, 0)], 'zone-wider-than-above'],
    ['walls that meet before the floor', [zone(2, 1, 1.5)], 'slope-closes'],
  ])('refuses %s', (_, zones, code) => {
    const basin = basinOf(survey(zones))
    expect(basin.ok ? 'accepted' : basin.problem.code).toBe(code)
  })
  it('says at which depth too flat walls meet', () => {
    const basin = basinOf(survey([zone(2, 1, 2)]))
    // half of 4 m width ÷ slope 2 = 1 m
    expect(!basin.ok && basin.problem.code === 'slope-closes' && basin.problem.reachedM).toBeCloseTo(1, 1)
  })
  it('never holds more water when a wall is made flatter', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.8, noNaN: true }),
        fc.double({ min: 0.01, max: 0.4, noNaN: true }),
        (slope, more) => {
          const steep = basinOf(survey([zone(1, 1, slope)]))
          const flat = basinOf(survey([zone(1, 1, slope + more)]))
          if (steep.ok && flat.ok) expect(flat.value.grossM3).toBeLessThanOrEqual(steep.value.grossM3 + 1e-6)
        },
      ),
      { numRuns: 40 },
    )
  })
  it('draws a section that begins and ends at the waterline and reaches the floor', () => {
    const basin = basinOf(survey([zone(0.4, 1, 0.3), zone(1.2, 0.5, 0.2)]))
    if (!basin.ok) throw new Error(basin.problem.code)
    const profile = longSection(basin.value)
    expect(profile[0]!.depthM).toBe(0)
    expect(profile.at(-1)!.depthM).toBe(0)
    expect(Math.max(...profile.map((p) => p.depthM))).toBe(1.2)
  })
})

describe('a shelf of one width', () => {
  it('begins the next zone that far inside the waterline, and goes before the share', () => {
    const outline = { kind: 'rectangle', lengthM: 6, widthM: 4 } as const
    const deep = { name: 'Deep', floorDepthM: 1.2, surfaceShare: 0.9, sideSlope: 0 }
    const basin = basinOf({ outline, zones: [zone(0.4, 1, 0), { ...deep, insetM: 0.5 }], rockShare: 0 })
    // 6 × 4 at 0.4 m, then 5 × 3 for the other 0.8 m
    expect(basin.ok && basin.value.grossM3).toBeCloseTo(6 * 4 * 0.4 + 5 * 3 * 0.8, 3)
  })
  it('may have a second one below it: two shelves and the pool, each as wide as it was taped', () => {
    const outline = { kind: 'rectangle', lengthM: 6, widthM: 4 } as const
    const below = (floorDepthM: number, insetM: number) => ({
      name: `To ${floorDepthM}`,
      floorDepthM,
      surfaceShare: 1,
      insetM,
      sideSlope: 0,
    })
    const basin = basinOf({ outline, zones: [zone(0.3, 1, 0), below(0.6, 0.4), below(1.2, 0.9)], rockShare: 0 })
    expect(basin.ok && basin.value.grossM3).toBeCloseTo(6 * 4 * 0.3 + 5.2 * 3.2 * 0.3 + 4.2 * 2.2 * 0.6, 3)
    expect(basin.ok && basin.value.zones).toHaveLength(3)
  })
  it('that is wider than the pond leaves nothing, and says so', () => {
    const basin = basinOf({
      outline: { kind: 'rectangle', lengthM: 6, widthM: 4 },
      zones: [zone(0.4, 1, 0), { name: 'Deep', floorDepthM: 1.2, surfaceShare: 0.9, insetM: 3, sideSlope: 0 }],
      rockShare: 0,
    })
    expect(!basin.ok && basin.problem.code).toBe('slope-closes')
  })
})
