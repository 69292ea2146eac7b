import fc from 'fast-check'
import { koiPond } from '../../../../tests/fixtures/design-pond'
import { airPressurePa, npshAvailableM, vapourPressurePa } from '../../hydraulics/npsh'
import { checkDesign } from '../checks'
import { evaluateDesign } from '../design'
import type { DesignPond, FilterDesign } from '../design-input'
import { smallestPump } from '../first/smallest-pump'
import { suctionFor } from '../first/suction'
import { DEFAULT_FILTER_RULES as rules } from '../house-rules'
import { remedied } from '../remedies'
import { suggestDesign } from '../suggest'
import { firstFlowPlan } from './flow-plan'
import { isDryMounted, PUMP_CATALOGUE as pumps } from './pump-catalogue'
import { suctionLossM } from './suction'

const LINE = { diameterM: 0.0814, lengthM: 2, liftM: 0, footValve: true }
const wetland = suggestDesign(koiPond, 'volume', rules, pumps)
const dry = (changes: Partial<FilterDesign> = {}): FilterDesign => ({
  ...wetland,
  pumpId: 'D20',
  suction: LINE,
  ...changes,
})
const worked = (design: FilterDesign, pond: DesignPond = koiPond) => {
  const given = { pond, design, rules, houseMethod: 'volume' as const, pumps }
  const result = evaluateDesign(given)
  return { ...given, result, check: checkDesign({ ...given, result }).find(({ id }) => id === 'suction') }
}

describe('head at a pump’s suction', () => {
  it('knows the vapour pressure of water as steam tables give it', () => {
    expect(vapourPressurePa(20) / 2339).toBeCloseTo(1, 2)
    expect(vapourPressurePa(30) / 4247).toBeCloseTo(1, 2)
  })
  it('knows the standard atmosphere', () => {
    expect(airPressurePa(0)).toBe(101_325)
    expect(airPressurePa(1500)).toBeCloseTo(84_556, -2)
  })
  it('is 10.1 m at the water’s level by the sea at 20 °C, and lift and losses come off it', () => {
    const at = (liftM: number, lossM: number) => npshAvailableM({ altitudeM: 0, tempC: 20, liftM, lossM })
    expect(at(0, 0)).toBeCloseTo(10.11, 2)
    expect(at(2.5, 0.6)).toBeCloseTo(at(0, 0) - 3.1, 12)
  })
  it('is less in warm water and high above the sea', () => {
    const at = (altitudeM: number, tempC: number) => npshAvailableM({ altitudeM, tempC, liftM: 1, lossM: 0.3 })
    expect(at(0, 30)).toBeLessThan(at(0, 10))
    expect(at(1800, 20)).toBeCloseTo(at(0, 20) - (101_325 - airPressurePa(1800)) / (998.2 * 9.80665), 2)
  })
})

describe('the suction of a dry-mounted pump', () => {
  it('costs head like any pipe, more the longer and the narrower it is, and is part of the head', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        fc.double({ min: 0.03, max: 0.1, noNaN: true }),
        (lengthM, diameterM) => {
          const loss = (of: Partial<typeof LINE>) =>
            suctionLossM(dry({ suction: { ...LINE, lengthM, diameterM, ...of } }), 12)
          expect(loss({ lengthM: lengthM + 1 })).toBeGreaterThan(loss({}))
          expect(loss({ diameterM: diameterM * 1.2 })).toBeLessThan(loss({}))
          expect(loss({ footValve: false })).toBeLessThan(loss({}))
        },
      ),
    )
    const { head } = worked(dry({ suction: { ...LINE, diameterM: 0.0454 } })).result
    expect(head.suctionM).toBeGreaterThan(0.1)
    expect(
      head.staticM + head.darcyM + head.minorM + head.bedM + head.nozzlesM + head.trainM + head.suctionM,
    ).toBeCloseTo(head.totalM, 12)
  })
  it('takes from the flow in a split as it does in one line', () => {
    const flow = (suction: FilterDesign['suction']) =>
      worked(dry({ suction, network: firstFlowPlan(wetland) })).result.split!.totalM3PerH
    expect(flow({ ...LINE, diameterM: 0.0454 })).toBeLessThan(flow(LINE) * 0.97)
  })
  it('is one line for each of pumps side by side', () => {
    const two = dry({ pumpSet: { arrangement: 'parallel', count: 2, speed: 1 } })
    expect(suctionLossM(two, 20)).toBeCloseTo(suctionLossM(dry(), 10), 12)
  })
  it('is missed where a dry-mounted pump has none, and added by the remedy', () => {
    const without = worked(dry({ suction: null }))
    expect(without.check).toMatchObject({ verdict: 'stop', also: { problem: 'no-line' } })
    const mended = remedied('suction', without)!
    expect(mended.suction).not.toBeNull()
    expect(worked(mended).check!.verdict).toBe('pass')
  })
  it('is not asked of a pump that stands in the water', () => expect(worked(wetland).check).toBeUndefined())
  it('stops where water would boil in the pump, and one remedy widens it and sets the pump lower', () => {
    let state = worked(dry({ suction: { diameterM: 0.0454, lengthM: 12, liftM: 6.4, footValve: true } }))
    expect(state.check).toMatchObject({ verdict: 'stop', also: { problem: 'head' } })
    expect(state.check!.figure).toBeLessThan(state.check!.limit)
    state = worked(remedied('suction', state)!)
    expect(state.check!.verdict).toBe('pass')
    expect(state.design.suction!.diameterM).toBeGreaterThan(0.0454)
    expect(state.design.suction!.liftM).toBeLessThan(6.4)
  })
  it('is a review where it empties at each stop, and a foot valve mends it', () => {
    const state = worked(dry({ suction: { ...LINE, liftM: 1, footValve: false } }))
    expect(state.check).toMatchObject({ verdict: 'look', also: { problem: 'prime' } })
    expect(worked(remedied('suction', state)!).check!.verdict).toBe('pass')
  })
  it('draws worse on a mountain and in a warm pond', () => {
    const at = (altitudeM: number, warmC: number) =>
      worked(dry(), { ...koiPond, altitudeM, monthlyTempC: koiPond.monthlyTempC.map((c) => Math.min(c, warmC)) }).result
        .suction!.npshAvailableM
    expect(at(2000, 20)).toBeLessThan(at(0, 20) - 2)
    expect(at(0, 20)).toBeLessThan(at(0, 8))
  })
  it('comes with the pump: a dry-mounted one brings a line, another takes it away, and what was set is kept', () => {
    const { pipes } = rules.tables
    expect(suctionFor(wetland, { dry: true }, 20, pipes)).toMatchObject({ lengthM: 2, footValve: true })
    expect(suctionFor(dry(), { dry: false }, 20, pipes)).toBeNull()
    expect(suctionFor(dry(), { dry: true }, 200, pipes)).toBe(LINE)
  })
  it('is there with every dry-mounted pump that is chosen for a flow', () => {
    const onlyDry = pumps.filter(isDryMounted)
    const choice = smallestPump(koiPond, { ...wetland, suction: null }, rules, onlyDry, 15)!
    expect(choice.suction).not.toBeNull()
    expect(worked({ ...wetland, ...choice }).result.flowM3PerH).toBeGreaterThanOrEqual(15)
  })
})
