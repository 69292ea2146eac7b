import fc from 'fast-check'
import { koiPond as pond } from '../../../tests/fixtures/design-pond'
import { bedAreaM2 } from '../filter/bed/bed-geometry'
import type { FilterDesign } from '../filter/design-input'
import { firstFlowPlan } from '../filter/flow/flow-plan'
import { trainUnit } from '../../../tests/fixtures/train-unit'
import { TRAIN_KINDS } from '../filter/train/train-unit'
import { isPricedBySize, UNIT_SIZES, unitKey } from '../filter/train/unit-sizes'
import { nearestSize } from '../hydraulics/fittings'
import { FILTER_TYPES } from '../filter/types'
import { suggestDesign } from '../filter/suggest'
import { BED_MATERIALS } from '../filter/bed/layers'
import { DEFAULT_FILTER_RULES } from '../filter/house-rules'
import { PUMP_CATALOGUE } from '../filter/flow/pump-catalogue'
import { evaluateSitePlan } from '../site-plan/evaluate-site-plan'
import { placedDesign } from '../site-plan/placed-design'
import { groundWith, laidOut, LAYOUT } from '../../../tests/fixtures/site-plan'
import { estimate } from './estimate'
import { labourOf, materialsOf } from './materials'
import { USUAL_PRICE_BOOK } from '../../../tests/fixtures/usual-in-words'

const begin = (type: FilterDesign['type']) => suggestDesign(pond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE, type)
const pump = PUMP_CATALOGUE[5]!
const wetland = begin('lined-wetland')
const rules = DEFAULT_FILTER_RULES
const { pipes } = rules.tables
const stock = { pumps: PUMP_CATALOGUE, rules, pond }
const book = USUAL_PRICE_BOOK

describe('materials of a design', () => {
  it.each(FILTER_TYPES)('of a %s are all in the default price book', (type) =>
    expect(estimate(begin(type), USUAL_PRICE_BOOK, stock).unpriced).toEqual([]),
  )
  it('hold the stone of the bed to the kilogram', () => {
    const stoneT = materialsOf(wetland, PUMP_CATALOGUE, rules)
      .filter((need) => need.key.startsWith('stone:'))
      .reduce((sum, need) => sum + need.quantity, 0)
    const byHand = wetland.layers.reduce(
      (sum, layer) =>
        sum +
        (BED_MATERIALS[layer.material].granular
          ? layer.thicknessM * BED_MATERIALS[layer.material].bulkTPerM3 * bedAreaM2(wetland)
          : 0),
      0,
    )
    expect(stoneT).toBeCloseTo(byHand, 9)
  })
  it('grow with the bed and name each thing once', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 20, noNaN: true }),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        (lengthM, more) => {
          const small = materialsOf({ ...wetland, lengthM }, PUMP_CATALOGUE, rules)
          const large = materialsOf({ ...wetland, lengthM: lengthM + more }, PUMP_CATALOGUE, rules)
          expect(new Set(small.map((n) => n.key)).size).toBe(small.length)
          for (const need of small)
            expect(large.find((n) => n.key === need.key)!.quantity).toBeGreaterThanOrEqual(need.quantity - 1e-9)
        },
      ),
    )
  })
  it('count several pumps, vessels and a check valve', () => {
    const keys = new Map(
      materialsOf(
        {
          ...begin('container-bog'),
          pumpId: pump.id,
          vessels: 4,
          checkValve: true,
          pumpSet: { arrangement: 'parallel', count: 2, speed: 1 },
        },
        PUMP_CATALOGUE,
        rules,
      ).map((n) => [n.key, n.quantity]),
    )
    expect(keys.get(`vessel:${begin('container-bog').lengthM * 100}`)).toBe(4)
    expect(keys.get('drain')).toBe(4)
    expect(keys.get(`pump:${pump.id}`)).toBe(2)
    expect([...keys].find(([key]) => key.startsWith('fitting:check-valve:'))![1]).toBe(1)
    expect(keys.has('liner')).toBe(false)
  })
  it('take no digging where the bed stands on the ground', () => {
    const raised = begin('raised-trough')
    expect(
      labourOf(raised, materialsOf(raised, PUMP_CATALOGUE, rules), rules.production).some((n) => n.key === 'digger'),
    ).toBe(false)
    expect(
      labourOf(wetland, materialsOf(wetland, PUMP_CATALOGUE, rules), rules.production).find((n) => n.key === 'digger')!
        .quantity,
    ).toBeGreaterThan(0)
  })
})

