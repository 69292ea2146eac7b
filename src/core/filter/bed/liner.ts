import type { FilterDesign } from '../design-input'
import { buildUpM } from './bed-geometry'
import { FILTER_TYPE_FACTS } from '../types'
import { linerSize, type SheetSize } from '../../survey/liner'

/** Liner for a bed with upright walls and an overlap on each side; nothing for vessels. */
export function linerForBed(
  design: Pick<FilterDesign, 'type' | 'lengthM' | 'widthM' | 'layers' | 'waterOverGravelM'>,
): SheetSize {
  if (!FILTER_TYPE_FACTS[design.type].lined) return { lengthM: 0, widthM: 0, areaM2: 0 }
  return linerSize({
    lengthM: design.lengthM,
    widthM: design.widthM,
    depthM: buildUpM(design.layers) + Math.max(0, design.waterOverGravelM),
  })
}
