import { assertInRange } from '../errors'
import { saturationVapourKPa } from './evaporation'
import { solarFromSunshineMJ } from './sun'
import type { WeatherDay } from './weather-year'

/** What makes one pond warmer or slower than another. */
export interface ThermalPond {
  readonly latitudeDeg: number
  readonly meanDepthM: number
  /** Share of the sun that trees and walls keep off, 0..0.95. */
  readonly shade: number
  /** Share of the station's wind that reaches the water, 0.1..1. */
  readonly windShare: number
  /** How much warmer than the station the air at the pond is, °C; a walled court or a frost hollow. */
  readonly airOffsetC?: number
  /** Depth that takes part, as a share of the mean depth: a deep cold layer does not, a warm floor does. */
  readonly depthShare?: number
}

export interface WaterDay {
  readonly waterC: number
  readonly iceM: number
}

const WATER_HEAT_MJ = 4.186 // MJ/m³/K
const ICE_LATENT_MJ = 306 // MJ/m³ of ice
/**
 * Of ice with the snow that usually lies on it, W/m/K; black ice alone is 2.2.
 * @source Stefan growth of 2.1 cm per root of a freezing degree day, an average lake with snow (Michel 1971)
 */
const ICE_CONDUCTIVITY = 0.8
/** Heat that the ground gives the water under ice, W/m². @source usual of small lakes in winter, 1–5 W/m² */
const GROUND_HEAT_W = 3
/** Sun that ice and snow take in, as a share of what open water does. @source albedo about 0.5 */
const SUN_ON_ICE = 0.55
const W_TO_MJ_PER_DAY = 0.0864
const WATER_ALBEDO = 0.08
/**
 * Radiation lost to the sky beyond the linear term, W/m². Keeps clear winter nights cold.
 * @source longwave balance of FAO-56 at mean cloud, rounded
 */
const SKY_LOSS_W = 40
/**
 * How much more heat a small pond with falls and a bed gives off than the still lake of the coefficient.
 * @source set so that open water stands 2–4 °C above the mean air of May to July, as ponds do
 */
const MOVING_WATER = 1.45
/** Summer heat held in the bed and walls below adds to the water's own. */
const GROUND_EXTRA_DEPTH_M = 0.15

/**
 * Surface exchange coefficient, W/m²/K: 4.5 + 0.05 T + (β + 0.47)·f(W), f(W) = 9.2 + 0.46 W².
 * @source Edinger, Brady & Geyer 1974
 */
export function exchangeWPerM2K(waterC: number, dewPointC: number, windMPerS: number): number {
  const mid = (waterC + dewPointC) / 2
  const beta = 0.35 + 0.015 * mid + 0.0012 * mid * mid
  const wind = 9.2 + 0.46 * windMPerS ** 2
  return 4.5 + 0.05 * waterC + (beta + 0.47) * wind
}

/** Temperature at which air of a humidity would drip, °C. @source inverse of Tetens */
export function dewPointC(meanAirC: number, humidityPercent: number): number {
  const x = Math.log(Math.max(1e-3, (saturationVapourKPa(meanAirC) * humidityPercent) / 100) / 0.6108)
  return (237.3 * x) / (17.27 - x)
}

/**
 * Water temperature and ice day by day by the equilibrium-temperature method, dT/dt = K(T_e − T)/(ρ c h).
 * T_e solves the linearised heat balance of sun, sky, air and evaporation. Below 0 °C further loss freezes water
 * (latent heat), and the ice slows the loss.
 * @param startDay day of the year of the first weather day (1 = 1 January)
 * @source Edinger, Brady & Geyer 1974; Stefan ice growth
 */
