import { trainUnit } from '../../../tests/fixtures/train-unit'
import fc from 'fast-check'
import { koiPond } from '../../../tests/fixtures/design-pond'
import { groundWith, laidOut, LAYOUT, siteWith, squareBasin } from '../../../tests/fixtures/site-plan'
import { bedAreaM2, buildUpM } from '../filter/bed/bed-geometry'
import { bedOutline, shapeShare } from '../filter/bed/bed-outline'
import { checkDesign, type CheckId } from '../filter/checks'
import { evaluateDesign } from '../filter/design'
import type { FilterDesign } from '../filter/design-input'
import { PUMP_CATALOGUE } from '../filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES as rules } from '../filter/house-rules'
import { sizedBy } from '../filter/resize'
import { DEFAULT_TABLES } from '../hydraulics/fittings'
import { areaM2 } from '../survey/polygon'
import { evaluateSitePlan } from './evaluate-site-plan'
import { apartM, nearestOn } from './geometry'
import { firstLayout, placedParts } from './layout'
import { placedDesign } from './placed-design'
import type { PondGround } from './pond-ground'
import { bendsOf, withBends } from './route'
import type { SiteObject } from './site-survey'
import { onShore, sideNear, snapped, snappedTurn } from './snap'
import { streamSize } from './stream'
import { placeFromTapes, tieInTable } from './tie-in'

const at = (xM: number, yM: number) => ({ xM, yM })
const spot = (xM: number, yM: number, levelM: number): SiteObject => ({ kind: 'spot-level', at: at(xM, yM), levelM })
const judged = (design: FilterDesign, ground: PondGround) => {
  const given = { pond: { ...koiPond, ground }, design, rules, houseMethod: 'volume' as const, pumps: PUMP_CATALOGUE }
  const checks = checkDesign({ ...given, result: evaluateDesign(given) })
  return (id: CheckId) => checks.find((c) => c.id === id)
}

describe('bed outlines', () => {
  it('of a half round and a kidney cover their share of the box', () => {
    const bed = laidOut()
    const half = { ...bed, shape: { kind: 'half-round' as const } }
    expect(bedAreaM2(half)).toBeCloseTo((Math.PI / 4) * 4 * 2, 6)
    expect(areaM2(bedOutline(half))).toBeCloseTo(bedAreaM2(half), 9)
    const kidney = { ...bed, shape: { kind: 'kidney' as const, waistShare: 0.6 } }
    expect(areaM2(bedOutline(kidney))).toBeCloseTo(bedAreaM2(kidney), 9)
    expect(bedAreaM2(kidney)).toBeLessThan((Math.PI / 4) * 4 * 2)
  })
  it('grow to what a method asks, whatever their shape', () => {
    const kidney = { ...laidOut(), shape: { kind: 'kidney' as const, waistShare: 0.6 } }
    const area = (design: FilterDesign) => bedAreaM2(sizedBy('volume', design, koiPond, rules, PUMP_CATALOGUE))
    expect(area(kidney)).toBeGreaterThanOrEqual(area(laidOut()) - 1e-9)
    expect(area(kidney)).toBeLessThan(area(laidOut()) * 1.1)
  })
  it('are straight where walls, headers or vessels make them so', () => {
    const shape = { kind: 'half-round' as const }
    for (const type of ['raised-trough', 'horizontal-bed', 'container-bog', 'perimeter-bog'] as const)
      expect(shapeShare({ type, shape })).toBe(1)
    expect(shapeShare({ type: 'surface-wetland', shape })).toBeCloseTo(Math.PI / 4, 9)
  })
})

