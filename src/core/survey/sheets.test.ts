import fc from 'fast-check'
import { areaM2, findCrossing } from './polygon'
import { outlineFromGeoJson } from './geojson'
import { linerSize } from './liner'
import { outlineOf } from './outline-shapes'
import { cutPlan, layoutOf, type CutPiece, type CutPlan, type Roll } from './roll-cutting'
import { systemVolumeM3 } from './system-volume'
import { drainDownM3, saltDilutionM3, timedFillM3 } from './volume-methods'

describe('a kidney', () => {
  it('is an ellipse when its waist is as wide as the pond, and smaller the narrower the waist', () => {
    const of = (waistM: number) => areaM2(outlineOf({ kind: 'kidney', lengthM: 8, widthM: 4, waistM }))
    expect(of(4)).toBeCloseTo((Math.PI * 8 * 4) / 4, 0)
    expect(of(2)).toBeLessThan(of(3))
    expect(() => of(5)).toThrow('waistM')
  })
  it('never crosses itself', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 40, noNaN: true }),
        fc.double({ min: 0.5, max: 1.2, noNaN: true }),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        (lengthM, w, share) => {
          const widthM = (lengthM * w) / 2
          expect(
            findCrossing(outlineOf({ kind: 'kidney', lengthM, widthM, waistM: Math.max(0.2, widthM * share) })),
          ).toBeNull()
        },
      ),
    )
  })
})

describe('GeoJSON', () => {
  const ring = [
    [-45, 45],
    [-44.9998, 45],
    [-44.9998, 45.0001],
    [-45, 45.0001],
    [-45, 45],
  ]
  const read = (value: unknown) => outlineFromGeoJson(JSON.stringify(value))
  it('comes out in metres: at 45° a degree of longitude is cos 45° of one of latitude', () => {
    const outline = read({ type: 'Feature', geometry: { type: 'Polygon', coordinates: [ring] } })
    if (!outline.ok) throw new Error(outline.problem)
    expect(outline.value).toHaveLength(4)
    const degree = (Math.PI / 180) * 6_371_008.8
    expect(areaM2(outline.value)).toBeCloseTo(
      0.0002 * degree * Math.cos((45.00005 * Math.PI) / 180) * 0.0001 * degree,
      2,
    )
  })
  it.each([
    ['not-json', '{'],
    ['no-polygon', '{"type":"Point","coordinates":[1,2]}'],
    ['no-polygon', 'null'],
    ['bad-position', '{"type":"Polygon","coordinates":[[[0,0],["a",1],[1,1]]]}'],
    ['not-degrees', '{"type":"Polygon","coordinates":[[[500000,4649776],[500010,4649776],[500010,4649790]]]}'],
    ['too-large', '{"type":"Polygon","coordinates":[[[0,0],[1,0],[1,1],[0,0]]]}'],
  ])('is refused as %s', (problem, text) => expect(outlineFromGeoJson(text)).toEqual({ ok: false, problem }))
  it('never throws', () =>
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) =>
        expect(typeof outlineFromGeoJson(text).ok).toBe('boolean'),
      ),
    ))
})

describe('other ways to a volume', () => {
  it('timed fill: 10 L in 20 s for 200 min', () => expect(timedFillM3(0.01, 20, 200)).toBeCloseTo(6, 9))
  it('salt: 1 kg in 1 m³ raises 0.1 %', () => {
    expect(saltDilutionM3(1, 0.1)).toBeCloseTo(1, 9)
  })
  it('drain-down: 6 m³/h for 90 min', () => expect(drainDownM3(6, 90)).toBeCloseTo(9, 9))
})

it('the system is pond, streams, boxes and filter voids', () =>
  expect(
    systemVolumeM3(
      20,
      [
        { kind: 'stream', lengthM: 8, widthM: 0.5, depthM: 0.1, fill: 0.5 },
        { kind: 'box', volumeM3: 0.15 },
      ],
      1.2,
    ),
  ).toBeCloseTo(20 + 0.2 + 0.15 + 1.2, 9))

it('liner of the trade rule: 5 × 3 m, 1 m deep, 0.3 m over each side', () =>
  expect(linerSize({ lengthM: 5, widthM: 3, depthM: 1 })).toMatchObject({ lengthM: 7.6, widthM: 5.6 }))

