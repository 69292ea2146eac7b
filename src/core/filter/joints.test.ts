import { partFullFlowM3PerH } from '../hydraulics/manning'
import { outletCapacity } from './flow/outlet-capacity'
import { koiPond } from '../../../tests/fixtures/design-pond'
import { checkDesign, type CheckId } from './checks'
import { evaluateDesign } from './design'
import type { DesignPond, FilterDesign } from './design-input'
import { PUMP_CATALOGUE } from './flow/pump-catalogue'
import { DEFAULT_FILTER_RULES as rules } from './house-rules'
import { drainsToM, levelsOf } from './levels'
import { NO_GUESTS } from './load/guests'
import { monthlyLoad } from './load/monthly-load'
import { monthlyPhosphorusMgL } from './sizing/phosphorus'
import { PHOSPHORUS } from './sizing/phosphorus-figures'
import { carryFlowM3PerH, sizeFilter } from './sizing/sizing'
import { CLOSED_LOOP, closedLoop } from './sizing/recirculating-model'
import { suggestDesign } from './suggest'

const begin = (type: FilterDesign['type'] = 'lined-wetland', pond: DesignPond = koiPond) =>
  suggestDesign(pond, 'volume', rules, PUMP_CATALOGUE, type)
const work = (design: FilterDesign, pond: DesignPond = koiPond) => {
  const given = { pond, design, rules, houseMethod: 'volume' as const, pumps: PUMP_CATALOGUE }
  const result = evaluateDesign(given)
  const checks = checkDesign({ ...given, result })
  return { result, verdict: (id: CheckId) => checks.find((c) => c.id === id)?.verdict }
}

describe('one load', () => {
  const months = (changes: Partial<DesignPond>) => monthlyLoad({ ...koiPond, ...changes }, koiPond.fish, rules)
  const july = 6
  it('counts public feeding like any other feed: 100 g of 35 % protein bring 3.22 g of TAN', () => {
    const fed = months({ guests: { ...NO_GUESTS, publicFeedGPerD: 100 } })
    expect(fed[july]!.tanGPerD.publicFeed).toBeCloseTo(100 * 0.35 * 0.092, 9)
    expect(fed[july]!.feedKgPerD - months({})[july]!.feedKgPerD).toBeCloseTo(0.1, 9)
  })
  it('counts ducks all year and bathers in their season', () => {
    const visited = months({ guests: { ...NO_GUESTS, ducks: 3, bathersPerD: 10 } })
    expect(visited.map((m) => m.tanGPerD.animals)).toEqual(Array(12).fill(3))
    expect(visited[0]!.tanGPerD.bathers).toBe(0)
    expect(visited[july]!.tanGPerD.bathers).toBe(10)
  })
  it('gives off a year’s leaves in a year, faster in warm water', () => {
    const loads = months({ leafKgPerYear: 73 })
    const perDay = loads.map((m) => m.tanGPerD.leaves)
    expect(perDay.reduce((a, b) => a + b, 0) / 12).toBeCloseTo((73 * 5) / 365, 9)
    expect(perDay[july]).toBeGreaterThan(perDay[0]!)
  })
  it('bathes in the warmest month where no month is warm', () => {
    const cold = monthlyLoad(
      { ...koiPond, monthlyTempC: koiPond.monthlyTempC.map((t) => t / 2), guests: { ...NO_GUESTS, bathersPerD: 4 } },
      [],
      rules,
    )
    expect(cold.filter((m) => m.tanGPerD.bathers > 0)).toHaveLength(1)
  })
  it('of a heated pond is that of warm water: feed, flush and ammonia follow', () => {
    const design = begin()
    const [cold, warm] = [work(design).result, work({ ...design, heatToC: 20 }).result]
    expect(warm.grown.feedKgPerYear).toBeGreaterThan(1.5 * cold.grown.feedKgPerYear)
    expect(warm.flushDays).toBeLessThan(cold.flushDays)
    expect(warm.monthlyTempC.every((t) => t >= 20)).toBe(true)
    // sized against the pond as it would be by itself
    expect(warm.heating!.kWhPerYear).toBeGreaterThan(0)
    expect(warm.upkeep.energyKWhPerYear).toBeGreaterThan(warm.heating!.kWhPerYear)
  })
})

