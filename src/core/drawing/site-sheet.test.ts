import { koiPond } from '../../../tests/fixtures/design-pond'
import { SHEET_WORDS } from '../../../tests/fixtures/sheet-words'
import { groundWith, laidOut, LAYOUT, squareBasin } from '../../../tests/fixtures/site-plan'
import { evaluateDesign } from '../filter/design'
import type { FilterDesign } from '../filter/design-input'
import { PUMP_CATALOGUE } from '../filter/flow/pump-catalogue'
import { DEFAULT_FILTER_RULES as rules } from '../filter/house-rules'
import { FILTER_TYPES } from '../filter/types'
import { DEFAULT_TABLES } from '../hydraulics/fittings'
import { placedDesign } from '../site-plan/placed-design'
import type { PondGround } from '../site-plan/pond-ground'
import { SITE_OBJECT_KINDS, type SiteObject } from '../site-plan/site-survey'
import { areaM2 } from '../survey/polygon'
import { planSheet } from './bed-sheets'
import { gradeLine, gradeLineSheet } from './grade-line-sheet'
import type { Mark } from './sheet'
import { siteParts, siteSheet } from './site-sheet'
import { PAPERS, sheetSvg } from './svg'
import { plainMarks, SYMBOLS, symbolMarks } from './symbols'

const at = (xM: number, yM: number) => ({ xM, yM })
const box = [at(9, 4), at(12, 4), at(12, 7), at(9, 7)]
const line = [at(-2, 5), at(5, 5)]
const ONE_OF_EACH: readonly SiteObject[] = [
  { kind: 'spot-level', at: at(0, 4), levelM: 0.5 },
  { kind: 'fixed-point', at: at(9, 4) },
  { kind: 'building', outline: box },
  { kind: 'wall', line },
  { kind: 'fence', line },
  { kind: 'property', outline: [at(-5, -9), at(20, -9), at(20, 9), at(-5, 9)] },
  { kind: 'tree', at: at(-3, 3), crownM: 2 },
  { kind: 'service', service: 'gas', line, clearM: 0.5 },
  { kind: 'access', line: [at(20, -8), at(14, -6)], widthM: 1.2 },
  { kind: 'supply', at: at(9, 5) },
  { kind: 'auto-fill', at: at(6, 1) },
  { kind: 'discharge', at: at(18, 0) },
]
const worked = (design: FilterDesign, ground: PondGround) => {
  const placed = placedDesign(design, ground, DEFAULT_TABLES)
  const pond = { ...koiPond, ground }
  return {
    placed,
    result: evaluateDesign({ pond, design: placed, rules, houseMethod: 'volume', pumps: PUMP_CATALOGUE }),
  }
}
const texts = (marks: readonly Mark[]) => marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []))

describe('the site plan', () => {
  it('draws every kind of object there is, each as a part of its own', () => {
    expect(new Set(ONE_OF_EACH.map((o) => o.kind))).toEqual(new Set(SITE_OBJECT_KINDS))
    const parts = siteParts(groundWith(...ONE_OF_EACH), null, SHEET_WORDS)
    ONE_OF_EACH.forEach((_, i) => expect(parts.find((p) => p.id === `object:${i}`)!.marks.length).toBeGreaterThan(0))
    expect(parts.map((p) => p.id)).not.toContain('bed')
  })
  it('draws the bed as large as it is, wherever it is turned to', () => {
    const turned = laidOut({ ...LAYOUT, bed: { at: at(10, 1), turnDeg: 37 } })
    const bed = siteParts(groundWith(), turned, SHEET_WORDS).find((p) => p.id === 'bed')!
    const outline = bed.marks.find((m) => m.kind === 'polygon')!
    expect(areaM2(outline.kind === 'polygon' ? outline.points : [])).toBeCloseTo(8, 9)
  })
  it('writes on its dimensions what the design says, and measures as much', () => {
    const parts = siteParts(groundWith(), laidOut(), SHEET_WORDS)
    const dims = parts.find((p) => p.id === 'dimensions')!.marks.flatMap((m) => (m.kind === 'dimension' ? [m] : []))
    expect(dims.map((m) => Math.hypot(m.to.xM - m.from.xM, m.to.yM - m.from.yM))).toEqual([
      expect.closeTo(4, 9),
      expect.closeTo(2, 9),
      expect.closeTo(2, 9),
    ])
    expect(dims.map((m) => m.text)).toEqual([4, 2, 2].map((m) => SHEET_WORDS.length(m)))
  })
  it('draws every filter type with its pump, pipe and way back', () => {
    for (const type of FILTER_TYPES.filter((t) => t !== 'none')) {
      const ids = siteParts(groundWith(), laidOut(LAYOUT, type), SHEET_WORDS).map((p) => p.id)
      expect(ids).toEqual(expect.arrayContaining(['pond', 'bed', 'delivery', 'pump']))
    }
  })
  it('draws a stream as wide as it is', () => {
    const stream = { depthM: 0.1, places: [{ at: at(6, 0), widthM: 1.5, dropM: 0.2 }] }
    const way = siteParts(groundWith(), laidOut({ ...LAYOUT, stream }), SHEET_WORDS).find((p) => p.id === 'return')!
    const ribbon = way.marks.find((m) => m.kind === 'polygon')!
    // from the outlet at x = 8 to the shore at x = 6
    expect(areaM2(ribbon.kind === 'polygon' ? ribbon.points : [])).toBeCloseTo(2 * 1.5, 9)
  })
  it('is a sheet that fits its paper, symbols and all', () => {
    const ground = { ...groundWith(...ONE_OF_EACH) }
    const sheet = siteSheet({ ...ground, survey: { ...ground.survey, windFromDeg: 250 } }, laidOut(), SHEET_WORDS)
    expect(texts(sheet.marks)).toContain(SHEET_WORDS.text('wind'))
    expect(sheet.bounds.minX).toBeLessThanOrEqual(-5)
    for (const paper of Object.keys(PAPERS) as (keyof typeof PAPERS)[]) {
      const svg = sheetSvg(sheet, { paper, scale: 100, subtitle: '', words: SHEET_WORDS })
      expect(svg).not.toContain('NaN')
    }
  })
})