export function waterTemperatures(
  weather: readonly WeatherDay[],
  pond: ThermalPond,
  start: WaterDay,
  startDay = 1,
): WaterDay[] {
  assertInRange('meanDepthM', pond.meanDepthM, [0.02, 20])
  assertInRange('shade', pond.shade, [0, 0.95])
  assertInRange('windShare', pond.windShare, [0.05, 1.5])
  const capacity = heatCapacityMJPerK(pond)
  let state = start
  return weather.map((day, i) => (state = nextDay(state, day, pond, capacity, ((startDay + i - 1) % 365) + 1)))
}

function nextDay(
  state: WaterDay,
  day: WeatherDay,
  pond: ThermalPond,
  capacityMJPerK: number,
  dayOfYear: number,
): WaterDay {
  const airC = (day.minAirC + day.maxAirC) / 2 + (pond.airOffsetC ?? 0)
  const air = {
    airC,
    dewC: dewPointC(airC, day.humidityPercent),
    windMPerS: day.windMPerS * pond.windShare,
    solarW: absorbedSolarW(pond, solarFromSunshineMJ(pond.latitudeDeg, dayOfYear, day.sunshineH)),
  }
  return heatStep(state, air, capacityMJPerK, 1)
}

/** Heat that takes part per °C, MJ per m² of surface: the water's and the ground's. */
export const heatCapacityMJPerK = (pond: ThermalPond): number =>
  WATER_HEAT_MJ * (pond.meanDepthM * (pond.depthShare ?? 1) + GROUND_EXTRA_DEPTH_M)

/** Sun that the water takes in, mean W/m² over the day, from a day's radiation on open ground, MJ/m². */
export const absorbedSolarW = (pond: ThermalPond, solarMJ: number): number =>
  (solarMJ * (1 - pond.shade) * (1 - WATER_ALBEDO)) / W_TO_MJ_PER_DAY

/** Air over a pond in one step. */
export interface AirOverWater {
  readonly airC: number
  readonly dewC: number
  readonly windMPerS: number
  /** Sun taken in, W/m². */
  readonly solarW: number
}

/** Water and ice some time on under air that stays the same. @param days length of the step */
export function heatStep(state: WaterDay, air: AirOverWater, capacityMJPerK: number, days: number): WaterDay {
  const open = exchangeWPerM2K(state.waterC, air.dewC, air.windMPerS)
  if (state.iceM > 0) return onIce(state, air, open, capacityMJPerK, days)
  // evaporation pulls toward the dew point, convection and longwave toward the air
  const pullC = 0.55 * air.airC + 0.45 * air.dewC
  const exchange = MOVING_WATER * open
  const equilibriumC = pullC + (air.solarW - SKY_LOSS_W) / exchange
  const decay = Math.exp(-(exchange * W_TO_MJ_PER_DAY * days) / capacityMJPerK)
  const waterC = equilibriumC + (state.waterC - equilibriumC) * decay
  if (waterC >= 0) return { waterC, iceM: 0 }
  return { waterC: 0, iceM: (-waterC * capacityMJPerK) / ICE_LATENT_MJ }
}

/** Ice: nothing evaporates to speak of, the ground warms it from below, and it ends at the floor. */
function onIce(state: WaterDay, air: AirOverWater, openW: number, capacityMJPerK: number, days: number): WaterDay {
  const surfaceC = air.airC + (SUN_ON_ICE * air.solarW - SKY_LOSS_W) / openW
  const throughIce = 1 / (1 / openW + state.iceM / ICE_CONDUCTIVITY)
  const meltsW = (surfaceC < 0 ? throughIce : openW) * surfaceC + GROUND_HEAT_W
  const deepestM = capacityMJPerK / WATER_HEAT_MJ - GROUND_EXTRA_DEPTH_M
  const iceM = Math.min(deepestM, state.iceM - (meltsW * W_TO_MJ_PER_DAY * days) / ICE_LATENT_MJ)
  if (iceM > 0) return { waterC: 0, iceM }
  return { waterC: (-iceM * ICE_LATENT_MJ) / capacityMJPerK, iceM: 0 }
}
