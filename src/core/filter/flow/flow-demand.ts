import { fallsFlowM3PerH } from '../../hydraulics/falls'
import { skimmerDrawM3PerH } from '../train/skimmers'
import type { FilterDesign } from '../design-input'
import type { PondUse, SizingMethod } from '../house-rules'
import type { SizingMethodResult } from '../sizing/sizing'
import type { YearSizing } from '../sizing/yearly-sizing'

export type DemandSource = 'sizingMethod' | 'ammonia' | 'oxygen' | 'turnover' | 'falls' | 'skimmer'

/** Uses whose beds are large for phosphorus or wildlife, not for ammonia: shares of size say nothing of their flow. */
const WITHOUT_SHARE_FLOW: readonly PondUse[] = ['swimming', 'wildlife']
const SHARES: readonly SizingMethod[] = ['volume', 'surface']

export interface FlowDemand {
  /** What the sizing method's rule of thumb asks for; 0 where it has none for this pond. */
  readonly methodM3PerH: number
  /** Least flow through this bed that holds the target in the worst month. */
  readonly ammoniaM3PerH: number
  readonly oxygenM3PerH: number
  readonly turnoverM3PerH: number
  readonly fallsM3PerH: number
  readonly skimmerM3PerH: number
  readonly neededM3PerH: number
  readonly governedBy: DemandSource
}

/** What a share of size asks of the flow, m³/h; 0 where it says nothing of it: the load does then. */
export const shareFlowM3PerH = (
  { sizingMethod, flowM3PerH }: Pick<SizingMethodResult, 'sizingMethod' | 'flowM3PerH'>,
  use: PondUse,
): number => (SHARES.includes(sizingMethod) && !WITHOUT_SHARE_FLOW.includes(use) ? flowM3PerH : 0)

/** The flow that a sizing method comes with, m³/h; 0 where it says nothing of it. */
export const ownFlowM3PerH = (method: Pick<SizingMethodResult, 'sizingMethod' | 'flowM3PerH'>, use: PondUse): number =>
  SHARES.includes(method.sizingMethod) ? shareFlowM3PerH(method, use) : method.flowM3PerH

/**
 * What the pump must bring: the largest of all demands. What the bed itself needs of it may be less; the rest goes
 * past.
 * @param ammoniaM3PerH least flow that holds the target with the bed there is
 * @param oxygenM3PerH least flow that brings the oxygen that the bed asks for
 */
export function flowDemand(
  method: Pick<SizingMethodResult, 'sizingMethod' | 'flowM3PerH'>,
  ammoniaM3PerH: number,
  oxygenM3PerH: number,
  sizing: YearSizing,
  use: PondUse,
  design: Pick<FilterDesign, 'falls' | 'train' | 'type' | 'pumpId'>,
): FlowDemand {
  const pumped = design.pumpId !== null
  const bed = design.type !== 'none'
  const flows: Record<DemandSource, number> = {
    sizingMethod: bed ? shareFlowM3PerH(method, use) : 0,
    ammonia: ammoniaM3PerH,
    oxygen: pumped ? oxygenM3PerH : 0,
    turnover: pumped ? sizing.turnoverFlowM3PerH : 0,
    falls: design.falls ? fallsFlowM3PerH(design.falls.widthM) : 0,
    skimmer: skimmerDrawM3PerH(design.train),
  }
  const governedBy = (Object.keys(flows) as DemandSource[]).reduce((a, b) => (flows[b] > flows[a] ? b : a))
  return {
    methodM3PerH: flows.sizingMethod,
    ammoniaM3PerH,
    oxygenM3PerH: flows.oxygen,
    turnoverM3PerH: flows.turnover,
    fallsM3PerH: flows.falls,
    skimmerM3PerH: flows.skimmer,
    neededM3PerH: flows[governedBy],
    governedBy,
  }
}