describe('a design on its site', () => {
  const ground = groundWith(spot(0, 5, 0.2), spot(20, 5, 0.6), { kind: 'discharge', at: at(18, 0) })
  const placed = placedDesign(laidOut(), ground, DEFAULT_TABLES)
  it('takes its lift from the ground at the bed', () => {
    // 0.2 m at x = 0 rising 0.02 a metre: 0.4 m at x = 10, no walls, no water over the stone
    expect(placed.staticLiftM).toBeCloseTo(0.4, 9)
    expect(placedDesign({ ...laidOut(), raisedM: 0.3 }, ground, DEFAULT_TABLES).staticLiftM).toBeCloseTo(0.7, 9)
  })
  it('stands a barrel on the ground with all of its height, and leaves a pond without a bed alone', () => {
    const barrel = laidOut(LAYOUT, 'container-bog')
    const on = placedDesign(barrel, ground, DEFAULT_TABLES)
    expect(on.staticLiftM).toBeCloseTo(0.4 + buildUpM(barrel.layers) + barrel.waterOverGravelM, 2)
    expect(judged(on, ground)('site-levels')!.verdict).toBe('pass')
    const none = { ...laidOut(LAYOUT, 'none'), staticLiftM: 0.7 }
    expect(placedDesign(none, ground, DEFAULT_TABLES).staticLiftM).toBe(0.7)
  })
  it('takes the length of its pipe from the route, the depth of the pump and the lift', () => {
    // 4 down, 13 along, 4 up, 2 to the inlet at x = 12; 1 m of depth, 0.4 m of lift
    expect(placed.delivery.lengthM).toBeCloseTo(4 + 13 + 4 + 2 + 1 + 0.4, 9)
    expect(placed.delivery.fittings['sweep-90']).toBe(3 + 3)
  })
  it('carries dirty water from its vault to the discharge area', () => {
    // the vault stands before the inlet, half its width out
    expect(placed.vault!.dischargeM).toBeCloseTo(18 - 12 - placed.vault!.diameterM / 2, 2)
  })
  it('is the same when it is placed again', () => {
    expect(placedDesign(placed, ground, DEFAULT_TABLES)).toEqual(placed)
  })
  it('keeps by hand what the site does not say, and is left alone without a layout', () => {
    const bare = placedDesign(laidOut(), groundWith(), DEFAULT_TABLES)
    expect(bare.staticLiftM).toBe(laidOut().staticLiftM)
    expect(bare.vault).toEqual(laidOut().vault)
    const nowhere = laidOut(null)
    expect(placedDesign(nowhere, ground, DEFAULT_TABLES)).toBe(nowhere)
  })
  it('stands near a building where one is near, and not any more when it is moved away', () => {
    const house = groundWith({ kind: 'building', outline: [at(12.5, 1.5), at(16, 1.5), at(16, 5), at(12.5, 5)] })
    const near = placedDesign(laidOut(), house, DEFAULT_TABLES)
    expect(near.stand).toBe('near-building')
    const away = { ...near, layout: { ...LAYOUT, bed: { at: at(-10, 0), turnDeg: 0 } } }
    expect(placedDesign(away, house, DEFAULT_TABLES).stand).toBe('ground')
    expect(placedDesign({ ...near, stand: 'slab-or-roof' }, house, DEFAULT_TABLES).stand).toBe('slab-or-roof')
  })
  it('shows as many skimmers as it has', () => {
    const skimmer = trainUnit('skimmer-wall', { weirM: 0.3 })
    const two = placedDesign({ ...laidOut(), train: [skimmer, skimmer] }, ground, DEFAULT_TABLES)
    expect(two.layout!.skimmers).toHaveLength(2)
    expect(placedDesign({ ...two, train: [] }, ground, DEFAULT_TABLES).layout!.skimmers).toEqual([])
  })
  it('loses more head and never less along a longer route, and moves no more water', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 30, noNaN: true }), (furtherM) => {
        const far = { ...LAYOUT, route: LAYOUT.route.map((p) => at(p.xM, p.yM < -1 ? p.yM - furtherM : p.yM)) }
        const flow = (layout: typeof LAYOUT) =>
          evaluateDesign({
            pond: { ...koiPond, ground },
            design: placedDesign(laidOut(layout), ground, DEFAULT_TABLES),
            rules,
            houseMethod: 'volume',
            pumps: PUMP_CATALOGUE,
          }).flowM3PerH
        expect(flow(far)).toBeLessThanOrEqual(flow(LAYOUT) + 1e-9)
      }),
      { numRuns: 12 },
    )
  })
  it('works out lengths on land, trench, spoil, haul and cable', () => {
    const site = groundWith(
      { kind: 'access', line: [at(30, 0), at(20, 0)], widthM: 1.2 },
      { kind: 'supply', at: at(1, 6) },
    )
    const plan = evaluateSitePlan(laidOut(), site)!
    // from the edge at y = −2: 2 down, 13 along, 4 up, 2 to the inlet
    expect(plan.pipeOnLandM).toBeCloseTo(21, 6)
    expect(plan.earthworks.pipeTrenchM3).toBeCloseTo(21 * 0.3 * 0.45, 6)
    const { bedM3, pipeTrenchM3, streamM3, spoilM3 } = plan.earthworks
    expect(spoilM3).toBeCloseTo(1.25 * (bedM3 + pipeTrenchM3 + streamM3), 9)
    // 10 m across to the access, 10 m along it
    expect(plan.haulM).toBeCloseTo(20, 6)
    expect(plan.cableM).toBeCloseTo(6, 9)
    expect(plan.supplyFromWaterM).toBeCloseTo(4, 9)
  })
  it('is worked out nowhere without a layout or a ground', () => {
    expect(evaluateSitePlan(laidOut(null), ground)).toBeNull()
    expect(evaluateSitePlan(laidOut(), null)).toBeNull()
  })
})

