import { bedAreaM2 } from '../bed/bed-geometry'
import type { FilterDesign } from '../design-input'
import { isInline, throughM3PerH } from '../train/train-unit'
import { workingSurfaceM2 } from '../train/media'
import type { Passed } from '../train/capture'
import { clearedM3PerD } from '../train/removal'
import { findRoot } from '../../numeric/root'
import { firstOrderRatePerD, workingStoneM2PerM3, type Nitrification } from './nitrification'
import { CLOSED_LOOP } from './recirculating-model'
import { carryFlowM3PerH, mostFlowM3PerH, type BedToSize } from './sizing'
import { stillTanMgL, type StillWater } from './still-water'
import type { FilterRules } from '../house-rules'
import type { YearSizing } from './yearly-sizing'

/** Media areas of the train are already net of what fouling takes; a usable share is not taken off again. */
export interface Treatment {
  readonly stoneM3: number
  /** Bed that would nitrify as much as the train's media, m³ of this stone. */
  readonly mediaAsBedM3: number
  readonly treatingM3: number
}

/** What nitrifies in a design: its stone, and the train's media as if they were stone. */
export function treatmentOf(
  design: FilterDesign,
  bed: BedToSize,
  units: readonly Passed[],
  nitrification: Nitrification,
): Treatment {
  const stoneM3 = design.type === 'none' ? 0 : bedAreaM2(design) * bed.depthM
  const mediaM2 = units.reduce((sum, passed) => sum + workingSurfaceM2(passed), 0)
  const mediaAsBedM3 = mediaM2 / workingStoneM2PerM3(bed, nitrification)
  return { stoneM3, mediaAsBedM3, treatingM3: stoneM3 + mediaAsBedM3 }
}

/** The water that is treated: what goes through the bed, and through each unit of the train. */
export interface TreatedWater {
  readonly pumpM3PerH: number
  readonly bedM3PerH: number
  readonly stoneM3: number
  readonly bed: BedToSize
  readonly units: readonly Passed[]
  readonly nitrification: Nitrification
}

/** The same with another flow of the pump. @param factor of the flow there was */
const scaledFlow = (water: TreatedWater, factor: number): TreatedWater => ({
  ...water,
  pumpM3PerH: water.pumpM3PerH * factor,
  bedM3PerH: water.bedM3PerH * factor,
  units: water.units.map((passed) => {
    if (!isInline(passed.unit)) return passed
    const lineM3PerH = passed.lineM3PerH * factor
    return { ...passed, lineM3PerH, flowM3PerH: throughM3PerH(passed.unit, lineM3PerH) }
  }),
})

/**
 * What bed and media free of TAN, m³ a day.
 * @param rate factor on all nitrification
 * @param flow factor on the pump's flow
 */
export const clearedBy = (water: TreatedWater, tempC: number, rate = 1, flow = 1) => {
  const { bedM3PerH, stoneM3, bed, units, pumpM3PerH, nitrification } = flow === 1 ? water : scaledFlow(water, flow)
  return clearedM3PerD(
    {
      flowM3PerH: bedM3PerH,
      stoneM3,
      rateAt: (at) => firstOrderRatePerD(nitrification, bed, at),
    },
    units,
    pumpM3PerH,
    { tempC, rate, nitrification },
  )
}

/**
 * TAN that the pond settles at month by month with this bed, train and flow, mg/L: C = C* + L/(what is cleared);
 * Infinity where fish are fed and nothing treats.
 * @param factors on nitrification and on the pump's flow, for bands
 */
export function monthlyTanMgL(sizing: YearSizing, water: TreatedWater, factors = { rate: 1, flow: 1 }): number[] {
  return sizing.months.map((month) => {
    if (month.tanLoadGPerD === 0) return CLOSED_LOOP.backgroundMgL
    const { totalM3PerD } = clearedBy(water, month.tempC, factors.rate, factors.flow)
    return totalM3PerD > 0 ? CLOSED_LOOP.backgroundMgL + month.tanLoadGPerD / totalM3PerD : Infinity
  })
}

/**
 * Least flow through the bed that holds the target in every month, m³/h; where none does, the most that is of use:
 * the bed is too small then, which a check of its own says.
 */
export function ammoniaFlow(sizing: YearSizing, water: TreatedWater, targetMgL: number): number {
  const mediaM2 = water.units.reduce((sum, passed) => sum + workingSurfaceM2(passed), 0)
  return Math.max(
    ...sizing.months.map(({ tanLoadGPerD, tempC }) => {
      const rate = firstOrderRatePerD(water.nitrification, water.bed, tempC)
      const most = mostFlowM3PerH(water.stoneM3, rate)
      const least =
        mediaM2 === 0
          ? carryFlowM3PerH(tanLoadGPerD, targetMgL, water.stoneM3, rate)
          : withMediaFlow(water, tanLoadGPerD, targetMgL, tempC, most)
      return least ?? most
    }),
  )
}

/** The same where media of the train help: the bed's flow at which all of them together clear the load. */
function withMediaFlow(
  water: TreatedWater,
  loadGPerD: number,
  targetMgL: number,
  tempC: number,
  mostM3PerH: number,
): number | null {
  const needM3PerD = loadGPerD / Math.max(targetMgL - CLOSED_LOOP.backgroundMgL, 1e-3)
  if (!(water.bedM3PerH > 0)) return null
  const excess = (factor: number) => clearedBy(water, tempC, 1, factor).totalM3PerD - needM3PerD
  const [low, high] = [1e-4, Math.max(1, mostM3PerH / water.bedM3PerH)]
  if (excess(low) >= 0) return low * water.bedM3PerH
  if (excess(high) < 0) return null
  return findRoot(excess, { low, high }, high * 1e-6).x * water.bedM3PerH
}

/** TAN by month of a pond without a bed: its own surfaces, what is changed by hand, and the media of its train. */
export const tanWithoutBed = (
  sizing: YearSizing,
  still: StillWater,
  exchangeM3PerD: number,
  water: TreatedWater,
  factors = { rate: 1, flow: 1 },
): number[] =>
  stillTanMgL(
    sizing.months.map((month) => ({ tempC: month.tempC, tanTotalGPerD: month.tanLoadGPerD })),
    { wettedM2: still.wettedM2 * factors.rate, exchangeM3PerD, nitrification: water.nitrification },
    (tanMgL, tempC) => clearedBy(water, tempC, factors.rate, factors.flow).totalM3PerD * tanMgL,
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
  { targetTanMgL, nitrification }: Pick<FilterRules, 'targetTanMgL' | 'nitrification'>,
  mostRemoval: number,
): { readonly bedM3: number | null; readonly flowM3PerH: number } {
  const room = Math.max(targetTanMgL - CLOSED_LOOP.backgroundMgL, 1e-3)
  const { tanks } = CLOSED_LOOP
  const most = Math.max(...sizing.months.map((month) => month.tanLoadGPerD))
  const least = most / (room * mostRemoval) / 24
  if (flowM3PerH < least) return { bedM3: null, flowM3PerH: least }
  const perMonth = sizing.months.map(({ tanLoadGPerD, tempC }) => {
    const eta = tanLoadGPerD / (flowM3PerH * 24 * room)
    const rate = firstOrderRatePerD(nitrification, bed, tempC)
    return ((tanks * flowM3PerH * 24) / rate) * ((1 - eta) ** (-1 / tanks) - 1)
  })
  return { bedM3: Math.max(...perMonth), flowM3PerH }
}
