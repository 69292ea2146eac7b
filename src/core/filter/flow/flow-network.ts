import { fittingsK } from '../../hydraulics/fittings'
import { bedLossMm } from '../../hydraulics/granular-bed'
import type { FlowNetwork, NetworkPipe } from '../../hydraulics/network/inp'
import { FLEXIBLE_PVC, RIGID_PVC } from '../../hydraulics/pipe'
import { pumpSetCurve } from '../../hydraulics/pump-set'
import { flowAreaM2, flowPathLayers } from '../bed/bed-geometry'
import type { FilterDesign } from '../design-input'
import type { BranchKind, FlowPlan } from './flow-plan'
import { lineHeadM } from '../train/train-head'
import { suctionLossM } from './suction'
import { headFunction, type HydraulicRules } from './head'
import type { CataloguePump } from './pump-catalogue'

/** Least opening that still counts as open: below it the valve is shut. */
const SHUT_BELOW = 0.05
/**
 * K of a ball valve at an opening: 0.1/opening^4 rises from 0.1 open to about 160 at one sixth.
 * @source trend of valve makers' tables
 */
const valveK = (opening: number): number => 0.1 / Math.max(opening, SHUT_BELOW) ** 4

const CURVE_STEPS = 8

const curveFlows = (maxFlow: number): number[] =>
  Array.from({ length: CURVE_STEPS + 1 }, (_, i) => (maxFlow * i) / CURVE_STEPS)

/** Names of links in the network, for reading the answer back. */
export const linkIds = {
  /** Units of the filter train before the pump and after it. */
  train: (line: 'intake' | 'pressure') => `train_${line}`,
  pump: (i: number) => `pump${i + 1}`,
  intake: (i: number) => `intake${i + 1}`,
  branch: (i: number) => `branch${i + 1}`,
} as const

/** The network of a design and its flow plan in one season. */
// eslint-disable-next-line max-lines-per-function -- mostly the network, part by part
export function networkOf(
  design: FilterDesign,
  plan: FlowPlan,
  season: 'summer' | 'winter',
  pumps: readonly CataloguePump[],
  rules: HydraulicRules,
): FlowNetwork {
  const wall = design.delivery.flexible ? FLEXIBLE_PVC.roughnessM : RIGID_PVC.roughnessM
  const own = pumps.find((p) => p.id === design.pumpId)
  const more = plan.morePumps.flatMap((id) => pumps.find((p) => p.id === id) ?? [])
  const maxFlow = [own, ...more].reduce((sum, p) => sum + (p ? p.curve[p.curve.length - 1]!.flowM3PerH : 0), 1)
  const open = plan.branches.filter((b) => b.valve >= SHUT_BELOW)
  // what stands between the intakes and the pump: units of the train, and a dry-mounted pump's suction
  const before = design.suction !== null || design.train.some((unit) => unit.line === 'intake')
  const after = design.train.some((unit) => unit.line === 'pressure')
  const well = before ? 'CHAMBER' : 'SUCTION'
  const trainLoss = (line: 'intake' | 'pressure') =>
    curveFlows(maxFlow).map((flowM3PerH) => ({
      flowM3PerH,
      // what is lifted is lifted once water runs at all
      headM:
        flowM3PerH === 0
          ? 0
          : lineHeadM(design.train, line, flowM3PerH) + (line === 'intake' ? suctionLossM(design, flowM3PerH) : 0),
    }))
  const intakes = plan.intakes.filter((intake) => intake[season])
  const pipe = (
    id: string,
    from: string,
    to: string,
    of: { lengthM: number; boreM: number; k: number },
    oneWay = false,
  ): NetworkPipe => ({
    id,
    from,
    to,
    lengthM: of.lengthM,
    boreM: of.boreM,
    roughnessM: wall,
    k: of.k,
    oneWay,
  })
  return {
    title: `Pond filter network, ${season}`,
    levels: [
      { id: 'POND', headM: 0 },
      ...open.map((b) => ({ id: `out${plan.branches.indexOf(b) + 1}`, headM: b.levelM })),
    ],
    junctions: [
      { id: 'SUCTION', elevationM: -0.5 },
      ...(before ? [{ id: 'CHAMBER', elevationM: -0.5 }] : []),
      ...(after ? [{ id: 'TREATED', elevationM: 0 }] : []),
      { id: 'PRESSURE', elevationM: -0.5 },
      { id: 'SPLIT', elevationM: 0 },
      ...open.map((b) => ({ id: `valve${plan.branches.indexOf(b) + 1}`, elevationM: 0 })),
    ],
    pipes: [
      ...intakes.map((intake) => pipe(linkIds.intake(plan.intakes.indexOf(intake)), 'POND', 'SUCTION', intake)),
      pipe('delivery', after ? 'TREATED' : 'PRESSURE', 'SPLIT', {
        lengthM: design.delivery.lengthM,
        boreM: design.delivery.diameterM,
        k: fittingsK(design.delivery.fittings, rules.tables.fittings) + design.delivery.otherK,
      }),
      // a branch lets water out over its level: nothing comes back in
      ...open.map((b) =>
        pipe(
          linkIds.branch(plan.branches.indexOf(b)),
          'SPLIT',
          `valve${plan.branches.indexOf(b) + 1}`,
          { ...b, k: b.k + valveK(b.valve) },
          true,
        ),
      ),
    ],
    pumps: [
      ...(own
        ? [{ id: linkIds.pump(0), from: well, to: 'PRESSURE', curve: pumpSetCurve(own.curve, design.pumpSet) }]
        : []),
      ...more.map((p, i) => ({ id: linkIds.pump(i + 1), from: well, to: 'PRESSURE', curve: p.curve })),
    ],
    losses: [
      ...(before ? [{ id: linkIds.train('intake'), from: 'SUCTION', to: 'CHAMBER', curve: trainLoss('intake') }] : []),
      ...(after
        ? [{ id: linkIds.train('pressure'), from: 'PRESSURE', to: 'TREATED', curve: trainLoss('pressure') }]
        : []),
      ...open.map((b) => ({
        id: `end${plan.branches.indexOf(b) + 1}`,
        from: `valve${plan.branches.indexOf(b) + 1}`,
        to: `out${plan.branches.indexOf(b) + 1}`,
        curve: endLoss(b.kind, design, maxFlow, rules),
      })),
    ],
  }
}

/**
 * Head lost where a branch ends, as a curve of flow: the bed's stone and slots, a tower's spray bar, a heater, an
 * open end.
 */
function endLoss(kind: BranchKind, design: FilterDesign, maxFlow: number, rules: HydraulicRules) {
  const flows = curveFlows(maxFlow)
  if (kind === 'bed' && design.type !== 'none') {
    const slots = headFunction({ ...design, bypassShare: 0 }, rules)
    const stone = flowPathLayers(design, rules.materials)
    const area = flowAreaM2(design)
    return flows.map((flowM3PerH) => ({
      flowM3PerH,
      headM: bedLossMm(stone, Math.min(500, flowM3PerH / area)).lossMm / 1000 + slots(flowM3PerH).nozzlesM,
    }))
  }
  const rated = END_LOSS_M_AT_10[kind]
  return flows.map((flowM3PerH) => ({ flowM3PerH, headM: rated * (flowM3PerH / 10) ** 2 }))
}

/** Head lost at 10 m³/h. @source usual figures of spray bars and small heat exchangers */
const END_LOSS_M_AT_10: Readonly<Record<BranchKind, number>> = {
  bed: 0.05,
  bypass: 0.05,
  stream: 0.05,
  'trickle-tower': 0.3,
  heater: 0.8,
}
