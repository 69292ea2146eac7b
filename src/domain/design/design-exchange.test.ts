import { trainUnit } from '../../../tests/fixtures/train-unit'
import { TRAIN_KINDS } from '../../core/filter/train/train-unit'
import fc from 'fast-check'
import { koiPond as pond } from '../../../tests/fixtures/design-pond'
import { oldDesign } from '../../../tests/fixtures/old-design'
import { FILTER_TYPES } from '../../core/filter/types'
import { firstFlowPlan } from '../../core/filter/flow/flow-plan'
import { suggestDesign } from '../../core/filter/suggest'
import { DEFAULT_FILTER_RULES } from '../../core/filter/house-rules'
import { PUMP_CATALOGUE } from '../../core/filter/flow/pump-catalogue'
import { FilterDesignInput } from './design'
import { DESIGN_FORMAT, keptDesign, readDesignFile, upgradeDesign } from './design-file'
import { priceCsv, readPriceCsv } from '../prices/price-csv'
import { readPumpCsv } from '../prices/pump-csv'
import { USUAL_PRICE_BOOK } from '../../../tests/fixtures/usual-in-words'

const design = (type: (typeof FILTER_TYPES)[number] = 'lined-wetland') =>
  suggestDesign(pond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE, type)
const file = (changes: object = {}) =>
  JSON.stringify({ format: DESIGN_FORMAT, kind: 'pond-filter-design', name: 'Test', design: design(), ...changes })
const problem = (text: string) => {
  const read = readDesignFile(text)
  return read.ok ? null : read.problem
}

describe('design files', () => {
  it.each(FILTER_TYPES)('bring a %s back without loss', (type) => {
    const own = {
      ...design(type),
      network: firstFlowPlan(design(type)),
      train: TRAIN_KINDS.map((kind) => trainUnit(kind)),
      intakePipe: { count: 2, diameterM: 0.1036, lengthM: 5 },
    }
    const read = readDesignFile(file({ design: own }))
    expect(read.ok && read.value.design).toEqual(own)
  })
  it('of the fifth format bring their equipment as a train, each where its kind usually stands', () => {
    const { train, intakePipe, ...rest } = design()
    const companions = [
      { kind: 'skimmer-wall', mediaL: 0, ratedFlowM3PerH: 12, weirM: 0.3 },
      { kind: 'uv', mediaL: 0, ratedFlowM3PerH: 10, weirM: 0 },
      { kind: 'trickle-tower', mediaL: 120, ratedFlowM3PerH: 8, weirM: 0 },
    ]
    expect([train, intakePipe]).toEqual([[], null])
    const read = readDesignFile(file({ format: 5, design: { ...rest, companions } }))
    expect(read.ok && read.value.design).toMatchObject({
      intakePipe: null,
      train: [
        { kind: 'skimmer-wall', line: 'intake', weirM: 0.3, clearanceM: null },
        { kind: 'uv', line: 'pressure', lampW: 75, ratedFlowM3PerH: 10 },
        { kind: 'trickle-tower', line: 'side', heightM: 1.2, mediaL: 120 },
      ],
    })
  })
  it('refuse a unit in a line that it cannot stand in', () =>
    expect(
      problem(file({ design: { ...design(), train: [trainUnit('aerator', { line: 'pressure' })] } })),
    ).toMatchObject({ code: 'bad-field', path: 'design.train.0.line' }))
  it('of the sixth format draw by a usual line where they had a bore of suction, and by none where they had none', () => {
    const { suction: _suction, ...rest } = design()
    const suctionIn = (suctionDiameterM: number | null) =>
      readDesignFile(file({ format: 6, design: { ...rest, suctionDiameterM } }))
    const line = { diameterM: 0.057, lengthM: 2, liftM: 0, footValve: true }
    expect(suctionIn(0.057)).toMatchObject({ value: { format: DESIGN_FORMAT, design: { suction: line } } })
    expect(suctionIn(null)).toMatchObject({ value: { design: { suction: null } } })
  })
  it('refuse what comes from the future, saying which format', () =>
    expect(problem(file({ format: DESIGN_FORMAT + 1 }))).toMatchObject({ code: 'from-the-future', path: 'format' }))
  it.each([
    ['half a file', file().slice(0, 90), 'not-json'],
    ['another JSON', '{"type":"FeatureCollection"}', 'not-a-design'],
    ['a list', '[]', 'not-a-design'],
    ['a number', '5', 'not-a-design'],
    ['a negative length', file({ design: { ...design(), lengthM: -1 } }), 'bad-field'],
    [
      'a bed without stone',
      file({ design: { ...design(), layers: [{ material: 'void-modules', thicknessM: 0.3 }] } }),
      'bad-field',
    ],
    [
      'a bed 5 cm deep',
      file({ design: { ...design(), layers: [{ material: 'pea-gravel', thicknessM: 0.05 }] } }),
      'bad-field',
    ],
    ['an unknown key', file({ design: { ...design(), colour: 'blue' } }), 'bad-field'],
    [
      'an unknown plant',
      file({ design: { ...design(), planting: [{ species: 'triffid', count: 1, xM: 0, yM: 0 }] } }),
      'bad-field',
    ],
  ])('refuse %s with the reason', (_, text, code) => expect(problem(text)).toMatchObject({ code }))
  it('never throw, whatever is in them', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.json(),
          fc.jsonValue().map((v) => file({ design: v })),
        ),
        (text) => expect(typeof readDesignFile(text).ok).toBe('boolean'),
      ),
    )
  })
})

