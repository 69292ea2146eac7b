import { koiPond as pond } from '../../../../tests/fixtures/design-pond'
import { trainUnit } from '../../../../tests/fixtures/train-unit'
import { writeInp } from '../../hydraulics/network/inp'
import { solveInp } from '../../hydraulics/network/solve-inp'
import { checkDesign } from '../checks'
import { evaluateDesign } from '../design'
import type { FilterDesign } from '../design-input'
import { suggestDesign } from '../suggest'
import { linkIds, networkOf } from './flow-network'
import { firstFlowPlan, type FlowPlan } from './flow-plan'
import { splitOf } from './flow-split'
import { DEFAULT_FILTER_RULES as rules } from '../house-rules'
import { PUMP_CATALOGUE as pumps } from './pump-catalogue'

const design = suggestDesign(pond, 'volume', rules, pumps, 'lined-wetland')
const plan = firstFlowPlan(design)
const split = (of: FlowPlan, own: FilterDesign = design) => splitOf(own, of, pumps, rules)
const work = (own: FilterDesign) => {
  const given = { pond, design: own, rules, houseMethod: 'volume' as const, pumps }
  const result = evaluateDesign(given)
  return { result, checks: checkDesign({ ...given, result }) }
}
const branch = plan.branches[0]!
const two = (valve: number): FlowPlan => ({ ...plan, branches: [plan.branches[0]!, { ...plan.branches[1]!, valve }] })

const SCREENED: FilterDesign['train'] = [
  trainUnit('drum', { line: 'intake', ratedFlowM3PerH: 15 }),
  trainUnit('pressurised', { ratedFlowM3PerH: 15 }),
]

describe('how a network shares the water out', () => {
  it.each<[string, FlowPlan, FilterDesign['train']?]>([
    ['a bed and a bypass', plan],
    ['both wide open', two(1)],
    ['the bypass nearly shut', two(0.1)],
    [
      'a stream higher up',
      { ...plan, branches: [branch, { ...branch, kind: 'stream', levelM: branch.levelM + 0.4, valve: 0.6 }] },
    ],
    ['two intakes side by side', { ...plan, intakes: plan.intakes.map((i) => ({ ...i, summer: true })) }],
    ['a second pump', { ...plan, morePumps: [pumps[2]!.id] }],
    ['a train before the pump and after it', plan, SCREENED],
  ])('agrees with EPANET: %s', async (_, of, train = []) => {
    const trained = { ...design, train }
    const solved = await solveInp(writeInp(networkOf(trained, of, 'summer', pumps, rules)))
    if (!solved.ok) throw new Error(solved.problem.messages.join('; '))
    const found = split(of, trained)
    of.intakes.forEach((intake, i) => {
      if (!intake.summer) return
      const epanet = solved.value.links.find((l) => l.id === linkIds.intake(i))!.flowM3PerH
      expect(Math.abs(found.intakesM3PerH[i]! - epanet)).toBeLessThan(0.03 * found.totalM3PerH)
    })
    of.branches.forEach((_branch, i) => {
      const epanet = solved.value.links.find((l) => l.id === linkIds.branch(i))!.flowM3PerH
      expect(Math.abs(found.branchesM3PerH[i]! - epanet)).toBeLessThan(0.03 * found.totalM3PerH)
    })
    const total = solved.value.links.filter((l) => l.id.startsWith('branch')).reduce((sum, l) => sum + l.flowM3PerH, 0)
    expect(found.totalM3PerH / total).toBeCloseTo(1, 1.5)
  })
  it('of nothing open is nothing, and says no flow', () => {
    expect(split({ ...plan, branches: plan.branches.map((b) => ({ ...b, valve: 0 })) }).totalM3PerH).toBe(0)
    expect(
      split({ ...plan, intakes: plan.intakes.map((i) => ({ ...i, summer: false, winter: false })) }).totalM3PerH,
    ).toBe(0)
    expect(
      work({ ...design, network: { ...plan, branches: plan.branches.map((b) => ({ ...b, levelM: 19 })) } }).result.duty
        .status,
    ).toBe('no-flow')
  })
  it('takes from the bed what the bypass gets, the more the wider its valve', () => {
    const shares = [0.1, 0.3, 0.6, 1].map((valve) => split(two(valve)).bedM3PerH)
    for (let i = 1; i < shares.length; i++) expect(shares[i]).toBeLessThan(shares[i - 1]!)
  })
})

describe('a split flow', () => {
  it('reaches every check: a bed that gets half the water has half the velocity, worse ammonia, and says when it is too little', () => {
    const whole = work(design)
    const halved = work({ ...design, network: two(1) })
    expect(halved.result.bedFlowM3PerH).toBeLessThan(0.75 * whole.result.bedFlowM3PerH)
    expect(halved.result.velocityMPerH / whole.result.velocityMPerH).toBeCloseTo(
      halved.result.bedFlowM3PerH / whole.result.bedFlowM3PerH,
      6,
    )
    expect(halved.result.worstTanMgL).toBeGreaterThan(whole.result.worstTanMgL)
    const value = (of: typeof whole, id: string) => of.checks.find((c) => c.id === id)!.figure
    expect(value(halved, 'oxygen-flow')).toBeCloseTo(halved.result.bedFlowM3PerH, 9)
    expect(value(halved, 'upflow-velocity')).toBeLessThan(value(whole, 'upflow-velocity'))
  })
  it('to a bed that gets nothing is a stop, not the pump’s flow', () => {
    const none = work({ ...design, network: { ...plan, branches: [{ ...branch, kind: 'bypass' }] } })
    expect(none.result.bedFlowM3PerH).toBe(0)
    expect(none.checks.find((c) => c.id === 'oxygen-flow')).toMatchObject({ verdict: 'stop', figure: 0 })
  })
  it('costs the power of all its pumps', () => {
    const more = work({ ...design, network: { ...plan, morePumps: [pumps[2]!.id] } })
    expect(more.result.powerW).toBeCloseTo(work(design).result.powerW + pumps[2]!.powerW, 9)
  })
})
