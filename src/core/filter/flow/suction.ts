import { npshAvailableM } from '../../hydraulics/npsh'
import { pipeLoss, RIGID_PVC } from '../../hydraulics/pipe'
import type { FilterDesign } from '../design-input'
import type { CataloguePump } from './pump-catalogue'

/** The line by which a dry-mounted pump draws its water. */
export interface Suction {
  readonly diameterM: number
  readonly lengthM: number
  /** Pump over the water that it draws, m; less than nothing where water stands over it. */
  readonly liftM: number
  /** Holds the line full when the pump stops. */
  readonly footValve: boolean
}

/** Strainer or bell, two sweeps, a valve and a union; a foot valve comes to that. @source usual loss factors */
const SUCTION_K = 2
const FOOT_VALVE_K = 2.2

/** Pumps side by side draw by a line each. */
export const suctionLines = ({ pumpSet }: Pick<FilterDesign, 'pumpSet'>): number =>
  pumpSet.arrangement === 'parallel' ? pumpSet.count : 1

/** Head lost in the suction of a dry-mounted pump at the flow of all pumps, m; 0 where the pump stands in the water. */
export function suctionLossM(design: Pick<FilterDesign, 'suction' | 'pumpSet'>, flowM3PerH: number): number {
  const { suction } = design
  if (suction === null || flowM3PerH <= 0) return 0
  const loss = pipeLoss({
    flowM3PerH: flowM3PerH / suctionLines(design),
    lengthM: suction.lengthM,
    diameterM: suction.diameterM,
    fittingsK: SUCTION_K + (suction.footValve ? FOOT_VALVE_K : 0),
    ...RIGID_PVC,
  })
  return loss.darcyM + loss.minorM
}

export interface SuctionResult {
  readonly velocityMPerS: number
  readonly lossM: number
  readonly npshAvailableM: number
  readonly npshRequiredM: number
}

/** Pumps whose maker says nothing are taken to ask for this much, m. @source upper end of small centrifugal pumps */
const USUAL_NPSH_M = 3.5

/** How a dry-mounted pump draws its water; null without a suction line. @param warmestC warmest month's water, °C */
export function suctionOf(
  design: Pick<FilterDesign, 'suction' | 'pumpSet'>,
  pump: CataloguePump,
  flowM3PerH: number,
  { altitudeM, warmestC }: { readonly altitudeM: number; readonly warmestC: number },
): SuctionResult | null {
  const { suction } = design
  if (suction === null) return null
  const lossM = suctionLossM(design, flowM3PerH)
  return {
    velocityMPerS: flowM3PerH / suctionLines(design) / 3600 / ((Math.PI * suction.diameterM ** 2) / 4),
    lossM,
    npshAvailableM: npshAvailableM({ altitudeM, tempC: Math.max(0, warmestC), liftM: suction.liftM, lossM }),
    npshRequiredM: pump.dryNpshM ?? USUAL_NPSH_M,
  }
}
