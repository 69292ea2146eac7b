import fc from 'fast-check'
import { koiPond as pond } from '../../../../tests/fixtures/design-pond'
import { USUAL_PRICE_BOOK as book } from '../../../../tests/fixtures/usual-in-words'
import { estimate } from '../../pricing/estimate'
import { seededRandom } from '../../numeric/random'
import { checkDesign } from '../checks'
import { evaluateDesign } from '../design'
import { PUMP_CATALOGUE as pumps } from '../flow/pump-catalogue'
import { DEFAULT_FILTER_RULES as rules } from '../house-rules'
import { suggestDesign } from '../suggest'
import { decodeContext, decoded } from './decode'
import { GENE_RANGE, mutated, randomGenes } from './genes'
import { OBJECTIVES, type FoundOption, type Objectives, type OptionProblem } from './option-problem'
import { crowding, dominates, paretoFront, thinned, withOption } from './pareto'
import { bestIn, picksOf } from './picks'
import { searchOptions } from './search'

const own = suggestDesign(pond, 'volume', rules, pumps, 'lined-wetland')
const problem: OptionProblem = {
  pond,
  rules,
  pumps,
  houseMethod: 'volume',
  book,
  types: ['lined-wetland', 'raised-trough', 'container-bog', 'horizontal-bed'],
  own,
  budgetMinor: null,
}
const search = (over: Partial<OptionProblem> = {}, evaluations = 400, seed = 7) =>
  searchOptions({ ...problem, ...over }, { random: seededRandom(seed), evaluations })
const option = (objectives: Partial<Objectives>): FoundOption => ({
  design: own,
  objectives: { price: 1, water: 1, hours: 1, energy: 1, ...objectives },
})
const values = fc.record({
  price: fc.nat(6),
  water: fc.nat(6),
  hours: fc.nat(6),
  energy: fc.nat(6),
})

describe('the front', () => {
  it('is what no other beats in everything, whichever way it is put together', () =>
    fc.assert(
      fc.property(fc.array(values, { maxLength: 40 }), (all) => {
        const options = all.map(option)
        const front = paretoFront(options)
        for (const one of options) {
          const beaten = options.some((other) => dominates(other.objectives, one.objectives))
          const there = front.some((other) => OBJECTIVES.every((o) => other.objectives[o] === one.objectives[o]))
          expect(there).toBe(!beaten)
        }
        const grown = options.reduce<readonly FoundOption[]>(withOption, [])
        expect(new Set(grown)).toEqual(new Set(front))
      }),
    ))
  it('is cut down from where it is crowded; the best of each objective stay', () => {
    const line = Array.from({ length: 20 }, (_, i) => option({ price: i, water: 19 - i }))
    const crowd = [...line, option({ price: 5.01, water: 13.99 }), option({ price: 5.02, water: 13.98 })]
    const cut = thinned(crowd, 12)
    expect(cut).toHaveLength(12)
    expect(Math.min(...cut.map((o) => o.objectives.price))).toBe(0)
    expect(Math.min(...cut.map((o) => o.objectives.water))).toBe(0)
    expect(crowding([option({})])).toEqual([Infinity])
  })
})

describe('a search for options', () => {
  const found = search()
  it('offers only what passes every stop, with the price and figures of the design itself', () => {
    expect(found.front.length).toBeGreaterThan(10)
    for (const { design, objectives } of found.front) {
      const given = { pond, design, rules, houseMethod: 'volume' as const, pumps }
      const result = evaluateDesign(given)
      expect(checkDesign({ ...given, result }).filter((c) => c.verdict === 'stop')).toEqual([])
      expect(objectives.price).toBe(estimate(design, book, { pumps, rules, pond }).totalMinor)
      expect(objectives.water).toBeCloseTo(result.worstTanMgL, 2)
      expect(objectives.energy / result.upkeep.energyKWhPerYear).toBeCloseTo(1, 1)
    }
  })
  it('keeps nothing that another beats', () => expect(paretoFront(found.front)).toHaveLength(found.front.length))
  it('works through what it was told to, and finds the same with the same random numbers', () => {
    expect(found).toMatchObject({ status: 'done', evaluated: 400 })
    expect(search().front.map((o) => o.objectives)).toEqual(found.front.map((o) => o.objectives))
  })
  it('finds a cheaper one than is suggested, and one with less ammonia', () => {
    const result = evaluateDesign({ pond, design: own, rules, houseMethod: 'volume', pumps })
    const price = estimate(own, book, { pumps, rules, pond }).totalMinor
    expect(Math.min(...found.front.map((o) => o.objectives.price))).toBeLessThan(price)
    expect(Math.min(...found.front.map((o) => o.objectives.water))).toBeLessThan(result.worstTanMgL)
  })
  it('goes on from what it found: twice the designs never end with a worse cheapest', () => {
    const cheapest = (of: ReturnType<typeof search>) => Math.min(...of.front.map((o) => o.objectives.price))
    expect(cheapest(search({}, 800))).toBeLessThanOrEqual(cheapest(found))
  })
  it('stays within the budget, or says that nothing does', () => {
    const prices = found.front.map((o) => o.objectives.price).sort((a, b) => a - b)
    const budgetMinor = prices[Math.floor(prices.length / 2)]!
    const within = search({ budgetMinor })
    expect(within.front.length).toBeGreaterThan(0)
    for (const { objectives } of within.front) expect(objectives.price).toBeLessThanOrEqual(budgetMinor)
    expect(search({ budgetMinor: 100 })).toMatchObject({ passed: 0, front: [] })
  })
  it('offers only the kinds that may be built', () => {
    const kinds = new Set(search({ types: ['raised-trough', 'horizontal-bed'] }).front.map((o) => o.design.type))
    expect([...kinds].filter((type) => type !== 'raised-trough' && type !== 'horizontal-bed')).toEqual([])
  })
  it('weighs the water of a swimming pond by its phosphorus', () => {
    const swimming = { ...pond, use: 'swimming' as const, fish: [], volumeM3: 60, areaM2: 45, shoreM: 26 }
    const base = suggestDesign(swimming, 'surface', rules, pumps, 'lined-wetland')
    const { front } = search({ pond: swimming, own: base, types: ['lined-wetland', 'horizontal-bed'] }, 120)
    expect(front.length).toBeGreaterThan(0)
    for (const { design, objectives } of front) {
      const result = evaluateDesign({ pond: swimming, design, rules, houseMethod: 'volume', pumps })
      expect(objectives.water / result.worstPhosphorusMgL).toBeCloseTo(1, 1)
    }
  })
  it('keeps what was agreed on site, and the heat that the pond is held at', () => {
    const agreed = search({ own: { ...own, confirmed: ['electrics'], heatToC: 16, winter: 'drained' } }, 150)
    for (const { design } of agreed.front)
      expect(design).toMatchObject({ confirmed: ['electrics'], heatToC: 16, winter: 'drained' })
  })
  it('stops when told to, with what it has, and tells how far it is', () => {
    const told: number[] = []
    const stopped = searchOptions(problem, {
      random: seededRandom(3),
      evaluations: 5000,
      shouldStop: () => told.length >= 2,
      onProgress: ({ evaluated }) => told.push(evaluated),
    })
    expect(stopped).toMatchObject({ status: 'stopped', evaluated: 100 })
    expect(told).toEqual([50, 100])
  })
})