describe('a split flow', () => {
  it('adds its pipes, valves, tees and further pumps to the list', () => {
    const split = { ...wetland, network: { ...firstFlowPlan(wetland), morePumps: [PUMP_CATALOGUE[0]!.id] } }
    const of = (design: FilterDesign, test: (key: string) => boolean) =>
      materialsOf(design, PUMP_CATALOGUE, rules)
        .filter((n) => test(n.key))
        .reduce((sum, n) => sum + n.quantity, 0)
    const pipeM = (key: string) => key.startsWith('pipe:')
    const runsM = [...split.network.intakes, ...split.network.branches].reduce((sum, run) => sum + run.lengthM, 0)
    expect(of(split, pipeM) - of(wetland, pipeM)).toBeCloseTo(runsM, 9)
    const valve = (k: string) => k.startsWith('fitting:ball-valve:')
    expect(of(split, valve) - of(wetland, valve)).toBe(4)
    expect(of(split, (k) => k.startsWith('pump:'))).toBe(of(wetland, (k) => k.startsWith('pump:')) + 1)
  })
})

describe('a filter train', () => {
  const price = (train: FilterDesign['train'], over: Partial<FilterDesign> = {}) =>
    estimate({ ...wetland, ...over, train }, USUAL_PRICE_BOOK, stock)
  it.each(TRAIN_KINDS.filter(isPricedBySize))('has a price for every size of a %s, the larger the dearer', (kind) => {
    const costs = UNIT_SIZES[kind].steps.map((size) => {
      const line = USUAL_PRICE_BOOK.items.find((item) => item.key === unitKey(kind, size))!
      expect(line.name).toContain(String(size))
      return line.costMinor
    })
    expect(costs).toEqual([...costs].sort((a, b) => a - b))
    expect(new Set(costs).size).toBe(costs.length)
    expect(price([trainUnit(kind)]).unpriced).toEqual([])
  })
  it('with a heater costs its output and no more', () => {
    const heated = price([], { heatToC: 18 })
    expect(price([trainUnit('heater', { line: 'side' })], { heatToC: 18 }).totalMinor).toBe(heated.totalMinor)
    expect(heated.lines.some((line) => line.key === 'heater')).toBe(true)
  })
  it('brings a dry-mounted pump its suction line, foot valve and what shuts it off, for each of pumps side by side', () => {
    const suction = { diameterM: 0.0814, lengthM: 3, liftM: 0, footValve: true }
    const needs = (changes: object) =>
      new Map(
        materialsOf({ ...wetland, ...changes }, PUMP_CATALOGUE, rules).map(
          (need) => [need.key, need.quantity] as const,
        ),
      )
    const [without, one] = [needs({}), needs({ suction })]
    const two = needs({ suction, pumpSet: { arrangement: 'parallel', count: 2, speed: 1 } })
    const more = (key: string, of = one) => (of.get(key) ?? 0) - (without.get(key) ?? 0)
    expect(more(`pipe:${nearestSize(0.0814, pipes).name}`)).toBeCloseTo(3, 9)
    const { name } = nearestSize(0.0814, pipes)
    expect([more('foot-valve'), more(`fitting:ball-valve:${name}`), more(`fitting:union:${name}`)]).toEqual([1, 1, 1])
    expect(more('foot-valve', two)).toBe(2)
    expect(needs({ suction: { ...suction, footValve: false } }).has('foot-valve')).toBe(false)
  })
  it('is bought in the size that takes its flow, with valves, ways past and intake pipes', () => {
    const drum = trainUnit('drum', { line: 'pressure', ratedFlowM3PerH: 17, overflow: true })
    const keys = (design: FilterDesign) =>
      new Map(materialsOf(design, PUMP_CATALOGUE, rules).map((need) => [need.key, need.quantity]))
    const [plain, drummed] = [
      keys(wetland),
      keys({ ...wetland, train: [drum], intakePipe: { count: 2, diameterM: 0.1036, lengthM: 5 } }),
    ]
    const more = (key: string) => (drummed.get(key) ?? 0) - (plain.get(key) ?? 0)
    expect(drummed.get('unit:drum:20')).toBe(1)
    const { name } = nearestSize(wetland.delivery.diameterM, pipes)
    expect(more(`fitting:tee-branch:${name}`)).toBe(2)
    expect(more(`fitting:ball-valve:${name}`)).toBe(1)
    expect(more(`pipe:${nearestSize(0.1036, pipes).name}`)).toBe(10)
    expect(price([drum]).totalMinor).toBeGreaterThan(price([{ ...drum, ratedFlowM3PerH: 9 }]).totalMinor)
  })
})

