import fc from 'fast-check'
import { basinOf, type BasinSurvey } from './basin'
import { boundsOf } from './point'
import { cutLine, longSection } from './section'

const survey = (
  lengthM: number,
  widthM: number,
  zones: BasinSurvey['zones'],
  kind: 'rectangle' | 'ellipse' = 'rectangle',
): BasinSurvey => ({
  outline: { kind, lengthM, widthM },
  zones,
  rockShare: 0,
})
/** Insets are worked out on a grid of 0.1 mm. */
const OUTLINE_STEP_M = 2e-4

const zone = (floorDepthM: number, surfaceShare: number, sideSlope: number) => ({
  name: 'z',
  floorDepthM,
  surfaceShare,
  sideSlope,
})

function basin(s: BasinSurvey) {
  const outcome = basinOf(s)
  if (!outcome.ok) throw new Error(outcome.problem.code)
  return outcome.value
}

describe('the long section', () => {
  it('of a box is the box', () => {
    const profile = longSection(basin(survey(6, 3, [zone(1.2, 1, 0)])))
    const corners = profile.map((p) => [Number(p.chainageM.toFixed(6)), p.depthM])
    expect(new Set(corners.map(String))).toEqual(new Set(['0,0', '0,1.2', '6,1.2', '6,0']))
  })
  it('runs in by slope × depth on both sides', () => {
    const profile = longSection(basin(survey(8, 5, [zone(1, 1, 0.5)])))
    const floor = profile.filter((p) => p.depthM === 1).map((p) => p.chainageM)
    expect(Math.min(...floor)).toBeCloseTo(0.5, 3)
    expect(Math.max(...floor)).toBeCloseTo(7.5, 3)
  })
  it('never climbs on the way down nor falls on the way up', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4, max: 20, noNaN: true }),
        fc.double({ min: 3, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        fc.double({ min: 0.2, max: 0.6, noNaN: true }),
        fc.constantFrom('rectangle' as const, 'ellipse' as const),
        (lengthM, widthM, slope, share, kind) => {
          const outcome = basinOf(survey(lengthM, widthM, [zone(0.4, 1, slope), zone(1, share, slope)], kind))
          if (!outcome.ok) return
          const profile = longSection(outcome.value)
          const deepest = profile.findIndex((p) => p.depthM === 1)
          for (let i = 1; i < profile.length; i++) {
            expect(profile[i]!.chainageM).toBeGreaterThanOrEqual(profile[i - 1]!.chainageM - OUTLINE_STEP_M)
            if (i <= deepest) expect(profile[i]!.depthM).toBeGreaterThanOrEqual(profile[i - 1]!.depthM)
          }
        },
      ),
      { numRuns: 60 },
    )
  })
  it('cuts through the deepest floor, even where it lies off the tape', () => {
    const offsets = [
      { stationM: 0, leftM: 0.5, rightM: 0.2 },
      { stationM: 3, leftM: 4, rightM: 0.2 },
      { stationM: 6, leftM: 4, rightM: 0.2 },
      { stationM: 9, leftM: 0.5, rightM: 0.2 },
    ]
    const lopsided = basin({
      outline: { kind: 'offsets', offsets },
      zones: [zone(0.4, 1, 0), zone(1, 0.3, 0)],
      rockShare: 0,
    })
    const floor = boundsOf(lopsided.zones[1]!.floorOutlines[0]!)
    expect(cutLine(lopsided)).toBeGreaterThan(floor.minY)
    expect(cutLine(lopsided)).toBeLessThan(floor.maxY)
    expect(longSection(lopsided).some((p) => p.depthM === 1)).toBe(true)
  })
})
