import { bedAreaM2 } from '../bed/bed-geometry'
import { closedLoop } from './recirculating-model'
import { mediaSurfaceM2 } from '../companions'
import type { FilterDesign } from '../design-input'
import { firstOrderRatePerD, NITRIFICATION, specificSurfaceM2PerM3 } from './nitrification'
import { carryFlowM3PerH, CLOSED_LOOP, mostFlowM3PerH, type BedToSize } from './sizing'
import { stillTanMgL, type StillWater } from './still-water'
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

/**
 * Least flow through a bed that holds the target in every month, m³/h; where none does, the most that is of use:
 * the bed is too small then, which a check of its own says.
 */
export function ammoniaFlow(sizing: YearSizing, treatingM3: number, bed: BedToSize, targetMgL: number): number {
  return Math.max(
    ...sizing.months.map(({ tanLoadGPerD, tempC }) => {
      const rate = firstOrderRatePerD(bed.grainM, bed.porosity, tempC)
      return carryFlowM3PerH(tanLoadGPerD, targetMgL, treatingM3, rate) ?? mostFlowM3PerH(treatingM3, rate)
    }),
  )
}

/** TAN by month of a pond without a bed: its own surfaces, what is changed by hand, and the media of its equipment. */
export const tanWithoutBed = (
  sizing: YearSizing,
  still: StillWater,
  exchangeM3PerD: number,
  flowM3PerH: number,
  { mediaAsBedM3 }: Treatment,
  bed: BedToSize,
): number[] =>
  stillTanMgL(
    sizing.months.map((month) => ({ tempC: month.tempC, tanTotalGPerD: month.tanLoadGPerD })),
    still.wettedM2,
    exchangeM3PerD,
    (tanMgL, tempC) => {
      if (mediaAsBedM3 === 0 || flowM3PerH === 0) return 0
      const { eta } = closedLoop({
        loadGPerD: 0,
        flowM3PerH,
        bedVolumeM3: mediaAsBedM3,
        ratePerD: firstOrderRatePerD(bed.grainM, bed.porosity, tempC),
        ...CLOSED_LOOP,
      })
      return eta * flowM3PerH * 24 * tanMgL
    },
  )

/**
 * Bed that holds the target in every month at a flow, m³ of treating stone; null where a pass would have to take more
 * than it can, and then the flow that it would have to be, m³/h.
 * @param mostRemoval share of what comes in that a pass may be asked to take
 */
export function nitrogenBedM3(
  sizing: YearSizing,
  flowM3PerH: number,
  bed: BedToSize,
  targetMgL: number,
  mostRemoval: number,
): { readonly bedM3: number | null; readonly flowM3PerH: number } {
  const room = Math.max(targetMgL - CLOSED_LOOP.backgroundMgL, 1e-3)
  const { tanks } = CLOSED_LOOP
  const most = Math.max(...sizing.months.map((month) => month.tanLoadGPerD))
  const least = most / (room * mostRemoval) / 24
  if (flowM3PerH < least) return { bedM3: null, flowM3PerH: least }
  const perMonth = sizing.months.map(({ tanLoadGPerD, tempC }) => {
    const eta = tanLoadGPerD / (flowM3PerH * 24 * room)
    const rate = firstOrderRatePerD(bed.grainM, bed.porosity, tempC)
    return ((tanks * flowM3PerH * 24) / rate) * ((1 - eta) ** (-1 / tanks) - 1)
  })
  return { bedM3: Math.max(...perMonth), flowM3PerH }
}
