import fc from 'fast-check'
import { koiPond as pond } from '../../../tests/fixtures/design-pond'
import { checkDesign, CHECK_IDS } from './checks'
import { trainUnit } from '../../../tests/fixtures/train-unit'
import { inlineHeadM } from './train/train-head'
import { litterPast } from './train/capture'
import { UNIT_FACTS } from './train/unit-facts'
import { evaluateDesign } from './design'
import type { FilterDesign } from './design-input'
import { FILTER_TYPES } from './types'
import { suggestDesign } from './suggest'
import { DEFAULT_FILTER_RULES as rules } from './house-rules'
import { PUMP_CATALOGUE as pumps, pumpEfficiency } from './flow/pump-catalogue'
import { remedied } from './remedies'
import { ROOT_ZONE, rootZoneShare } from './bed/root-zone'
import { sensitivity } from './sizing/sensitivity'
import { serviceability } from './bed/serviceability'
import { wallThrustKnPerM } from './bed/structure'

const begin = (type: FilterDesign['type'] = 'lined-wetland') => suggestDesign(pond, 'volume', rules, pumps, type)
const work = (design: FilterDesign, over: Partial<typeof rules> = {}) => {
  const given = { pond, design, rules: { ...rules, ...over }, houseMethod: 'volume' as const, pumps }
  const result = evaluateDesign(given)
  return { given: { ...given, result }, result, checks: checkDesign({ ...given, result }) }
}
const verdict = (design: FilterDesign, id: string) => work(design).checks.find((c) => c.id === id)?.verdict

describe('kinds of filters', () => {
  it.each(FILTER_TYPES)('%s begins with a design that no check stops but its own nature', (type) => {
    const stopped = work(begin(type)).checks.filter((c) => c.verdict === 'stop')
    // without any filter the ammonia of koi is not treated: that is the point of the check
    expect(stopped.map((c) => c.id)).toEqual(type === 'none' ? ['tan-target'] : [])
  })
  it('without a filter asks nothing of a bed', () => {
    const ids = work(begin('none')).checks.map((c) => c.id)
    for (const id of ['house-size', 'upflow-velocity', 'root-zone', 'drain-back', 'vault'])
      expect(ids).not.toContain(id)
  })
  it('vessels add up', () => {
    const one = { ...begin('container-bog'), vessels: 1 }
    expect(work({ ...one, vessels: 7 }).result.areaM2).toBeCloseTo(7 * work(one).result.areaM2, 9)
  })
  it('a container bog is looked at on a large pond', () =>
    expect(verdict(begin('container-bog'), 'type-suits')).toBe('look'))
})

describe('the root zone of a horizontal bed', () => {
  const bed = { lengthM: 4, depthM: 0.6, rootDepthM: 0.2, rootPermeability: 0.5, slottedShare: 1 }
  it('is everything where roots fill the bed', () => expect(rootZoneShare({ ...bed, depthM: 0.2 })).toBeCloseTo(1, 9))
  it('follows permeability times thickness between full-height headers', () => {
    // two layers side by side: k·h of the roots over the sum
    expect(rootZoneShare(bed)).toBeCloseTo((0.5 * 0.2) / (0.5 * 0.2 + 0.4), 2)
    expect(rootZoneShare({ ...bed, rootPermeability: 1 })).toBeCloseTo(1 / 3, 2)
  })
  it('loses to headers on the floor, the more the shorter the bed', () => {
    const floor = { ...bed, slottedShare: 0.1 }
    expect(rootZoneShare(floor)).toBeLessThan(rootZoneShare(bed))
    expect(rootZoneShare({ ...floor, lengthM: 1 })).toBeLessThan(rootZoneShare(floor))
  })
  it('stays between nothing and all, and falls as the bed gets deeper', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        fc.double({ min: 0.25, max: 1.5, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (lengthM, depthM, slottedShare) => {
          const share = rootZoneShare({ ...bed, lengthM, depthM, slottedShare })
          expect(share).toBeGreaterThan(0)
          expect(share).toBeLessThanOrEqual(1)
          expect(rootZoneShare({ ...bed, lengthM, depthM: depthM * 1.5, slottedShare })).toBeLessThan(share)
        },
      ),
      { numRuns: 40 },
    )
  })
  it('stops the starving bed, and its remedy passes', () => {
    const starving: FilterDesign = {
      ...begin('horizontal-bed'),
      layers: [{ material: 'planting-6-12', thicknessM: 0.7 }],
      feed: 'bottom-header',
    }
    const { result, given } = work(starving)
    expect(result.rootShare).toBeLessThan(ROOT_ZONE.stopBelow)
    expect(verdict(starving, 'root-zone')).toBe('stop')
    const mended = remedied('root-zone', given)!
    expect(mended.feed).toBe('full-height-header')
    expect(verdict(mended, 'root-zone')).toBe('pass')
  })
})

