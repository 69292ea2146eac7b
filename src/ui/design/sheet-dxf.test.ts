import DxfParser from 'dxf-parser'
import { SHEET_WORDS } from '../../../tests/fixtures/sheet-words'
import { groundWith, laidOut, LAYOUT } from '../../../tests/fixtures/site-plan'
import { sectionSheet } from '@/core/drawing/bed-sheets'
import { siteSheet } from '@/core/drawing/site-sheet'
import { firmTexts } from '@/messages/texts'
import { sheetDxf } from './sheet-dxf'

const read = (text: string) => new DxfParser().parseSync(text)!
const sheet = siteSheet(groundWith({ kind: 'supply', at: { xM: 3, yM: 6 } }), laidOut(LAYOUT), SHEET_WORDS)
const entities = read(sheetDxf(sheet, firmTexts())).entities as unknown as Record<string, never>[]

describe('a drawing as DXF', () => {
  it('measures what it dimensions: entities of their own, with their text', () => {
    const dims = entities.filter((e) => e.type === 'DIMENSION') as unknown as {
      text: string
      actualMeasurement: number
      layer: string
      anchorPoint: { x: number; y: number }
    }[]
    const drawn = sheet.marks.flatMap((m) => (m.kind === 'dimension' ? [m] : []))
    expect(dims).toHaveLength(drawn.length)
    expect(dims.map((d) => d.text)).toEqual(drawn.map((m) => m.text))
    dims.forEach((d, i) => {
      const { from, to } = drawn[i]!
      expect(d.actualMeasurement).toBeCloseTo(Math.hypot(to.xM - from.xM, to.yM - from.yM), 6)
      expect(d.layer).toBe('DIMENSIONS')
    })
  })
  it('keeps pump and supply as blocks, inserted where they stand', () => {
    const dxf = read(sheetDxf(sheet, firmTexts()))
    expect(Object.keys(dxf.blocks)).toEqual(expect.arrayContaining(['PUMP', 'SUPPLY']))
    expect(dxf.blocks.PUMP!.entities.length).toBeGreaterThan(1)
    const pump = entities.find((e) => e.type === 'INSERT' && e.name === 'PUMP') as unknown as {
      position: { x: number; y: number }
      xScale: number
    }
    expect([pump.position.x, pump.position.y]).toEqual([LAYOUT.pump.xM, LAYOUT.pump.yM])
    expect(pump.xScale).toBeCloseTo(0.28, 9)
  })
  it('anchors its words as the drawing does', () => {
    const words = entities.filter((e) => e.type === 'TEXT') as unknown as { text: string; halign?: number }[]
    const pond = words.find((w) => w.text === SHEET_WORDS.text('pond'))!
    expect(pond.halign).toBe(1)
  })
  it('can be read with every symbol there is', () => {
    const places = ['supply', 'auto-fill', 'discharge', 'fixed-point'] as const
    const everything = siteSheet(
      groundWith(
        { kind: 'spot-level', at: { xM: 0, yM: 4 }, levelM: 0.4 },
        { kind: 'tree', at: { xM: -3, yM: 4 }, crownM: 2 },
        ...places.map((kind, i) => ({ kind, at: { xM: i, yM: 6 } })),
      ),
      laidOut(LAYOUT),
      SHEET_WORDS,
    )
    const dxf = read(sheetDxf(everything, firmTexts()))
    expect(Object.keys(dxf.blocks)).toEqual(
      expect.arrayContaining(['PUMP', 'SUPPLY', 'AUTO-FILL', 'DISCHARGE', 'FIXED-POINT', 'SPOT']),
    )
  })
  it('dimensions a section by its own figures too', () => {
    const section = sectionSheet(laidOut(), SHEET_WORDS)
    const dims = read(sheetDxf(section, firmTexts())).entities.filter((e) => e.type === 'DIMENSION')
    expect(dims).toHaveLength(section.marks.filter((m) => m.kind === 'dimension').length)
  })
})
