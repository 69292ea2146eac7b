import { addDays, daysBetween, yearOf, type IsoDate } from '../../src/core/numeric/calendar'
import { seededRandom } from '../../src/core/numeric/random'
import { plainDayOfYear } from '../../src/core/season/season-year'
import type { DatedWeather } from '../../src/core/season/weather-ahead'
import { weatherYear, type WeatherDay } from '../../src/core/season/weather-year'
import { STATIONS } from './stations'

const SEED = 90_210

/**
 * The weather that really comes on the island: the same for everyone who asks, any year, from a seed of the year's
 * own.
 */
const years = new Map<string, WeatherDay[]>()
function actualYear(stationId: string, year: number): WeatherDay[] {
  const key = `${stationId} ${year}`
  const known = years.get(key)
  if (known) return known
  // one seed for all stations, so that a cold spell is cold all over the island
  const made = weatherYear(STATIONS.find((s) => s.id === stationId)!.normals, seededRandom(SEED + year))
  years.set(key, made)
  return made
}

const rounded = (value: number): number => Number(value.toFixed(1))

/** Days from one date to another, both included. */
export function actualDays(stationId: string, from: IsoDate, to: IsoDate): DatedWeather[] {
  return Array.from({ length: Math.max(0, daysBetween(from, to) + 1) }, (_, i) => {
    const date = addDays(from, i)
    const day = actualYear(stationId, yearOf(date))[plainDayOfYear(date) - 1]!
    return {
      date,
      minAirC: rounded(day.minAirC),
      maxAirC: rounded(day.maxAirC),
      humidityPercent: Math.round(day.humidityPercent),
      windMPerS: rounded(day.windMPerS),
      sunshineH: rounded(day.sunshineH),
      rainMm: rounded(day.rainMm),
    }
  })
}