describe('streams', () => {
  it('are trapezia between their places: 4 m from 0.6 to 1 m wide, then 2 m at 1 m', () => {
    const stream = {
      depthM: 0.1,
      places: [
        { at: at(4, 0), widthM: 0.6, dropM: 0 },
        { at: at(4, 2), widthM: 1, dropM: 0.3 },
      ],
    }
    const size = streamSize(at(0, 0), stream)
    expect(size.lengthM).toBe(6)
    expect(size.areaM2).toBeCloseTo(4 * 0.6 + (2 * (0.6 + 1)) / 2, 12)
    expect(size.volumeM3).toBeCloseTo(size.areaM2 * 0.1 * 0.6, 12)
    expect(size.dropM).toBeCloseTo(0.3, 12)
  })
  it('give the falls their last drop, and stop where they fall further than the bed stands', () => {
    const ground = groundWith(spot(0, 0, 0.5))
    const falling = (dropM: number) => ({
      ...laidOut({ ...LAYOUT, stream: { depthM: 0.1, places: [{ at: at(6, 0), widthM: 0.8, dropM }] } }),
      falls: { widthM: 0.5, dropM: 0.1 },
    })
    const placed = placedDesign(falling(0.4), ground, DEFAULT_TABLES)
    expect(placed.falls).toEqual({ widthM: 0.8, dropM: 0.4 })
    expect(judged(placed, ground)('site-stream')!.verdict).toBe('pass')
    expect(judged(placedDesign(falling(0.8), ground, DEFAULT_TABLES), ground)('site-stream')!.verdict).toBe('stop')
  })
})

describe('what is in the way', () => {
  const check = (...objects: readonly SiteObject[]) => judged(laidOut(), groundWith(...objects))('site-clearances')!
  it('passes on open ground', () => {
    expect(check()).toMatchObject({ verdict: 'pass' })
  })
  it('stops a bed over a gas pipe and looks at a trench that crosses one', () => {
    const gas = (x: number): SiteObject => ({
      kind: 'service',
      service: 'gas',
      line: [at(x, -9), at(x, 9)],
      clearM: 0.5,
    })
    expect(check(gas(10))).toMatchObject({ verdict: 'stop', also: { part: 'bed', other: 'service' } })
    expect(check(gas(13.5))).toMatchObject({ verdict: 'look', also: { part: 'pipe', other: 'service' } })
    // within the clearance is too near, though nothing crosses
    expect(check(gas(12.4))).toMatchObject({ verdict: 'stop', figure: expect.closeTo(0.4, 9) })
  })
  it('stops a bed in the pond, in a house, over the line, and on a trunk', () => {
    const into = (layout: typeof LAYOUT) => judged(laidOut(layout), groundWith())('site-clearances')!
    expect(into({ ...LAYOUT, bed: { at: at(6, 0), turnDeg: 0 } })).toMatchObject({
      verdict: 'stop',
      also: { other: 'pond' },
    })
    const house: SiteObject = { kind: 'building', outline: [at(9, -1), at(20, -1), at(20, 9), at(9, 9)] }
    expect(check(house)).toMatchObject({ verdict: 'stop', also: { other: 'building' } })
    const plot: SiteObject = { kind: 'property', outline: [at(-5, -9), at(9, -9), at(9, 9), at(-5, 9)] }
    expect(check(plot)).toMatchObject({ verdict: 'stop', also: { other: 'property' } })
    expect(check({ kind: 'tree', at: at(10, 0), crownM: 2 })).toMatchObject({
      verdict: 'stop',
      also: { other: 'tree' },
    })
  })
})

