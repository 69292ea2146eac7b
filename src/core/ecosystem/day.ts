import { openWaterEvaporationOnDay } from '../season/evaporation'
import { daylightHoursOnDay, DECEMBER_SOLSTICE, JUNE_SOLSTICE, solarFromSunshineMJ } from '../season/sun'
import { absorbedSolarW, dewPointC } from '../season/water-temperature'
import type { WeatherDay } from '../season/weather-year'
import type { EcoPond } from './pond'

/** One day as the hours need it. */
export interface EcoDay {
  readonly dayOfYear: number
  readonly dayLengthH: number
  readonly daysShorten: boolean
  readonly meanAirC: number
  readonly halfRangeC: number
  readonly dewC: number
  readonly windMPerS: number
  /** Mean of the day, W/m²: taken in as heat, and photosynthetic light under the surface. */
  readonly solarW: number
  readonly lightW: number
  readonly evaporationMm: number
  readonly rainMm: number
  /** Dry leaves that fall toward the pond, g. */
  readonly leavesG: number
}

/** Part of sunlight that plants use. @source 0.45 of global radiation, usual */
const PAR_SHARE = 0.45
const WATER_ALBEDO = 0.08
/**
 * When leaves fall: most around so many days after the longest day with a spread, some all year.
 * @source temperate broadleaf litter, rounded
 */
const LEAF_FALL = { afterLongestDay: 128, spreadDays: 14, inAutumn: 0.85 } as const
const DAYS = 365

/** Astronomy and long names of a day worked out once. @param dayOfYear 1..365 */
export function ecoDay(pond: EcoPond, weather: WeatherDay, dayOfYear: number): EcoDay {
  const meanAirC = (weather.minAirC + weather.maxAirC) / 2 + (pond.airOffsetC ?? 0)
  const solarMJ = solarFromSunshineMJ(pond.latitudeDeg, dayOfYear, weather.sunshineH)
  const solarW = absorbedSolarW(pond, solarMJ)
  const longest = pond.latitudeDeg < 0 ? DECEMBER_SOLSTICE : JUNE_SOLSTICE
  /** Days since the longest day, 0..364. */
  const since = (dayOfYear - longest + DAYS) % DAYS
  const fall =
    Math.exp(-0.5 * ((since - LEAF_FALL.afterLongestDay) / LEAF_FALL.spreadDays) ** 2) /
    (LEAF_FALL.spreadDays * Math.sqrt(2 * Math.PI))
  return {
    dayOfYear,
    dayLengthH: daylightHoursOnDay(pond.latitudeDeg, dayOfYear),
    daysShorten: since > 0 && since < DECEMBER_SOLSTICE - JUNE_SOLSTICE,
    meanAirC,
    halfRangeC: (weather.maxAirC - weather.minAirC) / 2,
    dewC: dewPointC(meanAirC, weather.humidityPercent),
    windMPerS: weather.windMPerS * pond.windShare,
    solarW,
    lightW: (PAR_SHARE * (1 - WATER_ALBEDO) * (1 - pond.shade) * solarMJ) / 0.0864,
    evaporationMm: openWaterEvaporationOnDay(
      {
        latitudeDeg: pond.latitudeDeg,
        minAirC: weather.minAirC,
        maxAirC: weather.maxAirC,
        humidityPercent: weather.humidityPercent,
        windMPerS: weather.windMPerS * pond.windShare,
        sunshineH: weather.sunshineH * (1 - pond.shade),
        altitudeM: pond.altitudeM,
      },
      dayOfYear,
    ),
    rainMm: weather.rainMm,
    leavesG: pond.leafKgPerYear * 1000 * (LEAF_FALL.inAutumn * fall + (1 - LEAF_FALL.inAutumn) / 365),
  }
}

/** Sun at an hour as a multiple of the day's mean. @param hour middle of the hour, 0..24 local solar time */
export function sunAt(day: EcoDay, hour: number): number {
  const fromRise = hour - (12 - day.dayLengthH / 2)
  if (fromRise <= 0 || fromRise >= day.dayLengthH) return 0
  return ((12 * Math.PI) / day.dayLengthH) * Math.sin((Math.PI * fromRise) / day.dayLengthH)
}

/** Air at an hour, °C: warmest at three in the afternoon. */
export const airAt = (day: EcoDay, hour: number): number =>
  day.meanAirC + day.halfRangeC * Math.cos((2 * Math.PI * (hour - 15)) / 24)