describe('designs of the first format', () => {
  it('read as lined wetlands that today’s schema takes', () => {
    const read = FilterDesignInput.safeParse(upgradeDesign(oldDesign))
    expect(read.success && read.data).toMatchObject({
      type: 'lined-wetland',
      lengthM: 4,
      delivery: { otherK: 3 },
      pumpId: 'S24',
    })
  })
  it('of the second format are read too: the sizing method had another name', () => {
    const { sizingMethod, ...rest } = design()
    expect(readDesignFile(file({ format: 2, design: { school: sizingMethod, ...rest } }))).toMatchObject({
      ok: true,
      value: { format: DESIGN_FORMAT, design: { sizingMethod } },
    })
  })
  it('leave today’s designs as they are', () => expect(keptDesign(design())).toEqual(design()))
})

describe('pump CSV', () => {
  const heading = 'name,flow_m3_h,head_m,power_W,price,outlet_mm'
  it('reads curves in any order of rows, with decimal commas', () => {
    const { pumps, problems } = readPumpCsv(`${heading}\nMill,"6,5",3,180,310,50\nMill,0,5,,,\nMill,12,1,,,\n`)
    expect(problems).toEqual([])
    expect(pumps).toMatchObject([
      {
        id: 'own:mill',
        powerW: 180,
        priceMinor: 31000,
        outletM: 0.05,
        curve: [{ flowM3PerH: 0 }, { flowM3PerH: 6.5 }, { flowM3PerH: 12 }],
      },
    ])
  })
  it('names bad rows by line and keeps the rest', () => {
    const { pumps, problems } = readPumpCsv(`${heading}\nA,0,5,100,,\nA,x,4,,,\nA,5,9,,,\nA,8,2,,,\nB,0,3,,,\n,1,1,1,,`)
    expect(pumps.map((p) => [p.name, p.curve.length])).toEqual([['A', 2]])
    expect(problems.map((p) => p.line)).toEqual([3, 4, 6, 7])
  })
  it('knows a dry-mounted pump by the head that it needs at its suction, and says where that cannot be', () => {
    const { pumps } = readPumpCsv(`${heading},npsh_m\nDry,0,8,400,,,2.8\nDry,20,2,,,,\nWet,0,5,90,,,\nWet,9,1,,,,\n`)
    expect(pumps.map(({ name, dryNpshM }) => [name, dryNpshM])).toEqual([
      ['Dry', 2.8],
      ['Wet', undefined],
    ])
    const { problems } = readPumpCsv(`${heading},npsh_m\nA,0,8,400,,,12\nA,5,4,,,,\nA,8,2,,,,\n`)
    expect(problems[0]).toMatchObject({ line: 2, message: expect.stringContaining('pumpNpsh') })
  })
  it('says which heading is missing', () =>
    expect(readPumpCsv('pump;flow\n1;2').problems[0]!.message).toContain('name, flow_m3_h, head_m'))
  it('never throws and never keeps a curve that rises', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom('A', 'B', ''),
            fc.oneof(fc.double().map(String), fc.string()),
            fc.oneof(fc.double({ min: 0, max: 20 }).map(String), fc.string()),
          ),
        ),
        (rows) => {
          const { pumps } = readPumpCsv([heading, ...rows.map(([n, q, h]) => `${n},${q},${h},100,,`)].join('\n'))
          for (const pump of pumps)
            pump.curve.slice(1).forEach((p, i) => expect(p.headM).toBeLessThanOrEqual(pump.curve[i]!.headM))
        },
      ),
    )
  })
})

describe('price CSV', () => {
  it('comes back unchanged', () =>
    expect(readPriceCsv(priceCsv(USUAL_PRICE_BOOK), USUAL_PRICE_BOOK)).toEqual({
      book: USUAL_PRICE_BOOK,
      changed: 0,
      problems: [],
    }))
  it('changes the lines it names and names the ones it cannot read', () => {
    const { book, changed, problems } = readPriceCsv('key,cost\nliner,12.5\nnothing,3\nfabric,free\n', USUAL_PRICE_BOOK)
    expect(book.items.find((i) => i.key === 'liner')!.costMinor).toBe(1250)
    expect(changed).toBe(1)
    expect(problems.map((p) => p.line)).toEqual([3, 4])
  })
})
