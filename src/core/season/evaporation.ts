import { assertInRange, DomainError } from '../errors'
import { dayOfYear, type IsoDate } from '../numeric/calendar'
import { extraterrestrialMJ, solarFromSunshineMJ } from './sun'

export interface EvaporationDay {
  readonly date: IsoDate
  readonly latitudeDeg: number
  readonly minAirC: number
  readonly maxAirC: number
  readonly humidityPercent: number
  /** At 2 m. */
  readonly windMPerS: number
  /** Give one of the two. */
  readonly sunshineH?: number
  readonly solarMJPerM2?: number
  readonly altitudeM: number
}

const WATER_ALBEDO = 0.08 // Penman 1948; Shuttleworth 1993
const STEFAN_BOLTZMANN_MJ = 4.903e-9 // MJ/K⁴/m²/d

/** Saturation vapour pressure, kPa. @source Tetens, FAO-56 eq. 11 */
export const saturationVapourKPa = (tempC: number): number => 0.6108 * Math.exp((17.27 * tempC) / (tempC + 237.3))

/**
 * Evaporation from open water, mm/d: Penman's combination with an open-water albedo and Penman's wind function.
 * E = [Δ·Rn/λ + γ·6.43(1 + 0.536·u)·(es − ea)/λ] / (Δ + γ)
 * @returns mm/d, never below 0
 * @throws {DomainError} a figure out of range, or neither sunshine nor radiation given
 * @source Penman 1948 in the form of Shuttleworth 1993; radiation terms as FAO-56 with albedo 0.08
 */
export function openWaterEvaporationMmPerD(day: EvaporationDay): number {
  return openWaterEvaporationOnDay(day, dayOfYear(day.date))
}

/** The same by day of the year, 1 on 1 January. */
export function openWaterEvaporationOnDay(day: Omit<EvaporationDay, 'date'>, n: number): number {
  assertInRange('latitudeDeg', day.latitudeDeg, [-90, 90])
  assertInRange('minAirC', day.minAirC, [-50, 50])
  assertInRange('maxAirC', day.maxAirC, [day.minAirC, 60])
  assertInRange('humidityPercent', day.humidityPercent, [1, 100])
  assertInRange('windMPerS', day.windMPerS, [0, 40])
  assertInRange('altitudeM', day.altitudeM, [-400, 5000])
  const solar = solarMJ(day, n)
  const meanC = (day.minAirC + day.maxAirC) / 2
  const es = (saturationVapourKPa(day.minAirC) + saturationVapourKPa(day.maxAirC)) / 2
  const ea = (es * day.humidityPercent) / 100
  const pressureKPa = 101.3 * ((293 - 0.0065 * day.altitudeM) / 293) ** 5.26
  const gamma = 0.665e-3 * pressureKPa
  const delta = (4098 * saturationVapourKPa(meanC)) / (meanC + 237.3) ** 2
  const latentMJPerKg = 2.501 - 0.002361 * meanC
  const clearSky = (0.75 + 2e-5 * day.altitudeM) * extraterrestrialMJ(day.latitudeDeg, n)
  const cloudFactor = 1.35 * Math.min(1, Math.max(0.3, clearSky > 0 ? solar / clearSky : 0.5)) - 0.35
  const meanT4 = ((day.maxAirC + 273.16) ** 4 + (day.minAirC + 273.16) ** 4) / 2
  const longwave = STEFAN_BOLTZMANN_MJ * meanT4 * (0.34 - 0.14 * Math.sqrt(ea)) * cloudFactor
  const netMJ = (1 - WATER_ALBEDO) * solar - longwave
  const drying = gamma * 6.43 * (1 + 0.536 * day.windMPerS) * (es - ea)
  return Math.max(0, (delta * netMJ + drying) / (latentMJPerKg * (delta + gamma)))
}

function solarMJ(day: Omit<EvaporationDay, 'date'>, dayNumber: number): number {
  if (day.solarMJPerM2 !== undefined) {
    assertInRange('solarMJPerM2', day.solarMJPerM2, [0, 45])
    return day.solarMJPerM2
  }
  if (day.sunshineH === undefined) throw new DomainError('sunshineH', 'nothing', 'given, unless solar radiation is')
  assertInRange('sunshineH', day.sunshineH, [0, 24])
  return solarFromSunshineMJ(day.latitudeDeg, dayNumber, day.sunshineH)
}
