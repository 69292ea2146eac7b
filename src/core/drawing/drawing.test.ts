import { koiPond as pond } from '../../../tests/fixtures/design-pond'
import { FILTER_TYPES } from '../filter/types'
import { suggestDesign } from '../filter/suggest'
import { DEFAULT_FILTER_RULES } from '../filter/house-rules'
import { PUMP_CATALOGUE } from '../filter/flow/pump-catalogue'
import { detailSheet, planSheet, sectionSheet } from './bed-sheets'
import { dimensionLine } from './sheet'
import { fittingScale, PAPERS, sheetSvg } from './svg'
import { SHEET_WORDS } from '../../../tests/fixtures/sheet-words'

const design = (type: (typeof FILTER_TYPES)[number]) =>
  suggestDesign(pond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE, type)

describe('sheets', () => {
  it.each(FILTER_TYPES.flatMap((type) => [planSheet, sectionSheet, detailSheet].map((make) => [type, make] as const)))(
    'of a %s are finite and fit a paper',
    (type, make) => {
      const sheet = make(design(type), SHEET_WORDS)
      for (const edge of Object.values(sheet.bounds)) expect(Number.isFinite(edge)).toBe(true)
      for (const paper of Object.keys(PAPERS) as (keyof typeof PAPERS)[])
        expect(fittingScale(sheet, paper)).toBeGreaterThan(0)
      expect(sheetSvg(sheet, { paper: 'A4', scale: 50, subtitle: '', words: SHEET_WORDS })).not.toMatch(
        /NaN|undefined|Infinity/,
      )
    },
  )
  it('measure on paper what the design says', () => {
    const bed = { ...design('lined-wetland'), lengthM: 4 }
    const svg = sheetSvg(sectionSheet(bed, SHEET_WORDS), { paper: 'A3', scale: 20, subtitle: '', words: SHEET_WORDS })
    const layer = svg.match(/<path d="M([\d.]+) [\d.]+L([\d.]+) [\d.]+[^"]*" fill="#e2d8c6"/)!
    expect(Number(layer[2]) - Number(layer[1])).toBeCloseTo(200, 2)
  })
  it('write names safely', () =>
    expect(
      sheetSvg(
        { title: '<b>&', marks: [], bounds: { minX: 0, minY: 0, maxX: 1, maxY: 1 } },
        { paper: 'A4', scale: 10, subtitle: '', words: SHEET_WORDS },
      ),
    ).toContain('&lt;b&gt;&amp;'))
  it('set dimensions beside what they measure', () =>
    expect(
      dimensionLine({
        kind: 'dimension',
        layer: 'DIMENSIONS',
        from: { xM: 0, yM: 0 },
        to: { xM: 2, yM: 0 },
        offsetM: 0.5,
        text: '',
      }),
    ).toEqual([
      { xM: 0, yM: 0.5 },
      { xM: 2, yM: 0.5 },
    ]))
})
