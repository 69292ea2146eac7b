import fc from 'fast-check'
import { outlineOf } from '../../core/survey/outline-shapes'
import { OutlineInput } from '../ponds/pond'
import { pondFacts } from '../ponds/pond-facts'
import { inEnglish } from '../../../tests/fixtures/in-words'

const problem = (outline: unknown) =>
  OutlineInput.safeParse(outline).error?.issues.map((i) => `${i.path.join('.')}: ${inEnglish(i.message)}`)[0]
const station = (stationM: number, leftM = 1, rightM = 1) => ({ stationM, leftM, rightM })

describe('an outline as typed', () => {
  it.each([
    ['a waist wider than the pond', { kind: 'kidney', lengthM: 8, widthM: 4, waistM: 5 }, /^waistM: /],
    [
      'a station that goes back',
      { kind: 'offsets', offsets: [station(0), station(3), station(2)] },
      /^offsets\.2\.stationM: /,
    ],
    [
      'corners that are one and the same',
      { kind: 'points', points: [1, 1, 1].map(() => ({ xM: 1, yM: 2 })) },
      /^points: Enter at least three different/,
    ],
  ])('names %s', (_, outline, message) => expect(problem(outline)).toMatch(message))
  it.each([
    { kind: 'points' as const, points: [0, 1, 2].map((n) => ({ xM: n, yM: n })) },
    { kind: 'offsets' as const, offsets: [station(0, 0, 0), station(1, 0, 0), station(2, 0, 0)] },
  ])('that encloses nothing is refused when it is built', (outline) =>
    expect(
      pondFacts({
        outline,
        zones: [{ name: 'Pool', floorDepthM: 1, surfaceShare: 1, sideSlope: 0 }],
        rockShare: 0,
        meteredFillM3: null,
      }).ok,
    ).toBe(false),
  )
  it('builds whenever it is taken, so that no form can break on it', () => {
    const number = fc.oneof(fc.double({ min: -5, max: 20, noNaN: true }), fc.constantFrom(0, 1, 2))
    const any = fc.oneof(
      fc.record({ kind: fc.constantFrom('rectangle', 'ellipse'), lengthM: number, widthM: number }),
      fc.record({ kind: fc.constant('kidney'), lengthM: number, widthM: number, waistM: number }),
      fc.record({
        kind: fc.constant('offsets'),
        offsets: fc.array(fc.record({ stationM: number, leftM: number, rightM: number }), { maxLength: 8 }),
      }),
      fc.record({
        kind: fc.constant('points'),
        points: fc.array(fc.record({ xM: number, yM: number }), { maxLength: 8 }),
      }),
    )
    fc.assert(
      fc.property(any, (outline) => {
        const read = OutlineInput.safeParse(outline)
        if (read.success) expect(outlineOf(read.data).length).toBeGreaterThanOrEqual(3)
      }),
      { numRuns: 500 },
    )
  })
})