describe('demand met', () => {
  it('the nitrogen method’s flow carries its load at the target', () => {
    const sizing = sizeFilter(
      { volumeM3: 8, areaM2: 10, use: 'koi', feedKgPerD: 0.62, protein: 0.35, tempC: 22 },
      { depthM: 0.45, grainM: 0.02, porosity: 0.4 },
    )
    const own = sizing.sizingMethods.find((s) => s.sizingMethod === 'nitrogen')!
    expect(own.flowM3PerH * 24 * 0.2).toBeGreaterThanOrEqual(sizing.tanLoadGPerD)
    expect(own.tanMgL).toBeLessThanOrEqual(0.2 + 1e-6)
  })
  it('the carrying flow is the least that does', () => {
    const [load, target, volumeM3, rate] = [20, 0.2, 4, 40]
    const flow = carryFlowM3PerH(load, target, volumeM3, rate)!
    const at = (flowM3PerH: number) =>
      closedLoop({ loadGPerD: load, flowM3PerH, bedVolumeM3: volumeM3, ratePerD: rate, ...CLOSED_LOOP })
        .concentrationMgL
    expect(at(flow)).toBeCloseTo(target, 6)
    expect(at(flow * 0.9)).toBeGreaterThan(target)
    expect(carryFlowM3PerH(load, target, 0.05, rate)).toBeNull()
    expect(carryFlowM3PerH(0, target, 0, rate)).toBe(0)
  })
  it('twice the target and a pump that brings too little are stops', () => {
    const design = begin()
    expect(work({ ...design, lengthM: 0.5 }).verdict('tan-target')).toBe('stop')
    expect(work({ ...design, pumpId: 'P2' }).verdict('flow-needed')).toBe('stop')
  })
  it('2,654 W on a swimming pond of 120 m³ is a stop', () => {
    const pond: DesignPond = { ...koiPond, use: 'swimming', fish: [], volumeM3: 120, areaM2: 100, shoreM: 41 }
    const design = begin('lined-wetland', pond)
    expect(work(design, pond).verdict('power')).toBe('pass')
    const wasteful = { ...design, pumpId: 'D150', delivery: { ...design.delivery, diameterM: 0.231 } }
    expect(work(wasteful, pond).result.powerW).toBeGreaterThan(2000)
    expect(work(wasteful, pond).verdict('power')).toBe('stop')
  })
  it('a split flow changes what the bed does', () => {
    const design = begin()
    const [all, part] = [work(design).result, work({ ...design, bypassShare: 0.6 }).result]
    expect(part.bedFlowM3PerH).toBeLessThan(0.6 * all.bedFlowM3PerH)
    expect(part.worstTanMgL).toBeGreaterThan(all.worstTanMgL)
    expect(part.velocityMPerH).toBeLessThan(all.velocityMPerH)
    expect(part.cleanLossMm).toBeLessThan(all.cleanLossMm)
  })
})

describe('one set of levels', () => {
  it('adds up from the pond’s waterline', () => {
    const design = begin()
    const levels = levelsOf(design)
    expect(levels.bedWaterM).toBe(design.staticLiftM)
    expect(levels.stoneTopM - levels.bedBaseM).toBeCloseTo(0.8, 9)
    expect(levels.fallsFootM).toBeCloseTo(design.staticLiftM - design.falls!.dropM, 9)
    expect(levels.airBreakM).toBeCloseTo(levels.bedBaseM + design.airBreakM!, 9)
  })
  it('falls that drop further than the bed stands over the pond are a stop', () => {
    const design = begin()
    expect(work({ ...design, falls: { widthM: 1, dropM: 1.5 } }).verdict('levels')).toBe('stop')
    expect(
      work({ ...begin('raised-trough'), staticLiftM: 0.1, outlet: { ...design.outlet, dropM: 0.5 } }).verdict('levels'),
    ).toBe('stop')
  })
  it('without an air break the bed runs back to the pond’s level, with one to the break', () => {
    const design = { ...begin(), staticLiftM: 0.6 }
    expect(drainsToM({ ...design, airBreakM: null })).toBeCloseTo(0.2, 9)
    expect(drainsToM({ ...design, airBreakM: 0.7 })).toBeCloseTo(0.7, 9)
    // deep in the ground nothing runs back below the pond
    expect(drainsToM({ ...design, staticLiftM: 0.1, airBreakM: 0.3 })).toBeCloseTo(0.7, 9)
    const open = work({ ...design, airBreakM: null })
    expect(open.result.stop.drainBackM3).toBeGreaterThan(work(design).result.stop.drainBackM3)
    expect(open.verdict('stays-wet')).not.toBe('pass')
  })
  it('what stands over the lip while the pump runs comes home when it stops', () => {
    const design = begin()
    const { result } = work(design)
    expect(result.stop.drainBackM3).toBeCloseTo(result.falls!.sheetM * result.areaM2, 6)
  })
})