describe('remedies', () => {
  const bad: FilterDesign = {
    ...begin('raised-trough'),
    lengthM: 1,
    airBreakM: 0,
    vault: null,
    outlet: { count: 1, diameterM: 0.028, lengthM: 1.5, dropM: 0.06 },
    delivery: { ...begin().delivery, diameterM: 0.028 },
    stand: 'slab-or-roof',
  }
  const failing = work(bad).checks.filter((c) => c.verdict !== 'pass')
  it('has enough wrong with it to be worth the test', () => expect(failing.length).toBeGreaterThan(9))
  it.each(failing.map((c) => [c.id, c.verdict] as const))('%s is no worse after its remedy', (id, before) => {
    const rank = { pass: 0, look: 1, stop: 2 }
    const mended = remedied(id, work(bad).given)
    if (!mended) return
    const after = work(mended).checks.find((c) => c.id === id)?.verdict ?? 'pass'
    expect(rank[after]).toBeLessThanOrEqual(rank[before])
  })
  it.each(['house-size', 'drain-back', 'stays-wet', 'vault', 'outlet-order', 'electrics', 'wall-loads'] as const)(
    '%s passes after its remedy',
    (id) => {
      const mended = remedied(id, work(bad).given)!
      expect(work(mended).checks.find((c) => c.id === id)!.verdict).toBe('pass')
    },
  )
  it('a lamp is fitted or left out as the house has it', () => {
    const always = work(begin(), { uv: 'always' })
    expect(always.checks.find((c) => c.id === 'uv')!.verdict).toBe('look')
    expect(remedied('uv', always.given)!.train.map((c) => c.kind)).toEqual(['uv'])
  })
})

describe('properties of any bed', () => {
  const anyBed = fc.record({
    lengthM: fc.double({ min: 0.5, max: 20, noNaN: true }),
    widthM: fc.double({ min: 0.3, max: 8, noNaN: true }),
    thicknessM: fc.double({ min: 0.1, max: 1, noNaN: true }),
    lift: fc.double({ min: 0, max: 3, noNaN: true }),
    pump: fc.constantFrom(...pumps.map((p) => p.id)),
    bypass: fc.double({ min: 0, max: 0.8, noNaN: true }),
  })
  const build = (a: {
    lengthM: number
    widthM: number
    thicknessM: number
    lift: number
    pump: string
    bypass: number
  }): FilterDesign => ({
    ...begin(),
    lengthM: a.lengthM,
    widthM: a.widthM,
    layers: [{ material: 'gravel-19-38', thicknessM: a.thicknessM }],
    staticLiftM: a.lift,
    pumpId: a.pump,
    bypassShare: a.bypass,
  })
  it('duty point lies on both curves within 0.1 %', () =>
    fc.assert(
      fc.property(anyBed, (a) => {
        const { duty, head } = work(build(a)).result
        if (duty.status === 'found') expect(Math.abs(duty.headM - head.totalM)).toBeLessThanOrEqual(0.001 * duty.headM)
      }),
      { numRuns: 8 },
    ))
  it('more flow past the bed never raises its velocity, and a deeper bed never does either', () =>
    fc.assert(
      fc.property(anyBed, (a) => {
        const velocity = work(build(a)).result.velocityMPerH
        expect(work(build({ ...a, bypass: Math.min(0.9, a.bypass + 0.1) })).result.velocityMPerH).toBeLessThanOrEqual(
          velocity + 1e-9,
        )
        expect(work(build({ ...a, thicknessM: a.thicknessM + 0.3 })).result.velocityMPerH).toBeLessThanOrEqual(
          velocity + 1e-9,
        )
      }),
      { numRuns: 8 },
    ))
  it('clogging never brings more water, and half speed brings at most half', () =>
    fc.assert(
      fc.property(anyBed, (a) => {
        const full = work(build(a)).result
        expect(full.cloggedFlowM3PerH).toBeLessThanOrEqual(full.flowM3PerH + 1e-9)
        const slow = work({ ...build(a), pumpSet: { arrangement: 'single', count: 1, speed: 0.5 } }).result
        expect(slow.flowM3PerH).toBeLessThanOrEqual((full.flowM3PerH / 2) * 1.001)
        expect(slow.powerW).toBeCloseTo(full.powerW / 8, 6)
      }),
      { numRuns: 8 },
    ))
})

