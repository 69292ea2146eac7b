import { assertInRange } from '../errors'
import type { DesignPond, FilterDesign } from './design-input'

/**
 * Bulk heat exchange of an open water surface with the air, W/m²/K.
 * @source Edinger, Brady & Geyer 1974, range 15–40, calm garden site
 */
const SURFACE_W_PER_M2_K = 20
/** Size over the coldest month's mean, for a cold snap. @source house default */
const SNAP_FACTOR = 1.5
/** Most that water may be warmed in one pass. @source usual limit of small heat exchangers */
const MAX_RISE_K = 4
const WATER_KWH_PER_M3_K = 1.163
const DAYS_PER_MONTH = 365 / 12

/** Output that a design's heater is bought with, kW; 0 unheated. */
export const heaterKw = (
  { heatToC }: Pick<FilterDesign, 'heatToC'>,
  pond: Pick<DesignPond, 'areaM2' | 'monthlyTempC'>,
): number => (heatToC === null ? 0 : heating(pond, heatToC).sizeKw)

export const HEAT_RANGE_C = [4, 30] as const

export interface Heating {
  /** Output that holds the pond in the coldest month with a margin for a snap, kW. */
  readonly sizeKw: number
  readonly kWhPerYear: number
  readonly byMonthKWh: readonly number[]
  /** Flow that must pass the heater so that no pass warms more than it should, m³/h. */
  readonly flowM3PerH: number
}

/**
 * Heat that holds a pond at least at a temperature, against what it would be by itself month by month.
 * @param heatToC least water temperature, °C
 * @throws {DomainError} outside HEAT_RANGE_C
 * @source surface exchange coefficient against the pond's own expected temperature
 */
export function heating(pond: Pick<DesignPond, 'areaM2' | 'monthlyTempC'>, heatToC: number): Heating {
  assertInRange('heatToC', heatToC, HEAT_RANGE_C)
  const meanKw = pond.monthlyTempC.map(
    (tempC) => (SURFACE_W_PER_M2_K * pond.areaM2 * Math.max(0, heatToC - tempC)) / 1000,
  )
  const byMonthKWh = meanKw.map((kw) => kw * 24 * DAYS_PER_MONTH)
  const sizeKw = Math.max(...meanKw) * SNAP_FACTOR
  return {
    sizeKw,
    byMonthKWh,
    kWhPerYear: byMonthKWh.reduce((a, b) => a + b, 0),
    flowM3PerH: sizeKw / (WATER_KWH_PER_M3_K * MAX_RISE_K),
  }
}
