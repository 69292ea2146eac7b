import { pipeLoss, RIGID_PVC } from '../../hydraulics/pipe'
import type { FilterDesign } from '../design-input'
import { lineHeadM } from './train-head'

/** Bell or bulkhead in, two bends, and out into the chamber. @source usual fittings of a gravity line */
const INTAKE_K = 2.5

/** Head lost in the pipes that run from the pond to the train by gravity, m; 0 where there are none. */
export function intakePipeLossM(pipe: FilterDesign['intakePipe'], flowM3PerH: number): number {
  if (pipe === null || flowM3PerH <= 0) return 0
  const loss = pipeLoss({
    flowM3PerH: flowM3PerH / pipe.count,
    lengthM: pipe.lengthM,
    diameterM: pipe.diameterM,
    fittingsK: INTAKE_K,
    ...RIGID_PVC,
  })
  return loss.darcyM + loss.minorM
}

/** How far the water stands below the pond where the pump draws it, m. In a split the intakes of the plan count. */
export const intakeDropM = (
  { train, intakePipe, network }: Pick<FilterDesign, 'train' | 'intakePipe' | 'network'>,
  flowM3PerH: number,
): number => (network ? 0 : intakePipeLossM(intakePipe, flowM3PerH)) + lineHeadM(train, 'intake', flowM3PerH)
