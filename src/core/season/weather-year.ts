import { normalDeviate, type Random } from '../numeric/random'
import { normalOn, type StationNormals } from './station'

export interface WeatherDay {
  readonly minAirC: number
  readonly maxAirC: number
  readonly humidityPercent: number
  readonly windMPerS: number
  readonly sunshineH: number
}

/** How a day's weather hangs on yesterday's, and how years differ. @source Richardson-type weather generators; persistence of daily mean temperature is usually 0.6–0.8 */
export const GENERATOR = { persistence: 0.72, yearSdC: 0.7, seasonSdC: 0.8, warmDayWidening: 0.35 } as const

const DAYS = 365

/**
 * One possible year of daily weather around a station's normals.
 * Daily mean departures follow an AR(1) process; the whole year and each quarter have a departure of their own.
 * @returns 365 days from 1 January
 */
export function weatherYear(station: StationNormals, random: Random): WeatherDay[] {
  const yearC = GENERATOR.yearSdC * normalDeviate(random)
  const seasonsC = Array.from({ length: 4 }, () => GENERATOR.seasonSdC * normalDeviate(random))
  const innovation = Math.sqrt(1 - GENERATOR.persistence ** 2)
  let departure = normalDeviate(random)
  return Array.from({ length: DAYS }, (_, i) => {
    const normal = normalOn(station, i + 1)
    departure = GENERATOR.persistence * departure + innovation * normalDeviate(random)
    const shift = yearC + seasonShift(seasonsC, i) + normal.sdC * departure
    const dullness = normalDeviate(random)
    const sunshineH = Math.max(0, normal.sunshineH * (1 + 0.4 * dullness))
    // clear days are wider between night and noon
    const widening = GENERATOR.warmDayWidening * dullness * ((normal.maxAirC - normal.minAirC) / 2) * 0.5
    return {
      minAirC: normal.minAirC + shift - widening,
      maxAirC: Math.max(normal.minAirC + shift - widening + 0.5, normal.maxAirC + shift + widening),
      humidityPercent: Math.min(99, Math.max(25, normal.humidityPercent - 6 * dullness)),
      windMPerS: Math.max(0.2, normal.windMPerS * (1 + 0.35 * normalDeviate(random))),
      sunshineH,
    }
  })
}

/** Quarter departures joined by straight lines so that no day jumps. */
function seasonShift(seasonsC: readonly number[], dayIndex: number): number {
  const position = (dayIndex / DAYS) * 4 - 0.5
  const below = ((Math.floor(position) % 4) + 4) % 4
  const share = position - Math.floor(position)
  return seasonsC[below] + (seasonsC[(below + 1) % 4] - seasonsC[below]) * share
}