describe('the plan of a free bed', () => {
  it('keeps its outline, and its pipes within it', () => {
    const half = { ...laidOut(), shape: { kind: 'half-round' as const } }
    const { marks } = planSheet(half, SHEET_WORDS)
    const outline = marks.find((m) => m.kind === 'polygon' && m.layer === 'OUTLINE')!
    expect(areaM2(outline.kind === 'polygon' ? outline.points : [])).toBeCloseTo((Math.PI / 4) * 8, 6)
    const pipes = marks.flatMap((m) => (m.kind === 'line' && m.layer === 'PIPE' ? [m.points] : []))
    expect(pipes.length).toBeGreaterThan(0)
    // across the middle an ellipse of 4 × 2 on its straight side is 4·cos(30°) long
    const [from, to] = pipes[0]!
    expect(to!.xM - from!.xM).toBeCloseTo(4 * Math.cos(Math.PI / 6) - 0.1, 1)
  })
})

describe('symbols', () => {
  it('lie within the circle they are given, and leave no symbol unexpanded', () => {
    for (const symbol of SYMBOLS) {
      const marks = symbolMarks({ kind: 'symbol', layer: 'PIPE', symbol, at: at(3, 4), radiusM: 0.5 })
      expect(marks.length).toBeGreaterThan(0)
      const points = marks.flatMap((m) => (m.kind === 'line' ? m.points : []))
      expect(points.length).toBeGreaterThan(1)
      for (const p of points) expect(Math.hypot(p.xM - 3, p.yM - 4)).toBeLessThan(0.72)
      expect(plainMarks([...marks]).map((m) => m.kind)).not.toContain('symbol')
    }
  })
})

describe('the hydraulic grade line', () => {
  const ground = groundWith({ kind: 'spot-level', at: at(0, 4), levelM: 0.5 })
  const falling = { ...laidOut(), falls: { widthM: 0.5, dropM: 0.2 } }
  const { placed, result } = worked(falling, ground)
  const found = gradeLine(placed, result, ground)!
  it('begins with the pump’s head, never rises, and ends at the pond', () => {
    expect(found.grade[0]!.yM).toBeCloseTo(result.head.totalM, 9)
    found.grade.slice(1).forEach((p, i) => {
      expect(p.yM).toBeLessThanOrEqual(found.grade[i]!.yM + 1e-9)
      expect(p.xM).toBeGreaterThanOrEqual(found.grade[i]!.xM)
    })
    expect(found.grade.at(-1)!.yM).toBe(0)
  })
  it('loses pipe and fittings along the pipe, nozzles and bed in the bed', () => {
    const { head } = result
    const inlet = found.grade.filter((p) => Math.abs(p.xM - found.bed!.fromM) < 1e-9)
    expect(inlet[0]!.yM).toBeCloseTo(head.totalM - head.trainM - head.darcyM - head.minorM, 9)
    expect(inlet.at(-1)!.yM).toBeCloseTo(placed.staticLiftM, 9)
    expect(inlet[0]!.yM - inlet.at(-1)!.yM).toBeCloseTo(head.bedM + head.nozzlesM, 9)
  })
  it('runs as far as the plan measures, over the levels of the ground', () => {
    // 4 + 13 + 4 + 2 of pipe, 4 of bed, 2 back
    expect(found.bed).toMatchObject({ fromM: expect.closeTo(23, 9), toM: expect.closeTo(27, 9) })
    expect(found.shoreM).toBeCloseTo(29, 9)
    expect(found.ground[0]!.yM).toBe(-1)
    expect(found.ground.find((p) => p.xM > 4)!.yM).toBeCloseTo(0.5, 9)
  })
  it('falls at each drop of a stream', () => {
    const stream = {
      depthM: 0.1,
      places: [
        { at: at(7, 1), widthM: 1, dropM: 0.1 },
        { at: at(6, 1), widthM: 1, dropM: 0.2 },
      ],
    }
    const of = worked(laidOut({ ...LAYOUT, stream }), ground)
    const { grade } = gradeLine(of.placed, of.result, ground)!
    const drops = grade.slice(1).flatMap((p, i) => (p.xM === grade[i]!.xM && i > 2 ? [grade[i]!.yM - p.yM] : []))
    expect(drops).toEqual(expect.arrayContaining([expect.closeTo(0.1, 9), expect.closeTo(0.2, 9)]))
  })
  it('is a sheet that says how much higher it is drawn, and is nothing without a layout', () => {
    const sheet = gradeLineSheet(found, SHEET_WORDS)
    expect(sheet.title).toContain(SHEET_WORDS.exaggerated(5))
    expect(gradeLine(laidOut(null), result, ground)).toBeNull()
    expect(gradeLine(placed, result, null)).toBeNull()
  })
})

it('stands on a fixture pond of 24 m²', () => {
  expect(squareBasin.areaM2).toBeCloseTo(24, 9)
})
