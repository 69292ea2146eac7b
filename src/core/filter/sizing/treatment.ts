import { bedAreaM2 } from '../bed/bed-geometry'
import { closedLoop } from './recirculating-model'
import { mediaSurfaceM2 } from '../companions'
import type { FilterDesign } from '../design-input'
import { firstOrderRatePerD, NITRIFICATION, specificSurfaceM2PerM3 } from './nitrification'
import { CLOSED_LOOP, type BedToSize } from './sizing'
import type { YearSizing } from './yearly-sizing'

/** Rated media areas of companions are already net of what fouling takes; a usable share is not taken off again. */
export interface Treatment {
  readonly stoneM3: number
  /** Bed that would nitrify as much as the companions' media, m³ of this stone. */
  readonly mediaAsBedM3: number
  readonly treatingM3: number
}

/** What nitrifies in a design: its stone, and the companions' media as if they were stone. */
export function treatmentOf(design: FilterDesign, bed: BedToSize): Treatment {
  const stoneM3 = design.type === 'none' ? 0 : bedAreaM2(design) * bed.depthM
  const mediaAsBedM3 =
    mediaSurfaceM2(design.companions) / (specificSurfaceM2PerM3(bed.grainM, bed.porosity) * NITRIFICATION.usableShare)
  return { stoneM3, mediaAsBedM3, treatingM3: stoneM3 + mediaAsBedM3 }
}

/**
 * TAN that the pond settles at month by month with this bed and flow, mg/L; Infinity where fish are fed and nothing
 * treats.
 */
export function monthlyTanMgL(sizing: YearSizing, flowM3PerH: number, treatingM3: number, bed: BedToSize): number[] {
  return sizing.months.map((month) => {
    if (month.tanLoadGPerD === 0) return CLOSED_LOOP.backgroundMgL
    if (treatingM3 === 0 || flowM3PerH === 0) return Infinity
    return closedLoop({
      loadGPerD: month.tanLoadGPerD,
      flowM3PerH,
      bedVolumeM3: treatingM3,
      ratePerD: firstOrderRatePerD(bed.grainM, bed.porosity, month.tempC),
      ...CLOSED_LOOP,
    }).concentrationMgL
  })
}
