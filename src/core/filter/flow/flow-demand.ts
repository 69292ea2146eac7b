import { fallsFlowM3PerH } from '../../hydraulics/falls'
import { skimmerDrawM3PerH } from '../companions'
import type { FilterDesign } from '../design-input'
import type { YearSizing } from '../sizing/yearly-sizing'

export type DemandSource = 'sizingMethod' | 'oxygen' | 'turnover' | 'falls' | 'skimmer'

export interface FlowDemand {
  readonly methodM3PerH: number
  readonly oxygenM3PerH: number
  readonly turnoverM3PerH: number
  readonly fallsM3PerH: number
  readonly skimmerM3PerH: number
  readonly neededM3PerH: number
  readonly governedBy: DemandSource
}

/**
 * What the pump must bring: the largest of all demands. What the bed itself needs of it may be less; the rest goes
 * past.
 */
export function flowDemand(
  methodM3PerH: number,
  sizing: YearSizing,
  design: Pick<FilterDesign, 'falls' | 'companions'>,
): FlowDemand {
  const flows: Record<DemandSource, number> = {
    sizingMethod: methodM3PerH,
    oxygen: sizing.worstOxygenFlowM3PerH,
    turnover: sizing.turnoverFlowM3PerH,
    falls: design.falls ? fallsFlowM3PerH(design.falls.widthM) : 0,
    skimmer: skimmerDrawM3PerH(design.companions),
  }
  const governedBy = (Object.keys(flows) as DemandSource[]).reduce((a, b) => (flows[b] > flows[a] ? b : a))
  return {
    methodM3PerH: flows.sizingMethod,
    oxygenM3PerH: flows.oxygen,
    turnoverM3PerH: flows.turnover,
    fallsM3PerH: flows.falls,
    skimmerM3PerH: flows.skimmer,
    neededM3PerH: flows[governedBy],
    governedBy,
  }
}