describe('levels, access, supply and wind', () => {
  it('stop a bed whose ground lies below the pond', () => {
    const low = groundWith(spot(0, 0, -0.5))
    const placed = placedDesign(laidOut(), low, DEFAULT_TABLES)
    expect(placed.staticLiftM).toBe(0)
    expect(judged(placed, low)('site-levels')!.verdict).toBe('stop')
  })
  it('look at a version whose lift is no longer that of its ground', () => {
    const ground = groundWith(spot(0, 0, 0.5))
    const placed = placedDesign(laidOut(), ground, DEFAULT_TABLES)
    expect(judged(placed, ground)('site-levels')!.verdict).toBe('pass')
    expect(judged({ ...placed, staticLiftM: 0.9 }, ground)('site-levels')!.verdict).toBe('look')
  })
  it('grade the narrowest way in', () => {
    const way = (widthM: number) =>
      judged(laidOut(), groundWith({ kind: 'access', line: [at(30, 0), at(20, 0)], widthM }))('site-access')!.verdict
    expect([1.2, 0.8, 0.5].map(way)).toEqual(['pass', 'look', 'stop'])
  })
  it('take width and haul from one way in: a short footpath does not shorten the wide one', () => {
    const path: SiteObject = { kind: 'access', line: [at(13, 0), at(12, 0)], widthM: 0.5 }
    const drive: SiteObject = { kind: 'access', line: [at(30, 0), at(20, 0)], widthM: 1.2 }
    const plan = evaluateSitePlan(laidOut(), groundWith(path, drive))!
    expect([plan.narrowestAccessM, plan.haulM]).toEqual([1.2, expect.closeTo(20, 6)])
  })
  it('look at a supply within 2 m of the water', () => {
    const supply = (y: number) =>
      judged(laidOut(), groundWith({ kind: 'supply', at: at(3, y) }))('site-supply')!.verdict
    expect([2 + 2.1, 2 + 1.9, 1].map(supply)).toEqual(['pass', 'look', 'look'])
  })
  it('look at a skimmer on the shore that the wind comes from', () => {
    const skimmer = trainUnit('skimmer-wall', { weirM: 0.3 })
    const windy = (windFromDeg: number) => {
      const ground = { ...groundWith(), survey: { ...siteWith(), windFromDeg } }
      const design = { ...laidOut({ ...LAYOUT, skimmers: [at(6, 0)] }), train: [skimmer] }
      return judged(design, ground)('site-skimmers')!.verdict
    }
    // north is up: a west wind (270°) blows to the right, where the skimmer stands
    expect(windy(270)).toBe('pass')
    expect(windy(90)).toBe('look')
  })
  it('begins with skimmers downwind, the bed clear of the pond, and its pump in the water', () => {
    const skimmer = trainUnit('skimmer-wall', { weirM: 0.3 })
    const design = { ...laidOut(null), train: [skimmer, skimmer] }
    const layout = firstLayout(design, squareBasin.outline, 0, 270)
    const ground = { ...groundWith(), survey: { ...siteWith(), windFromDeg: 270 } }
    const of = judged({ ...design, layout }, ground)
    expect(of('site-skimmers')!.verdict).toBe('pass')
    expect(of('site-clearances')!.verdict).toBe('pass')
    for (const p of layout.skimmers) expect(apartM(p, nearestOn(squareBasin.outline, true, p))).toBeCloseTo(0, 9)
  })
})

