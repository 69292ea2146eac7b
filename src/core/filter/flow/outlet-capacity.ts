import { partFullFlowM3PerH } from '../../hydraulics/manning'
import { outletFlowM3PerH } from '../../hydraulics/outlet'
import type { FilterDesign } from '../design-input'

export interface OutletCapacity {
  /**
   * What one return is designed for, m³/h: half full by Manning, and no more than half of what its entrance lets in.
   */
  readonly halfFullM3PerH: number
  /** Which of the two is the lesser. */
  readonly halfFullBy: 'manning' | 'entrance'
  /** What one return carries running full under its drop, m³/h. */
  readonly fullM3PerH: number
}

/** Entrance and one bend of a gravity return. @source FITTINGS: bulkhead 0.5 and sweep 0.35, rounded up */
const OUTLET_K = 1

/** Capacity of one gravity return pipe. */
export function outletCapacity({ diameterM, lengthM, dropM }: Omit<FilterDesign['outlet'], 'count'>): OutletCapacity {
  const fullM3PerH = outletFlowM3PerH({ diameterM, lengthM, headM: dropM, fittingsK: OUTLET_K })
  const byManning = partFullFlowM3PerH(diameterM, Math.min(1, dropM / lengthM), 0.5)
  const byEntrance = fullM3PerH / 2
  return {
    halfFullM3PerH: Math.min(byManning, byEntrance),
    halfFullBy: byManning < byEntrance ? 'manning' : 'entrance',
    fullM3PerH,
  }
}
