import fc from 'fast-check'
import { USUAL_PRICE_BOOK } from '../../../tests/fixtures/usual-in-words'
import { checkDesign, type CheckId } from './checks'
import { evaluateDesign } from './design'
import type { DesignPond } from './design-input'
import { PUMP_CATALOGUE } from './flow/pump-catalogue'
import { DEFAULT_FILTER_RULES as rules, POND_USES } from './house-rules'
import { NO_GUESTS } from './load/guests'
import { usualShoreM } from './load/usual-shore'
import { USUAL_MONTHLY_C } from './load/usual-year'
import { remedied } from './remedies'
import { sizedBy } from './resize'
import { methodCosts } from './sizing/method-costs'
import { suggestDesign } from './suggest'
import { FILTER_TYPES, type FilterType } from './types'

const pondOf = (of: Partial<DesignPond> & Pick<DesignPond, 'volumeM3' | 'areaM2'>): DesignPond => ({
  use: 'many-fish',
  fish: [],
  guests: NO_GUESTS,
  fillPhosphateMgL: 0.02,
  lining: 'liner',
  volumeSigmaShare: 0.12,
  shoreM: usualShoreM(of.areaM2),
  altitudeM: 20,
  monthlyTempC: USUAL_MONTHLY_C,
  leafKgPerYear: 0.2 * of.areaM2,
  freeboardM: 0.08,
  ground: null,
  ...of,
})

const suggested = (pond: DesignPond, type: FilterType, liftM?: number, pipeM?: number) => {
  const design = suggestDesign(pond, 'volume', rules, PUMP_CATALOGUE, type, { liftM, pipeM })
  const problem = { pond, design, rules, houseMethod: 'volume' as const, pumps: PUMP_CATALOGUE }
  const result = evaluateDesign(problem)
  const checks = checkDesign({ ...problem, result })
  const stops = checks.filter((c) => c.verdict === 'stop').map((c) => c.id)
  return { design, result, checks, stops, context: { ...problem, result } }
}

const ponds = fc
  .record({
    use: fc.constantFrom(...POND_USES),
    volumeM3: fc.double({ min: -3, max: 5.3, noNaN: true }).map(Math.exp),
    depthM: fc.double({ min: 0.3, max: 1.5, noNaN: true }),
    kgPerM3: fc.double({ min: 0, max: 2, noNaN: true }),
    bathers: fc.integer({ min: 0, max: 8 }),
    liftM: fc.double({ min: 0.05, max: 2, noNaN: true }),
    pipeM: fc.double({ min: 2, max: 30, noNaN: true }),
  })
  .map(({ use, volumeM3, depthM, kgPerM3, bathers, liftM, pipeM }) => {
    const count = use === 'swimming' || use === 'wildlife' ? 0 : Math.round(volumeM3 * kgPerM3)
    const pond = pondOf({
      use,
      volumeM3,
      areaM2: volumeM3 / depthM,
      fish: count > 0 ? [{ species: 'koi', count, lengthM: 0.4 }] : [],
      guests: { ...NO_GUESTS, bathersPerD: use === 'swimming' ? bathers : 0 },
    })
    return { pond, liftM, pipeM }
  })

/** Ponds of each property: `DESIGN_RUNS=2000` proves them on many, which takes a quarter of an hour. */
const RUNS = process.env.DESIGN_RUNS ? Number(process.env.DESIGN_RUNS) : undefined

/** What no change of the filter mends: too many fish for water without one, or for so little water. */
const BY_NATURE: readonly CheckId[] = ['tan-target', 'stock-limit', 'bed-water']

