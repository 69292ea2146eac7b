import type { FlowNetwork, NetworkPipe } from '../../hydraulics/network/inp'
import { PIPE_RANGE, pipeLoss } from '../../hydraulics/pipe'
import { GRAVITY_M_PER_S2 } from '../../hydraulics/water-properties'
import type { PumpPoint } from '../../hydraulics/pump'
import { findRoot } from '../../numeric/root'
import type { FilterDesign } from '../design-input'
import { linkIds, networkOf } from './flow-network'
import type { FlowPlan } from './flow-plan'
import type { HydraulicRules } from './head'
import type { CataloguePump } from './pump-catalogue'

/** How a flow plan shares the water out. */
export interface FlowSplit {
  readonly season: 'summer' | 'winter'
  /** Through all pumps, m³/h. */
  readonly totalM3PerH: number
  /** Of each branch of the plan, in its order, m³/h; 0 where its valve is shut. */
  readonly branchesM3PerH: readonly number[]
  /** Of each intake of the plan, in its order, m³/h; 0 where it is shut in this season. */
  readonly intakesM3PerH: readonly number[]
  /** Into beds, m³/h. */
  readonly bedM3PerH: number
  /** Of each pump, the design's own first, m³/h. */
  readonly pumpsM3PerH: readonly number[]
  /** Of the design's own pumps, m³/h, and the head they work against, m. */
  readonly own: { readonly flowM3PerH: number; readonly headM: number }
  /** Rated power of the pumps beside them, W. */
  readonly moreW: number
}

const TOLERANCE_M = 1e-6
const TOLERANCE_M3_PER_H = 1e-6
const STEPS = 60

/**
 * Solves a design's flow plan: where pumps, delivery and branches agree. The same network that EPANET solves in
 * network mode, by its own few
 * steps, so that every check can go by it at once; the two agree within a few per cent.
 * @returns nothing flows where no intake is open, no branch is, or the pumps do not lift to any
 * @source energy balance at the split; Darcy–Weisbach as in pipeLoss
 */
export function splitOf(
  design: FilterDesign,
  plan: FlowPlan,
  pumps: readonly CataloguePump[],
  rules: HydraulicRules,
): FlowSplit {
  const season = plan.intakes.some((intake) => intake.summer) ? 'summer' : 'winter'
  const network = networkOf(design, plan, season, pumps, rules)
  const more = plan.morePumps.flatMap((id) => pumps.find((p) => p.id === id) ?? [])
  const moreW = more.reduce((sum, p) => sum + p.powerW, 0)
  const none: FlowSplit = {
    season,
    totalM3PerH: 0,
    branchesM3PerH: plan.branches.map(() => 0),
    intakesM3PerH: plan.intakes.map(() => 0),
    bedM3PerH: 0,
    pumpsM3PerH: network.pumps.map(() => 0),
    own: { flowM3PerH: 0, headM: 0 },
    moreW,
  }
  const intakes = network.pipes.filter((p) => p.from === 'POND')
  const branches = plan.branches.map((_, i) => branchOf(network, i))
  if (intakes.length === 0 || network.pumps.length === 0 || branches.every((b) => b === null)) return none

  const delivery = network.pipes.find((p) => p.id === 'delivery')!
  const flowsAt = (headM: number) => branches.map((b) => (b === null ? 0 : b.flowAt(headM)))
  const sum = (flows: readonly number[]) => flows.reduce((a, b) => a + b, 0)
  const units = network.losses.filter((l) => l.id === linkIds.train('intake') || l.id === linkIds.train('pressure'))
  const trainM = (flow: number) => sum(units.map((unit) => onCurve(unit.curve, flow)))
  /** What is over at the split when it stands at a head: falls as the head rises. */
  const excess = (headM: number) => {
    const flow = sum(flowsAt(headM))
    return riseAt(network, flow) - suctionM(intakes, flow) - trainM(flow) - lossOf(delivery, flow) - headM
  }
  const low = Math.min(...branches.flatMap((b) => (b === null ? [] : [b.levelM])))
  const high = Math.max(...network.pumps.map((p) => p.curve[0]!.headM)) + 1
  if (high <= low || excess(low) <= 0) return none
  const headM = findRoot(excess, { low, high }, TOLERANCE_M).x
  const branchesM3PerH = flowsAt(headM)
  const totalM3PerH = sum(branchesM3PerH)
  const rise = riseAt(network, totalM3PerH)
  const ownPump = network.pumps.find((p) => p.id === linkIds.pump(0))
  return {
    season,
    totalM3PerH,
    branchesM3PerH,
    intakesM3PerH: intakeFlows(plan, intakes, totalM3PerH),
    bedM3PerH: sum(branchesM3PerH.filter((_, i) => plan.branches[i]!.kind === 'bed')),
    pumpsM3PerH: network.pumps.map((pump) => pumpFlowAt(pump.curve, rise)),
    own: { flowM3PerH: ownPump ? pumpFlowAt(ownPump.curve, rise) : 0, headM: rise },
    moreW,
  }
}

