import { dutyPoint, type DutyOutcome, type PumpPoint } from '../../hydraulics/pump'
import { pumpSetCurve, pumpSetPowerW, pumpSetRange } from '../../hydraulics/pump-set'
import type { FilterDesign } from '../design-input'
import type { FlowSplit } from './flow-split'
import { headFunction, type HeadBreakdown, type HydraulicRules } from './head'
import type { CataloguePump } from './pump-catalogue'

/** The clogging case every design is shown with. @source domain default */
const CLOGGING_CASE = 0.25
const HOURS_PER_MONTH = 8760 / 12
const CURVE_POINTS = 12

export interface Pumping {
  /** null where nothing is pumped. */
  readonly pump: CataloguePump | null
  /** Curve and range of the whole set at its speed. */
  readonly curve: readonly PumpPoint[]
  readonly recommended: readonly [number, number]
  readonly duty: DutyOutcome | { readonly status: 'no-pump' }
  readonly flowM3PerH: number
  readonly head: HeadBreakdown
  readonly systemCurve: readonly PumpPoint[]
  /** Flow left when every way is a quarter closed, m³/h. */
  readonly cloggedFlowM3PerH: number
  readonly powerW: number
  readonly energyKWhPerYear: number
  readonly litresPerKWh: number
}

/** What a design without a pump moves: nothing. */
export const UNPUMPED: Pumping = {
  pump: null,
  curve: [],
  recommended: [0, 0],
  duty: { status: 'no-pump' },
  flowM3PerH: 0,
  head: {
    darcyM: 0,
    hazenM: 0,
    minorM: 0,
    velocityMPerS: 0,
    reynolds: 0,
    staticM: 0,
    bedM: 0,
    nozzlesM: 0,
    suctionM: 0,
    trainM: 0,
    totalM: 0,
  },
  systemCurve: [],
  cloggedFlowM3PerH: 0,
  powerW: 0,
  energyKWhPerYear: 0,
  litresPerKWh: 0,
}

/**
 * Months that a design's pumps run, of twelve: a bed that is drained for the winter rests below the shutdown's water.
 * @param monthlyTempC the water, January first
 */
export const runningMonths = (
  { winter }: Pick<FilterDesign, 'winter'>,
  monthlyTempC: readonly number[],
  shutdownWaterC: number,
): number => (winter === 'drained' ? monthlyTempC.filter((tempC) => tempC >= shutdownWaterC).length : 12)

/** Flow where a design's pumps and pipes agree, m³/h; 0 where they do not lift to it. */
export const dutyFlowM3PerH = (design: FilterDesign, pump: CataloguePump, rules: HydraulicRules): number => {
  const headAt = headFunction(design, rules)
  return flowOf(dutyPoint(pumpSetCurve(pump.curve, design.pumpSet), (flow) => headAt(flow).totalM))
}

/** Where the design's pumps and pipes agree, clean and clogged, and what that costs in energy. */
export function pumping(design: FilterDesign, pump: CataloguePump, rules: HydraulicRules, months = 12): Pumping {
  const curve = pumpSetCurve(pump.curve, design.pumpSet)
  const headAt = headFunction(design, rules)
  const last = curve[curve.length - 1]!.flowM3PerH
  const systemCurve = Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
    const flow = (last * i) / CURVE_POINTS
    return { flowM3PerH: flow, headM: headAt(flow).totalM }
  })
  const duty = dutyPoint(curve, (flow) => headAt(flow).totalM, systemCurve)
  // every way a quarter closed asks at a flow what clean ways ask at a third more
  const clogged = dutyPoint(
    curve,
    (flow) => headAt(flow / (1 - CLOGGING_CASE)).totalM,
    systemCurve.map(({ flowM3PerH, headM }) => ({ flowM3PerH: flowM3PerH * (1 - CLOGGING_CASE), headM })),
  )
  const flowM3PerH = flowOf(duty)
  const powerW = pumpSetPowerW(pump.powerW, design.pumpSet)
  return {
    pump,
    curve,
    recommended: pumpSetRange(pump.recommended, design.pumpSet),
    duty,
    flowM3PerH,
    head: headAt(flowM3PerH),
    systemCurve,
    cloggedFlowM3PerH: flowOf(clogged),
    powerW,
    energyKWhPerYear: (powerW / 1000) * HOURS_PER_MONTH * months,
    litresPerKWh: (flowM3PerH * 1000) / (powerW / 1000),
  }
}

/**
 * The same where a network shares the water out: its flows, its head, and the power of all its pumps.
 * @param headAt head along the one pipe at a flow: friction and speed in the delivery are those of the whole flow
 */
export function splitPumping(
  alone: Pumping,
  { totalM3PerH, own, moreW }: FlowSplit,
  headAt: (flowM3PerH: number) => HeadBreakdown,
  months = 12,
): Pumping {
  const powerW = alone.powerW + moreW
  const open = alone.flowM3PerH > 0 ? alone.cloggedFlowM3PerH / alone.flowM3PerH : 0
  return {
    ...alone,
    duty:
      totalM3PerH > 0
        ? { status: 'found', flowM3PerH: own.flowM3PerH, headM: own.headM }
        : { status: 'no-flow', shutoffHeadM: alone.curve[0]!.headM, staticHeadM: alone.head.staticM },
    flowM3PerH: totalM3PerH,
    head: { ...headAt(totalM3PerH), totalM: own.headM },
    cloggedFlowM3PerH: totalM3PerH * open,
    powerW,
    energyKWhPerYear: (powerW / 1000) * HOURS_PER_MONTH * months,
    litresPerKWh: (totalM3PerH * 1000) / (powerW / 1000),
  }
}

const flowOf = (duty: DutyOutcome): number => (duty.status === 'no-flow' ? 0 : duty.flowM3PerH)