describe('phosphorus', () => {
  const bed = { areaM2: 30, flowM3PerH: 10, channel: false, plantGPerD: 0 }
  const load = [{ phosphorusGPerD: 0.5 }]
  it('settles where what comes in goes out', () => {
    const [c] = monthlyPhosphorusMgL(load, 60, { ...bed, areaM2: 0 }, [1], PHOSPHORUS)
    // nothing but settling over the pond
    expect(c! * (10 / 365) * 60).toBeCloseTo(0.5, 4)
  })
  it('falls with a larger bed and with plants, and rises with the load', () => {
    const at = (changes: Partial<typeof bed>, gPerD = 0.5) =>
      monthlyPhosphorusMgL([{ phosphorusGPerD: gPerD }], 60, { ...bed, ...changes }, [1], PHOSPHORUS)[0]!
    expect(at({ areaM2: 60 })).toBeLessThan(at({}))
    expect(at({ plantGPerD: 0.3 })).toBeLessThan(at({}))
    expect(at({}, 1)).toBeGreaterThan(at({}))
    expect(at({}, 0)).toBe(0)
  })
  it('stops a swimming pond with so many bathers that algae would bloom', () => {
    const pond: DesignPond = { ...koiPond, use: 'swimming', fish: [], volumeM3: 60, areaM2: 60, shoreM: 32 }
    const design = begin('lined-wetland', pond)
    expect(work(design, pond).verdict('phosphorus')).not.toBe('stop')
    const crowded = { ...pond, guests: { ...NO_GUESTS, bathersPerD: 120 } }
    expect(work(design, crowded).verdict('phosphorus')).toBe('stop')
    expect(work({ ...design, lengthM: 2, widthM: 2 }, pond).verdict('regeneration')).toBe('stop')
  })
})

describe('what can be built', () => {
  it('gravel straight on modules falls through them', () => {
    const design = begin()
    const layers = design.layers.filter((layer) => layer.material !== 'bridging-stone')
    expect(work({ ...design, layers }).verdict('layer-stability')).toBe('stop')
  })
  it('the tonnage of stone leaves plastic modules out', () => {
    const { result } = work(begin())
    const stone = result.quantities.filter((q) => q.material !== 'void-modules')
    expect(result.weights.stoneT).toBeCloseTo(
      stone.reduce((sum, q) => sum + q.massT, 0),
      9,
    )
  })
  it('one pipe does not feed 6.25 m of width without a chamber', () => {
    const design = begin()
    const layers = design.layers.filter((layer) => layer.material !== 'void-modules')
    const wide = { ...design, layers, widthM: 6.25, manifold: { ...design.manifold, laterals: 1 } }
    expect(work(wide).result.uniformity).toBeLessThan(0.25)
    expect(work({ ...wide, manifold: { ...wide.manifold, laterals: 7 } }).result.uniformity).toBeGreaterThan(0.9)
  })
  it('one return on a raised bed indoors is a stop, two are not', () => {
    const design = { ...begin('raised-trough'), stand: 'slab-or-roof' as const }
    expect(work({ ...design, outlet: { ...design.outlet, count: 1 } }).verdict('spare-return')).toBe('stop')
    expect(work({ ...design, outlet: { ...design.outlet, count: 2 } }).verdict('spare-return')).toBe('pass')
  })
  it('a bed that is drained for the winter pays no power then', () => {
    const design = begin()
    const [runs, drained] = [work(design).result, work({ ...design, winter: 'drained' }).result]
    const months = koiPond.monthlyTempC.filter((t) => t >= rules.shutdownWaterC).length
    expect(drained.energyKWhPerYear / runs.energyKWhPerYear).toBeCloseTo(months / 12, 9)
  })
  it('slots take little of the head', () => {
    const { head } = work(begin()).result
    expect(head.nozzlesM).toBeLessThan(0.15 * head.totalM)
  })
})

describe('a pond without a filter', () => {
  it('is judged by its stock, its surface and what is changed by hand', () => {
    const pond: DesignPond = { ...koiPond, volumeM3: 4, areaM2: 8, shoreM: 11.5, use: 'few-small-fish' }
    const few = { ...pond, fish: [{ species: 'goldfish' as const, count: 2, lengthM: 0.1 }] }
    const many = { ...pond, fish: [{ species: 'goldfish' as const, count: 40, lengthM: 0.15 }] }
    const design = begin('none', few)
    expect(work(design, few).verdict('stock-limit')).toBe('pass')
    expect(work(design, many).verdict('stock-limit')).toBe('stop')
    expect(work(design, many).verdict('tan-target')).toBe('stop')
    const still = work(design, many).result.worstTanMgL
    expect(work({ ...design, weeklyExchange: 0.3 }, many).result.worstTanMgL).toBeLessThan(still)
  })
  it('a bed without a pump is refused by name', () =>
    expect(() => work({ ...begin(), pumpId: null })).toThrow('pumpId'))
})

describe('a gravity return', () => {
  it('says which law its half-full figure goes by: Manning on a long run, the entrance on a short one', () => {
    const long = outletCapacity({ diameterM: 0.101, lengthM: 100, dropM: 0.5 })
    const short = outletCapacity({ diameterM: 0.101, lengthM: 0.6, dropM: 0.06 })
    expect(long).toMatchObject({ halfFullBy: 'manning', halfFullM3PerH: partFullFlowM3PerH(0.101, 0.5 / 100, 0.5) })
    expect(short).toMatchObject({ halfFullBy: 'entrance', halfFullM3PerH: short.fullM3PerH / 2 })
    expect(long.halfFullM3PerH).toBeLessThan(long.fullM3PerH / 2)
  })
})