describe('genes', () => {
  const context = decodeContext(problem, 10)
  it('stay in their ranges however often they change, and always stand for a design that can be worked through', () =>
    fc.assert(
      fc.property(fc.nat(1e6), (seed) => {
        const random = seededRandom(seed)
        let genes = randomGenes(random, context.counts)
        for (let i = 0; i < 20; i++) genes = mutated(genes, random, context.counts)
        for (const key of ['area', 'stone', 'bore'] as const) {
          expect(genes[key]).toBeGreaterThanOrEqual(GENE_RANGE[key][0])
          expect(genes[key]).toBeLessThanOrEqual(GENE_RANGE[key][1])
        }
        expect(genes.pump).toBeLessThan(context.counts.pumps)
        const design = decoded(genes, context)
        expect(() => evaluateDesign({ pond, design, rules, houseMethod: 'volume', pumps })).not.toThrow()
      }),
      { numRuns: 60 },
    ))
  it('with a larger area make a larger bed of the same kind', () => {
    const genes = { ...randomGenes(seededRandom(1), context.counts), type: 0, stone: 1 }
    const area = (factor: number) => {
      const design = decoded({ ...genes, area: factor }, context)
      return design.lengthM * design.widthM
    }
    expect(area(2)).toBeGreaterThan(1.6 * area(1))
  })
})

describe('the three that are picked', () => {
  const front = [
    option({ price: 10, water: 9, hours: 5, energy: 5 }),
    option({ price: 50, water: 1, hours: 9, energy: 9 }),
    option({ price: 20, water: 3, hours: 4, energy: 4 }),
    option({ price: 60, water: 8, hours: 1, energy: 9 }),
  ]
  it('are the cheapest, the best in what is cared for, and the best balance, each another one', () => {
    const picks = picksOf(front, 'water')
    expect(picks.map(({ reason, option: o }) => [reason, front.indexOf(o)])).toEqual([
      ['cheapest', 0],
      ['cared-for', 1],
      ['balanced', 2],
    ])
    expect(picksOf(front, 'hours')[1]!.option).toBe(front[3])
  })
  it('say what they are the best of all in', () => {
    expect(bestIn(front[0]!, front)).toEqual(['price'])
    expect(bestIn(front[2]!, front)).toEqual(['energy'])
  })
  it('give the least of what is cared for however small it is against the price', () => {
    const phosphorus = [
      option({ price: 2_449_100, water: 0.005 }),
      option({ price: 2_944_000, water: 0.0043 }),
      option({ price: 5_600_000, water: 0.0035 }),
    ]
    expect(picksOf(phosphorus, 'water')[1]!.option).toBe(phosphorus[2])
  })
  it('never call one the best in something that the cheapest does better', () => {
    const both = [option({ price: 10, water: 1, hours: 9 }), option({ price: 20, water: 2, hours: 5 })]
    expect(picksOf(both, 'water').map((p) => p.reason)).toEqual(['cheapest', 'balanced'])
  })
  it('are fewer where there are fewer', () => {
    expect(picksOf([], 'water')).toEqual([])
    expect(picksOf(front.slice(0, 1), 'water').map((p) => p.reason)).toEqual(['cheapest'])
  })
})