/** Judges a plan by itself: all pieces there, of their size, inside their roll, apart, and the sums right. */
function assertSound(plan: CutPlan, pieces: readonly CutPiece[], stock: readonly Roll[]): void {
  const placed = plan.rolls.flatMap((roll) => roll.pieces)
  expect([...placed.map((p) => p.id), ...plan.unplaced].sort()).toEqual(pieces.map((p) => p.id).sort())
  for (const roll of plan.rolls) {
    expect(stock.some((s) => s.widthM === roll.widthM && roll.usedM <= s.lengthM + 1e-6)).toBe(true)
    for (const [i, p] of roll.pieces.entries()) {
      const wanted = pieces.find((w) => w.id === p.id)!
      expect([p.alongM, p.acrossM].sort((a, b) => a - b)).toEqual([wanted.lengthM, wanted.widthM].sort((a, b) => a - b))
      expect(p.xM + p.alongM).toBeLessThanOrEqual(roll.usedM + 1e-6)
      expect(p.yM + p.acrossM).toBeLessThanOrEqual(roll.widthM + 1e-6)
      for (const q of roll.pieces.slice(i + 1)) {
        const apart =
          p.xM + p.alongM <= q.xM + 1e-6 ||
          q.xM + q.alongM <= p.xM + 1e-6 ||
          p.yM + p.acrossM <= q.yM + 1e-6 ||
          q.yM + q.acrossM <= p.yM + 1e-6
        expect(apart).toBe(true)
      }
    }
  }
  expect(plan.rolls.reduce((sum, r) => sum + r.usedM * r.widthM, 0)).toBeCloseTo(plan.usedM2, 6)
}

describe('cutting rolls', () => {
  const stock: Roll[] = [
    { widthM: 4, lengthM: 30 },
    { widthM: 6, lengthM: 30 },
  ]
  const side = fc.integer({ min: 5, max: 58 }).map((v) => v / 10)
  const anyPieces = (max: number) =>
    fc
      .array(fc.tuple(side, side), { minLength: 1, maxLength: max })
      .map((sizes) => sizes.map(([lengthM, widthM], i) => ({ id: `p${i}`, lengthM, widthM })))

  it('finds the cut without waste where there is one', () => {
    const pieces = [
      { id: 'a', lengthM: 6, widthM: 2 },
      { id: 'b', lengthM: 4, widthM: 3 },
      { id: 'c', lengthM: 3, widthM: 2 },
    ]
    // 6 m roll: a across it, then b beside c
    const plan = cutPlan(pieces, [{ widthM: 6, lengthM: 30 }])
    expect(plan.usedM2).toBeCloseTo(6 * 2 + 6 * 3, 9)
    expect(plan.wasteShare).toBeCloseTo(0, 9)
  })
  it('serves a small pond from the off-cut of a large one', () => {
    const plan = cutPlan(
      [
        { id: 'large', lengthM: 8, widthM: 4.5 },
        { id: 'small', lengthM: 3, widthM: 1.4 },
      ],
      [{ widthM: 6, lengthM: 30 }],
    )
    expect(plan.usedM2).toBeCloseTo(48, 9)
  })
  it('names what no roll is wide enough for', () =>
    expect(cutPlan([{ id: 'lake', lengthM: 20, widthM: 9 }], stock).unplaced).toEqual(['lake']))
  it('is sound for any pieces, small or many', () => {
    fc.assert(
      fc.property(anyPieces(5), (pieces) => assertSound(cutPlan(pieces, stock), pieces, stock)),
      { numRuns: 25 },
    )
    fc.assert(
      fc.property(anyPieces(14), (pieces) => assertSound(cutPlan(pieces, stock, { steps: 150 }), pieces, stock)),
      { numRuns: 6 },
    )
  })
  it('by search stays within 5 % of every way tried', () => {
    const random = fc.sample(fc.array(fc.tuple(side, side), { minLength: 6, maxLength: 6 }), { seed: 7, numRuns: 4 })
    for (const sizes of random) {
      const pieces = sizes.map(([lengthM, widthM], i) => ({ id: `p${i}`, lengthM, widthM }))
      const exact = cutPlan(pieces, stock)
      const searched = cutPlan(pieces, stock, { exactUpTo: 0 })
      expect(exact.exact).toBe(true)
      expect(searched.exact).toBe(false)
      expect(searched.usedM2).toBeLessThanOrEqual(exact.usedM2 * 1.05)
    }
  })
  it('is no worse than one piece after the other', () => {
    fc.assert(
      fc.property(anyPieces(4), (pieces) => {
        const apart = pieces.reduce(
          (sum, p) => sum + Math.min(...stock.map((roll) => (layoutOf([p], roll)?.lengthM ?? Infinity) * roll.widthM)),
          0,
        )
        expect(cutPlan(pieces, stock).usedM2).toBeLessThanOrEqual(apart + 1e-6)
      }),
      { numRuns: 25 },
    )
  })
})