describe('the train, walls, service', () => {
  it('media carry part of the load and skimmers part of the dirt', () => {
    const alone = work({ ...begin(), lengthM: 1 })
    const helped = work({
      ...begin(),
      lengthM: 1,
      train: [trainUnit('moving-bed', { mediaL: 200, ratedFlowM3PerH: 20 })],
    })
    expect(helped.result.train.units[0]!.workingSurfaceM2).toBeCloseTo(200 * UNIT_FACTS['moving-bed'].mediaM2PerL, 9)
    expect(helped.result.worstTanMgL).toBeLessThan(alone.result.worstTanMgL)
    const skimmed = {
      ...begin(),
      train: [trainUnit('skimmer-floating', { ratedFlowM3PerH: 20, weirM: 0.5 })],
    }
    // skimmers keep what floats: leaves, and nothing of what fish leave
    expect(work(skimmed).result.train).toMatchObject({ litterPast: 0.6, solidsPast: 1 })
    expect(work(skimmed).result.flushDays).toBeGreaterThan(work(begin()).result.flushDays)
  })
  it('two skimmers stand side by side: they keep as much litter as one, and share the flow', () => {
    const skimmer = trainUnit('skimmer-wall', { weirM: 0.3 })
    expect(litterPast([skimmer, skimmer])).toBeCloseTo(litterPast([skimmer]), 9)
    // each takes half the flow, which costs a quarter of the head
    expect(inlineHeadM([skimmer, skimmer], 10)).toBeCloseTo(inlineHeadM([skimmer], 10) / 4, 9)
    const drum = trainUnit('drum')
    expect(inlineHeadM([skimmer, drum], 10)).toBeCloseTo(inlineHeadM([skimmer], 10) + inlineHeadM([drum], 10), 9)
  })
  it('a bed that drinks the pond, TAN over its target and a flow under the need are stops', () => {
    const verdict = (checks: ReturnType<typeof work>['checks'], id: string) => checks.find((c) => c.id === id)!.verdict
    const good = work(begin()).checks
    expect(['bed-water', 'tan-target', 'flow-needed'].map((id) => verdict(good, id))).not.toContain('stop')
    expect(verdict(work({ ...begin(), lengthM: 25, widthM: 12 }).checks, 'bed-water')).toBe('stop')
    expect(verdict(work({ ...begin(), lengthM: 0.4, widthM: 0.4 }).checks, 'tan-target')).toBe('stop')
    const weak = work({ ...begin(), staticLiftM: 3.5 })
    expect(weak.result.flowM3PerH).toBeLessThan(weak.result.demand.neededM3PerH)
    expect(verdict(weak.checks, 'flow-needed')).toBe('stop')
  })
  it('a wall of water pushes with ½ρgh²', () => {
    expect(wallThrustKnPerM(1, 0)).toBeCloseTo(4.903, 3)
    expect(wallThrustKnPerM(2, 0) / wallThrustKnPerM(1, 0)).toBeCloseTo(4, 9)
    expect(wallThrustKnPerM(1, 1)).toBeGreaterThan(wallThrustKnPerM(1, 0))
  })
  it('says what a hard-to-reach filter lacks', () => {
    const poor = { ...begin(), vault: { diameterM: 0.2, atLowPoint: false, valveInReach: true, dischargeM: 40 } }
    expect(serviceability(poor).missing).toEqual(['wide-enough', 'low-point', 'discharge'])
  })
  it('plants counted on take load off in season only', () => {
    const counted = work(begin(), { plantsCounted: true }).result.grown.months
    const bonus = work(begin()).result.grown.months
    expect(counted[6]!.tanLoadGPerD).toBeLessThan(bonus[6]!.tanLoadGPerD)
    expect(counted[0]!.tanLoadGPerD).toBe(bonus[0]!.tanLoadGPerD)
  })
  it('"next size up" asks for a fifth more', () =>
    expect(work(begin(), { oversizing: 'next-size' }).result.houseAreaM2).toBeCloseTo(
      1.2 * work(begin()).result.houseAreaM2,
      9,
    ))
})

describe('what moves the answer most', () => {
  it('is the volume for the volume school and the fish for the nitrogen school', () => {
    const { given } = work(begin())
    expect(sensitivity(given, 'volume').bars[0]!.input).toBe('volume')
    // leaves rot whatever the fish do
    const nitrogen = sensitivity({ ...given, pond: { ...pond, leafKgPerYear: 0 } }, 'nitrogen')
    expect(nitrogen.bars.find((b) => b.input === 'volume')).toMatchObject({
      lowAreaM2: nitrogen.baseAreaM2,
      highAreaM2: nitrogen.baseAreaM2,
    })
    expect(nitrogen.bars.find((b) => b.input === 'fish-count')!.highAreaM2).toBeCloseTo(1.5 * nitrogen.baseAreaM2, 6)
    const widths = nitrogen.bars.map((b) => Math.abs(b.highAreaM2 - b.lowAreaM2))
    expect(widths).toEqual([...widths].sort((a, b) => b - a))
  })
})

describe('the pump list', () => {
  it('holds at least thirty, with ids of their own', () => {
    expect(pumps.length).toBeGreaterThanOrEqual(30)
    expect(new Set(pumps.map((p) => p.id)).size).toBe(pumps.length)
  })
  it('each reaches a sane efficiency inside its range', () => {
    for (const pump of pumps) {
      const middle = (pump.recommended[0] + pump.recommended[1]) / 2
      expect(pumpEfficiency(pump, middle)).toBeGreaterThan(0.1)
      expect(pumpEfficiency(pump, middle)).toBeLessThan(0.75)
    }
  })
})

it('checks come in their own order and once each', () => {
  const ids = work(begin()).checks.map((c) => c.id)
  expect(ids).toEqual([...ids].sort((a, b) => CHECK_IDS.indexOf(a) - CHECK_IDS.indexOf(b)))
  expect(new Set(ids).size).toBe(ids.length)
})
