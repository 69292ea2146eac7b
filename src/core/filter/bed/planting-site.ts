import type { PlantingSite } from '../../plants/planting'
import type { DesignPond, FilterDesign } from '../design-input'
import { FILTER_TYPE_FACTS } from '../types'
import { oneBedAreaM2 } from './bed-geometry'

/** Vessels are planted alike: their areas stand side by side as one bed. Without a bed the pond itself is planted. */
function plantedRectangle(design: FilterDesign, pondAreaM2: number): Pick<PlantingSite, 'lengthM' | 'widthM'> {
  if (design.type === 'none') return { lengthM: Math.sqrt(pondAreaM2), widthM: Math.sqrt(pondAreaM2) }
  const { lengthM, widthM, vessels } = design
  if (design.round) return { lengthM: oneBedAreaM2(design) / lengthM, widthM: lengthM * vessels }
  return { lengthM, widthM: widthM * vessels }
}

/** The bed as its plants meet it. @param pond its area, m², and expected water by month or week, °C */
export function plantingSite(design: FilterDesign, pond: Pick<DesignPond, 'areaM2' | 'monthlyTempC'>): PlantingSite {
  return {
    ...plantedRectangle(design, pond.areaM2),
    waterOverGravelM: design.waterOverGravelM,
    coldestMonthC: Math.min(...pond.monthlyTempC),
    pipeAlongMiddle:
      FILTER_TYPE_FACTS[design.type].path === 'up' &&
      design.feed === 'slotted-pipe' &&
      !design.layers.some((l) => l.material === 'void-modules'),
  }
}
