import { DECEMBER_SOLSTICE, daylightHoursOnDay, JUNE_SOLSTICE } from './sun'
import type { WeatherDay } from './weather-year'

/** @source Delpierre et al. 2009, deciduous oak and beech */
const LEAF_FALL = { startDaylightH: 14.5, baseC: 28.5, power: 2 } as const
const DAYS = 365

/**
 * Day (first = 1) on which growing degree-days since the first day reach a sum; Infinity when they do not. Base 5 °C of
 * air. @param weather a season year, from the cold on
 */
export function degreeDayDate(weather: readonly WeatherDay[], sum: number, baseC = 5): number {
  let total = 0
  for (const [i, day] of weather.entries()) {
    total += Math.max(0, (day.minAirC + day.maxAirC) / 2 - baseC)
    if (total >= sum) return i + 1
  }
  return Infinity
}

/**
 * Day on which the main leaf fall sets in: from the day daylight falls below 14.5 h, (28.5 − T)² · (day length/14.5)²
 * adds up to a sum.
 * @param weather a season year, from the cold on
 * @param firstDay day of the year, 1..365, of its first day
 * @returns day of the season year (first = 1), or Infinity
 * @source Delpierre et al. 2009 (leaf colouring of deciduous trees)
 */
export function leafFallDay(
  weather: readonly WeatherDay[],
  latitudeDeg: number,
  chillSum: number,
  firstDay = 1,
): number {
  let total = 0
  const longest = latitudeDeg < 0 ? DECEMBER_SOLSTICE : JUNE_SOLSTICE
  for (let i = (longest - firstDay + 1 + DAYS) % DAYS; i < weather.length; i++) {
    const hours = daylightHoursOnDay(latitudeDeg, ((firstDay - 1 + i) % DAYS) + 1)
    if (hours >= LEAF_FALL.startDaylightH) continue
    const meanC = (weather[i]!.minAirC + weather[i]!.maxAirC) / 2
    if (meanC < LEAF_FALL.baseC)
      total += (LEAF_FALL.baseC - meanC) ** LEAF_FALL.power * (hours / LEAF_FALL.startDaylightH) ** 2
    if (total >= chillSum) return i + 1
  }
  return Infinity
}