interface Branch {
  readonly levelM: number
  readonly flowAt: (headM: number) => number
}

/** One branch as the flow it takes at a head of the split; null where its valve is shut. */
function branchOf(network: FlowNetwork, i: number): Branch | null {
  const pipe = network.pipes.find((p) => p.id === linkIds.branch(i))
  const end = network.losses.find((l) => l.from === `valve${i + 1}`)
  const level = network.levels.find((l) => l.id === `out${i + 1}`)
  if (!pipe || !end || !level) return null
  return {
    levelM: level.headM,
    flowAt: (headM) => flowThrough((q) => lossOf(pipe, q) + onCurve(end.curve, q), headM - level.headM),
  }
}

/** The flow that a rising loss lets through at a head, m³/h. */
function flowThrough(loss: (flowM3PerH: number) => number, headM: number): number {
  if (headM <= 0) return 0
  let high = 1
  while (loss(high) < headM && high < PIPE_RANGE.flowM3PerH[1] / 2) high *= 2
  let low = 0
  for (let i = 0; i < STEPS && high - low > TOLERANCE_M3_PER_H; i++) {
    const middle = (low + high) / 2
    if (loss(middle) < headM) low = middle
    else high = middle
  }
  return (low + high) / 2
}

const lossOf = (pipe: NetworkPipe, flowM3PerH: number): number => {
  if (flowM3PerH <= 0) return 0
  const { darcyM, velocityMPerS } = pipeLoss({
    flowM3PerH: Math.min(flowM3PerH, PIPE_RANGE.flowM3PerH[1]),
    lengthM: pipe.lengthM,
    diameterM: pipe.boreM,
    roughnessM: pipe.roughnessM,
  })
  // a valve that is nearly shut loses more than any fitting
  return darcyM + (pipe.k * velocityMPerS ** 2) / (2 * GRAVITY_M_PER_S2)
}

/** Head lost on the way to the pumps through intakes side by side, m. */
function suctionM(intakes: readonly NetworkPipe[], flowM3PerH: number): number {
  if (flowM3PerH <= 0) return 0
  if (intakes.length === 1) return lossOf(intakes[0]!, flowM3PerH)
  const all = (headM: number) => intakes.reduce((sum, pipe) => sum + flowThrough((q) => lossOf(pipe, q), headM), 0)
  const max = Math.max(...intakes.map((pipe) => lossOf(pipe, flowM3PerH)))
  return findRoot((headM) => all(headM) - flowM3PerH, { low: 0, high: max }, TOLERANCE_M).x
}

/** What each intake brings: side by side all lose the same head. */
function intakeFlows(plan: FlowPlan, open: readonly NetworkPipe[], flowM3PerH: number): number[] {
  const headM = suctionM(open, flowM3PerH)
  return plan.intakes.map((_, i) => {
    const pipe = open.find((p) => p.id === linkIds.intake(i))
    if (!pipe) return 0
    return open.length === 1 ? flowM3PerH : flowThrough((q) => lossOf(pipe, q), headM)
  })
}

/** Head that the pumps side by side give at a flow, m: each at the same head. */
function riseAt({ pumps }: FlowNetwork, flowM3PerH: number): number {
  const max = Math.max(...pumps.map((p) => p.curve[0]!.headM))
  const all = (headM: number) => pumps.reduce((sum, p) => sum + pumpFlowAt(p.curve, headM), 0)
  // beyond the curves no more comes, whatever the head
  if (flowM3PerH >= all(0)) return -(flowM3PerH - all(0))
  return findRoot((headM) => all(headM) - flowM3PerH, { low: 0, high: max }, TOLERANCE_M).x
}

/** Flow of a pump against a head, by straight lines between its points; none comes back through it, m³/h. */
function pumpFlowAt(curve: readonly PumpPoint[], headM: number): number {
  if (headM >= curve[0]!.headM) return 0
  const after = curve.findIndex((p) => p.headM <= headM)
  if (after < 0) return curve[curve.length - 1]!.flowM3PerH
  const [a, b] = [curve[after - 1]!, curve[after]!]
  return a.flowM3PerH + ((a.headM - headM) / (a.headM - b.headM || 1)) * (b.flowM3PerH - a.flowM3PerH)
}

function onCurve(curve: readonly PumpPoint[], flowM3PerH: number): number {
  const after = curve.findIndex((p) => p.flowM3PerH >= flowM3PerH)
  const [a, b] = after < 0 ? curve.slice(-2) : [curve[Math.max(0, after - 1)], curve[after]]
  if (a === b || a!.flowM3PerH === b!.flowM3PerH) return a!.headM
  return a!.headM + ((flowM3PerH - a!.flowM3PerH) / (b!.flowM3PerH - a!.flowM3PerH)) * (b!.headM - a!.headM)
}
