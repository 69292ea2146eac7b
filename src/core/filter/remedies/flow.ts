import { nextBoreM } from '../../hydraulics/fittings'
import { buildUpM, flowAreaM2 } from '../bed/bed-geometry'
import type { CheckId } from '../checks'
import { CHECK_LIMITS } from '../checks/check'
import type { FilterDesign } from '../design-input'
import { outletDropM } from '../first/pipes'
import { suctionFor } from '../first/suction'
import { suctionLossM } from '../flow/suction'
import { pastTheBed } from '../first-design'
import { FILTER_TYPE_FACTS } from '../types'
import { pumped } from '../design'
import { enlarge, returnFor, withPump, type Mend } from './remedy'

/** The air break at the bed's water level: nothing siphons back. What still runs off does so over a wider lip. */
const raisedBreak: Mend = (context) => {
  const { design } = context
  const airBreakM = buildUpM(design.layers) + Math.max(0, design.waterOverGravelM)
  if ((design.airBreakM ?? 0) < airBreakM - 1e-9) return { ...design, airBreakM }
  if (design.falls)
    return design.falls.widthM < design.widthM - 1e-9
      ? { ...design, falls: { ...design.falls, widthM: design.widthM } }
      : null
  return FILTER_TYPE_FACTS[design.type].pipedOutlet && design.outlet.count < MOST_RETURNS
    ? returnFor(context, design.outlet.count + 1)
    : null
}
const MOST_RETURNS = 6
/** Less friction than this is not worth a wider suction, m. */
const FRICTION_WORTH_M = 0.2
/** A little lower than it must be: a lower pump brings a little more flow. */
const LOWER_BY_M = 0.05

const forDemand: Mend = (context) => withPump(context, context.result.demand.neededM3PerH)

/** What of the flow the bed is asked to carry. */
const bedShare: Mend = (context) => {
  const { design, result } = context
  if (design.network) return null
  if (FILTER_TYPE_FACTS[design.type].path === 'along') {
    const bypassShare = pastTheBed(result.flowM3PerH, design.widthM * buildUpM(design.layers))
    return bypassShare > design.bypassShare ? { ...design, bypassShare } : enlarge(context, result.areaM2 * 1.25)
  }
  const most = CHECK_LIMITS.upflowLookAboveMPerH * flowAreaM2(design)
  const { methodM3PerH, ammoniaM3PerH, oxygenM3PerH } = result.demand
  if (most >= Math.max(methodM3PerH, ammoniaM3PerH, oxygenM3PerH))
    return { ...design, bypassShare: Number(Math.min(0.9, 1 - most / result.flowM3PerH).toFixed(2)) }
  return enlarge(context, result.areaM2 * 1.25)
}

/** A line that a dry-mounted pump can draw by: there, full when it stops, wide enough and the pump low enough. */
const drawing: Mend = ({ pond, design, result, rules, pumps }) => {
  const { pipes } = rules.tables
  const { suction } = design
  if (suction === null || result.suction === null)
    return { ...design, suction: suctionFor(design, { dry: true }, result.flowM3PerH, pipes) }
  const { npshAvailableM, npshRequiredM, lossM } = result.suction
  const wantedM = npshRequiredM + CHECK_LIMITS.npshMarginM
  if (npshAvailableM >= wantedM) return { ...design, suction: { ...suction, footValve: true } }
  let wider = suction
  // less friction brings more flow, and that more friction
  const loss = () => {
    const next = { ...design, suction: wider }
    return suctionLossM(next, pumped(next, pond, rules, pumps).flowM3PerH)
  }
  for (;;) {
    const diameterM = nextBoreM(wider.diameterM, pipes)
    if (loss() <= FRICTION_WORTH_M || diameterM <= wider.diameterM) break
    wider = { ...wider, diameterM }
  }
  // what friction does not give back, a lower place does
  const missingM = wantedM - (npshAvailableM + lossM - loss())
  const liftM = missingM > 0 ? Number((wider.liftM - missingM - LOWER_BY_M).toFixed(2)) : wider.liftM
  return { ...design, suction: { ...wider, liftM } }
}

/** Mends of pumps, pipes, levels and what happens when the pump stops. */
export const FLOW_MENDS: Partial<Record<CheckId, Mend>> = {
  'flow-needed': forDemand,
  'oxygen-flow': (context) => {
    const { design, result } = context
    // the pump brings it, but it goes past the bed
    if (design.bypassShare > 0 && result.flowM3PerH >= result.demand.oxygenM3PerH)
      return {
        ...design,
        bypassShare: Math.max(0, Number((1 - result.demand.oxygenM3PerH / result.flowM3PerH - 0.01).toFixed(2))),
      }
    return forDemand(context)
  },
  turnover: forDemand,
  'duty-in-range': forDemand,
  'falls-look': ({ design, result }) =>
    design.falls && result.demand.fallsM3PerH > result.flowM3PerH
      ? {
          ...design,
          falls: {
            ...design.falls,
            widthM: Number(
              Math.max(0.05, (design.falls.widthM * result.flowM3PerH) / result.demand.fallsM3PerH).toFixed(2),
            ),
          },
        }
      : null,
  levels: ({ design }) => ({
    ...design,
    falls: design.falls
      ? { ...design.falls, dropM: Math.max(0.005, Math.min(design.falls.dropM, design.staticLiftM)) }
      : null,
    outlet: { ...design.outlet, dropM: Math.min(design.outlet.dropM, outletDropM(design.staticLiftM)) },
  }),
  'upflow-velocity': bedShare,
  'pipe-velocity': ({ design, result, rules }) => {
    const { pipes } = rules.tables
    const { suction, delivery } = design
    const fast = result.suction !== null && result.suction.velocityMPerS > CHECK_LIMITS.suctionMPerS
    return fast && suction
      ? { ...design, suction: { ...suction, diameterM: nextBoreM(suction.diameterM, pipes) } }
      : { ...design, delivery: { ...delivery, diameterM: nextBoreM(delivery.diameterM, pipes) } }
  },
  suction: drawing,
  'outlet-capacity': (context) => returnFor(context),
  'outlet-order': (context) => returnFor(context),
  'spare-return': (context) => returnFor(context, 2),
  'drain-back': raisedBreak,
  'stays-wet': raisedBreak,
  restart: raisedBreak,
  power: (context) => {
    const { pond, design, result, rules, pumps } = context
    const mended = withPump({ ...context, design: largerBore(design, rules.tables.pipes) }, result.demand.neededM3PerH)
    return mended && pumped(mended, pond, rules, pumps).powerW < result.powerW ? mended : null
  },
}

const largerBore = (design: FilterDesign, pipes: Parameters<typeof nextBoreM>[1]): FilterDesign => ({
  ...design,
  delivery: { ...design.delivery, diameterM: nextBoreM(design.delivery.diameterM, pipes) },
})