describe('parts by size', () => {
  const lines = (changes: Partial<FilterDesign>, own = rules) => {
    const { lines: all, unpriced } = estimate({ ...wetland, ...changes }, book, {
      pumps: PUMP_CATALOGUE,
      rules: own,
      pond,
    })
    expect(unpriced).toEqual([])
    return new Map(all.map((line) => [line.key, line]))
  }
  const piped = (diameterM: number) => ({ delivery: { ...wetland.delivery, diameterM } })
  it('are fittings of the pipe that they sit in: the same bend costs more in a wider pipe', () => {
    const cost = (diameterM: number, name: string) => lines(piped(diameterM)).get(`fitting:sweep-90:${name}`)!.costMinor
    expect(cost(0.101, '110 mm')).toBeGreaterThan(2 * cost(0.045, '50 mm'))
  })
  it('are vaults of the width that was drawn, the next wider where there is none', () => {
    const vault = (diameterM: number) => ({ vault: { ...wetland.vault!, diameterM } })
    expect(lines(vault(0.4)).has('vault:40')).toBe(true)
    expect(lines(vault(0.55)).get('vault:60')!.costMinor).toBeGreaterThan(lines(vault(0.4)).get('vault:40')!.costMinor)
  })
  it('in pipe of the firm’s own take the price of the nearest usual size, its own fittings their one price', () => {
    const house = {
      ...rules,
      tables: {
        fittings: [...rules.tables.fittings, { key: 'long-bend', k: 0.2 }],
        pipes: [...pipes.slice(0, 4), { name: '2 inch', boreM: 0.0525 }, ...pipes.slice(5)],
      },
    }
    const withOwn = {
      ...book,
      items: [
        ...book.items,
        { ...book.items[0]!, key: 'pipe:2 inch' },
        { ...book.items[0]!, key: 'fitting:long-bend', costMinor: 990 },
      ],
    }
    const delivery = { ...wetland.delivery, diameterM: 0.0525, fittings: { union: 2, 'long-bend': 1 } }
    const got = estimate({ ...wetland, delivery }, withOwn, { pumps: PUMP_CATALOGUE, rules: house, pond })
    expect(got.unpriced).toEqual([])
    const costs = got.lines
      .filter(({ key }) => key.startsWith('fitting:'))
      .map(({ key, costMinor }) => [key, costMinor])
    expect(costs).toEqual([
      ['fitting:union:2 inch', book.items.find(({ key }) => key === 'fitting:union:63 mm')!.costMinor],
      ['fitting:long-bend:2 inch', 990],
    ])
  })
  it('are parts: water that runs free at a pipe’s end costs nothing', () => {
    expect(wetland.delivery.fittings.exit).toBe(1)
    expect([...lines({}).keys()].some((key) => key.startsWith('fitting:exit'))).toBe(false)
  })
})