describe('a suggested design', () => {
  it.each(FILTER_TYPES)('of a %s holds no stop that a remedy would have mended, whatever the pond', (type) => {
    fc.assert(
      fc.property(ponds, ({ pond, liftM, pipeM }) => {
        const { design, stops, context } = suggested(pond, type, liftM, pipeM)
        for (const stop of stops) {
          const mended = remedied(stop, context)
          expect(mended === null || JSON.stringify(mended) === JSON.stringify(design)).toBe(true)
        }
      }),
      { numRuns: RUNS ?? 12, seed: 18 },
    )
  })
  it.each(['lined-wetland', 'raised-trough', 'horizontal-bed'] as const)(
    'of a %s meets its own demands for flow and ammonia in ponds it suits',
    (type) => {
      fc.assert(
        fc.property(ponds, ({ pond, liftM, pipeM }) => {
          fc.pre(pond.volumeM3 > 2)
          const { result, stops } = suggested(pond, type, liftM, pipeM)
          expect(stops.filter((id) => !BY_NATURE.includes(id))).toEqual([])
          expect(result.worstTanMgL).toBeLessThanOrEqual(rules.targetTanMgL / 0.98)
          expect(result.flowM3PerH).toBeGreaterThanOrEqual(result.demand.neededM3PerH * 0.98)
        }),
        { numRuns: RUNS ?? 25, seed: 7 },
      )
    },
  )
  it('for a bowl of 85 L has stone whose voids the bowl can fill', () => {
    const bowl = pondOf({ volumeM3: 0.085, areaM2: 0.3, fish: [{ species: 'smallFish', count: 4, lengthM: 0.04 }] })
    const { result, stops } = suggested(bowl, 'container-bog')
    const voidsM3 = result.quantities.reduce((sum, layer) => sum + layer.voidM3, 0)
    expect(voidsM3).toBeLessThan(bowl.volumeM3 / 3)
    expect(result.stop.restartDrawdownMm).toBeGreaterThan(0)
    expect(stops).toEqual([])
  })
  it('for a swimming pond of 120 m³ is kept by phosphorus and its regeneration share, not by pumping', () => {
    const pond = pondOf({
      volumeM3: 120,
      areaM2: 100,
      use: 'swimming',
      guests: { ...NO_GUESTS, bathersPerD: 6 },
    })
    const { result, stops } = suggested(pond, 'lined-wetland')
    expect(stops).toEqual([])
    expect(result.powerW).toBeLessThan(600)
    expect(result.areaM2).toBeGreaterThanOrEqual(30)
    expect(result.worstPhosphorusMgL).toBeLessThanOrEqual(0.03)
  })
  it('without a filter has no pump and costs no power', () => {
    const { design, result } = suggested(pondOf({ volumeM3: 4, areaM2: 8, use: 'wildlife' }), 'none')
    expect(design.pumpId).toBeNull()
    expect(result).toMatchObject({ powerW: 0, energyKWhPerYear: 0, flowM3PerH: 0 })
    expect(result.duty.status).toBe('no-pump')
  })
  it.each(FILTER_TYPES)('of a %s has a price by each sizing method', (type) => {
    const pond = pondOf({ volumeM3: 8, areaM2: 12 })
    const costs = methodCosts(pond, type, rules, PUMP_CATALOGUE, USUAL_PRICE_BOOK)
    expect(costs.map((c) => c.pumpName === null)).toEqual(Array(4).fill(type === 'none'))
    for (const { totalMinor } of costs) expect(totalMinor).toBeGreaterThan(0)
  })
  it('along a shore of 41.9 m is no longer than the shore', () => {
    const pond = pondOf({
      volumeM3: 130,
      areaM2: 105,
      shoreM: 41.9,
      use: 'koi',
      fish: [{ species: 'koi', count: 25, lengthM: 0.4 }],
    })
    expect(suggested(pond, 'perimeter-bog').design.lengthM).toBeLessThanOrEqual(41.9)
  })
  it('lets water fall no further than it was lifted', () => {
    const pond = pondOf({ volumeM3: 20, areaM2: 25 })
    const { design, checks } = suggested(pond, 'lined-wetland', 0.2)
    expect(design.falls!.dropM).toBeLessThanOrEqual(0.2)
    expect(checks.find((c) => c.id === 'levels')!.verdict).toBe('pass')
  })
  it('choosing a method sizes bed, pipes and pump by it, and leaves what else was decided', () => {
    const pond = pondOf({ volumeM3: 20, areaM2: 25, use: 'koi', fish: [{ species: 'koi', count: 30, lengthM: 0.4 }] })
    const own = { ...suggested(pond, 'lined-wetland').design, winter: 'drained' as const, northDeg: 40 }
    const small = { ...own, lengthM: 1, widthM: 1 }
    const sized = sizedBy('nitrogen', small, pond, rules, PUMP_CATALOGUE)
    expect(sized).toMatchObject({ sizingMethod: 'nitrogen', winter: 'drained', northDeg: 40 })
    const problem = { pond, design: sized, rules, houseMethod: 'nitrogen' as const, pumps: PUMP_CATALOGUE }
    const result = evaluateDesign(problem)
    expect(result.areaM2).toBeGreaterThanOrEqual(result.neededAreaM2)
    expect(result.flowM3PerH).toBeGreaterThanOrEqual(result.demand.neededM3PerH * 0.98)
  })
  it('grows with the fish and never shrinks', () => {
    const areas = [0, 4, 8, 16, 32].map((count) => {
      const pond = pondOf({
        volumeM3: 20,
        areaM2: 25,
        use: 'koi',
        fish: count > 0 ? [{ species: 'koi', count, lengthM: 0.4 }] : [],
      })
      return suggested(pond, 'lined-wetland').result.areaM2
    })
    areas.slice(1).forEach((area, i) => expect(area).toBeGreaterThanOrEqual(areas[i]!))
  })
})
