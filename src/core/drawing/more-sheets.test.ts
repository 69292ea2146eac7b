import { koiPond as pond } from '../../../tests/fixtures/design-pond'
import { suggestDesign } from '../filter/suggest'
import { linkIds } from '../filter/flow/flow-network'
import { firstFlowPlan } from '../filter/flow/flow-plan'
import { DEFAULT_FILTER_RULES } from '../filter/house-rules'
import { PUMP_CATALOGUE } from '../filter/flow/pump-catalogue'
import { areaM2 } from '../survey/polygon'
import { flowSheet, type FlowSheetInput } from './flow-sheet'
import { perimeterPlanSheet, shoreStations } from './perimeter-sheet'
import type { Mark } from './sheet'
import { sheetSvg } from './svg'
import { FLOW_NAMES, SHEET_WORDS } from '../../../tests/fixtures/sheet-words'

const square = [
  { xM: 0, yM: 0 },
  { xM: 6, yM: 0 },
  { xM: 6, yM: 6 },
  { xM: 0, yM: 6 },
]
const bog = {
  ...suggestDesign(pond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE, 'perimeter-bog'),
  lengthM: 24,
  widthM: 0.6,
}
const bandOf = (marks: readonly Mark[]) =>
  marks.find((m) => m.kind === 'polygon' && m.layer === 'OUTLINE') as Extract<Mark, { kind: 'polygon' }>

describe('the plan of a perimeter bog', () => {
  it('runs a ring of its width around the whole shore', () => {
    const band = bandOf(perimeterPlanSheet(bog, square, SHEET_WORDS).marks)
    // a ring drawn as out and back: (6 + 1.2)² − 6²
    expect(areaM2(band.points)).toBeCloseTo(7.2 ** 2 - 36, 6)
  })
  it('lies outside the water whichever way the shore was walked', () => {
    const outside = perimeterPlanSheet(bog, [...square].reverse(), SHEET_WORDS).bounds
    expect(outside.minX).toBeLessThanOrEqual(-0.6 + 1e-9)
  })
  it('ends where its length ends', () => {
    const last = shoreStations(square, 9).at(-1)!
    expect(last.at).toEqual({ xM: 6, yM: 3 })
    expect(last.out).toEqual({ xM: 1, yM: -0 })
  })
})

describe('the flow diagram', () => {
  const input = (design: FlowSheetInput['design'], flowOf: FlowSheetInput['flowOf'] = () => null): FlowSheetInput => ({
    design,
    pumpNames: ['S24'],
    flowM3PerH: 12,
    bedFlowM3PerH: 9,
    units: [],
    flowOf,
    write: (flow) => `${flow} m³/h`,
    names: FLOW_NAMES,
  })
  const words = (input: FlowSheetInput) => flowSheet(input).marks.flatMap((m) => (m.kind === 'text' ? [m.text] : []))
  const bed = suggestDesign(pond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE)
  it('shows what goes through the bed and what goes past it', () =>
    expect(words(input(bed))).toEqual(expect.arrayContaining(['12 m³/h', '9 m³/h', '3 m³/h', 'Bypass'])))
  it('shows the solved flow of every intake and branch', () => {
    const split = { ...bed, network: firstFlowPlan(bed) }
    expect(words(input(split, (id) => (id === linkIds.branch(1) ? 2.5 : 1)))).toEqual(
      expect.arrayContaining(['Bottom drain', 'Bypass', '2.5 m³/h']),
    )
  })
  it('says that it is not to scale', () => {
    const svg = sheetSvg(flowSheet(input(bed)), { paper: 'A4', scale: 50, subtitle: '', words: SHEET_WORDS })
    expect(svg).toContain('not to scale')
    expect(svg).not.toContain('1 : 50')
  })
})