describe('the price', () => {
  const price = estimate(wetland, USUAL_PRICE_BOOK, stock)
  it('is whole cents that add up', () => {
    const lines = price.lines.reduce((sum, line) => sum + line.totalMinor, 0)
    expect(price.materialsMinor + price.labourMinor).toBe(lines)
    expect(price.netMinor + price.taxMinor).toBe(price.totalMinor)
    for (const line of price.lines) expect(Number.isInteger(line.totalMinor)).toBe(true)
  })
  it('orders whole steps of stock, never less than is needed', () => {
    for (const line of price.lines) {
      const item = USUAL_PRICE_BOOK.items.find((i) => i.key === line.key)
      expect(line.quantity).toBeGreaterThanOrEqual(line.exact - 1e-9)
      if (item && item.key !== 'sundries') expect((line.quantity / item.step) % 1).toBeCloseTo(0, 6)
    }
  })
  it('puts no markup on labour', () =>
    expect(price.markupMinor).toBe(Math.round(price.materialsMinor * USUAL_PRICE_BOOK.markup)))
  it('names what the book does not know and leaves it out', () => {
    const book = { ...USUAL_PRICE_BOOK, items: USUAL_PRICE_BOOK.items.filter((i) => i.key !== 'liner') }
    const without = estimate(wetland, book, stock)
    expect(without.unpriced).toEqual(['liner'])
    expect(without.totalMinor).toBeLessThan(price.totalMinor)
  })
})

describe('what a place on site adds to a price', () => {
  const ground = groundWith({ kind: 'supply', at: { xM: 1, yM: 6 } })
  const stream = { depthM: 0.1, places: [{ at: { xM: 6, yM: 0 }, widthM: 1, dropM: 0.1 }] }
  const here = laidOut({ ...LAYOUT, stream })
  const needs = (design: FilterDesign) =>
    new Map(
      materialsOf(design, PUMP_CATALOGUE, rules, 0, evaluateSitePlan(design, ground)).map((n) => [n.key, n.quantity]),
    )
  it('is cable from the supply, and liner and stone of the stream: 2 m of 1 m', () => {
    const [bare, placed] = [needs({ ...here, layout: null }), needs(here)]
    expect(bare.has('cable')).toBe(false)
    expect(placed.get('cable')).toBeCloseTo(6, 9)
    expect(placed.get('liner')! - bare.get('liner')!).toBeCloseTo(2 * 1 + 2 * 0.4 * 2, 9)
    expect(placed.get('stone:bridging-stone')! - bare.get('stone:bridging-stone')!).toBeCloseTo(2 * 0.1 * 1.5, 1)
  })
  it('is the digging of trench and stream', () => {
    const plan = evaluateSitePlan(here, ground)!
    const materials = materialsOf(here, PUMP_CATALOGUE, rules, 0, plan)
    const digger = (of: typeof plan | null) =>
      labourOf(here, materials, rules.production, of).find((n) => n.key === 'digger')!.quantity
    expect(digger(plan) - digger(null)).toBeCloseTo((plan.earthworks.pipeTrenchM3 + plan.earthworks.streamM3) / 4, 9)
  })
  it('follows the drag: a bed further off costs more pipe and more cable work', () => {
    const priced = (design: FilterDesign) =>
      estimate(placedDesign(design, ground, DEFAULT_FILTER_RULES.tables), USUAL_PRICE_BOOK, {
        ...stock,
        pond: { ...pond, ground },
      }).totalMinor
    const far = {
      ...here,
      layout: { ...here.layout!, route: here.layout!.route.map((p) => ({ ...p, yM: p.yM - 15 })) },
    }
    expect(priced(far)).toBeGreaterThan(priced(here))
  })
})