describe('set-out by two tapes', () => {
  const fixed = (xM: number, yM: number): SiteObject => ({ kind: 'fixed-point', at: at(xM, yM) })
  const outline = squareBasin.outline
  it('is empty while fewer than two fixed points are marked', () => {
    expect(tieInTable(laidOut(), LAYOUT, outline, siteWith(fixed(0, 0)))).toEqual([])
  })
  it('finds every corner, vault, pump, pipe corner and stream again', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        fc.double({ min: 7, max: 20, noNaN: true }),
        (turnDeg, y, x) => {
          const layout = {
            ...LAYOUT,
            bed: { at: at(x, y), turnDeg },
            stream: { depthM: 0.1, places: [{ at: at(6, 1), widthM: 1, dropM: 0 }] },
          }
          const [a, b] = [at(-3, 7), at(9, 8)]
          const rows = tieInTable(laidOut(layout), layout, outline, siteWith(fixed(-3, 7), fixed(9, 8)))
          expect(rows.map((r) => r.kind)).toEqual([
            ...Array<string>(4).fill('bed-corner'),
            'vault',
            'pump',
            ...Array<string>(3).fill('pipe-corner'),
            'stream',
          ])
          for (const row of rows) {
            const back = placeFromTapes([a, b], row)!
            expect(apartM(back, row.at)).toBeLessThan(row.side === 'on-line' ? 0.01 : 1e-5)
          }
        },
      ),
    )
  })
  it('sets a curved bed out by its box', () => {
    const kidney = { ...laidOut(), shape: { kind: 'kidney' as const, waistShare: 0.6 } }
    const rows = tieInTable(kidney, LAYOUT, outline, siteWith(fixed(0, 7), fixed(9, 7)))
    expect(rows.filter((r) => r.kind === 'bed-corner')).toHaveLength(4)
  })
})

describe('routes', () => {
  it('count bends by the turn at each corner', () => {
    expect(bendsOf([at(0, 0), at(1, 0), at(1, 1), at(2, 2), at(3, 3.1)])).toEqual({ elbow90: 1, elbow45: 1 })
    expect(bendsOf([at(0, 0), at(5, 0)])).toEqual({ elbow90: 0, elbow45: 0 })
  })
  it('use the fittings that the firm has, and keep the others', () => {
    const table = [{ key: 'elbow-90', k: 0.9 }]
    expect(withBends({ union: 2, 'sweep-90': 9 }, { elbow90: 2, elbow45: 1 }, table)).toEqual({
      union: 2,
      'elbow-90': 2 + 3 + 1,
    })
    expect(withBends({ union: 2 }, { elbow90: 2, elbow45: 1 }, [])).toEqual({ union: 2 })
  })
})

describe('snapping', () => {
  it('rests on the grid, or level with a neighbour that is near', () => {
    expect(snapped(at(1.234, 5.678), [])).toEqual({ at: at(1.2, 5.7), guides: [] })
    const neighbour = at(1.337, 9)
    expect(snapped(at(1.234, 5.678), [neighbour])).toEqual({ at: at(1.337, 5.7), guides: [neighbour] })
  })
  it('draws skimmers onto the edge and turns by steps of five degrees', () => {
    expect(onShore(at(3, 5), squareBasin.outline)).toEqual(at(3, 2))
    expect([182, -183, 44, 361].map(snappedTurn)).toEqual([-180, 175, 45, 0])
  })
  it('puts a new corner into the side that it was drawn from', () => {
    const line = [at(0, 0), at(4, 0), at(4, 4)]
    expect(sideNear(line, false, at(4.2, 2))).toBe(2)
    expect(sideNear(line, true, at(1.9, 2))).toBe(3)
  })
})

it('places every part of every filter type', () => {
  for (const type of ['container-bog', 'raised-trough', 'horizontal-bed', 'surface-wetland'] as const) {
    const design = laidOut(LAYOUT, type)
    const parts = placedParts(design, LAYOUT, squareBasin.outline)
    expect(parts.beds).toHaveLength(design.vessels)
    expect(parts.delivery.length).toBeGreaterThan(2)
  }
  const shore = placedParts(laidOut(LAYOUT, 'perimeter-bog'), LAYOUT, squareBasin.outline)
  expect(shore.beds).toEqual([])
  expect(apartM(shore.inlet, nearestOn(squareBasin.outline, true, shore.inlet))).toBeCloseTo(0, 9)
})
