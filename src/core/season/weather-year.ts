import { normalDeviate, type Random } from '../numeric/random'
import { dailyNormals, type MonthNormal, type StationNormals } from './station'

export interface WeatherDay {
  readonly minAirC: number
  readonly maxAirC: number
  readonly humidityPercent: number
  readonly windMPerS: number
  readonly sunshineH: number
  readonly rainMm: number
}

/**
 * How a day's weather hangs on yesterday's, and how years differ.
 * @source Richardson-type weather generators; persistence of daily mean temperature is usually 0.6–0.8
 */
const GENERATOR = { persistence: 0.72, yearSdC: 0.7, seasonSdC: 0.8, warmDayWidening: 0.35 } as const
/**
 * Wet and dry days as a two-state chain.
 * @source Richardson 1981; rain on a wet day exponential with the month's mean
 */
const RAIN = { mmPerWetDay: 6, maxWetShare: 0.7, persistence: 0.3, dullness: 0.8 } as const

const DAYS = 365

/** What a run of days is drawn from: the departures of its year and quarters, and where yesterday stood. */
export interface WeatherWalk {
  /** Normals of the days 1..365. */
  readonly normals: readonly MonthNormal[]
  readonly random: Random
  readonly yearC: number
  readonly seasonsC: readonly number[]
  /** Day of the year, 1..365, from which the quarters count. */
  readonly firstDay: number
  /** Yesterday's departure from the normal in standard deviations. */
  departure: number
  wet: boolean
}

/**
 * Begins a run of possible weather; the departures of the year and its quarters are drawn once.
 * @param firstDay day of the year, 1..365, with which the run's year begins
 */
export function startWalk(normals: readonly MonthNormal[], random: Random, firstDay = 1): WeatherWalk {
  const yearC = GENERATOR.yearSdC * normalDeviate(random)
  const seasonsC = Array.from({ length: 4 }, () => GENERATOR.seasonSdC * normalDeviate(random))
  const departure = normalDeviate(random)
  const wet = random() < wetShare(normals[firstDay - 1]!)
  return { normals, random, yearC, seasonsC, firstDay, departure, wet }
}

/**
 * The next day of a run. Daily mean departures follow an AR(1) process around normal, year and quarter; rain follows
 * a wet/dry chain.
 * @param dayOfYear 1..365
 */
export function nextWeather(walk: WeatherWalk, dayOfYear: number): WeatherDay {
  const { random } = walk
  const normal = walk.normals[dayOfYear - 1]!
  walk.departure =
    GENERATOR.persistence * walk.departure + Math.sqrt(1 - GENERATOR.persistence ** 2) * normalDeviate(random)
  const share = wetShare(normal)
  walk.wet = random() < (walk.wet ? share + RAIN.persistence * (1 - share) : share * (1 - RAIN.persistence))
  const shift =
    walk.yearC + seasonShift(walk.seasonsC, (dayOfYear - walk.firstDay + DAYS) % DAYS) + normal.sdC * walk.departure
  // wet days are dull; the mean over wet and dry days stays zero
  const clearness = normalDeviate(random) * 0.9 + RAIN.dullness * (walk.wet ? share - 1 : share)
  // clear days are wider between night and noon
  const widening = GENERATOR.warmDayWidening * clearness * ((normal.maxAirC - normal.minAirC) / 2) * 0.5
  const minAirC = normal.minAirC + shift - widening
  const mmPerWetDay = normal.rainMm / (share * 30.4)
  return {
    minAirC,
    maxAirC: Math.max(minAirC + 0.5, normal.maxAirC + shift + widening),
    humidityPercent: Math.min(99, Math.max(25, normal.humidityPercent - 6 * clearness)),
    windMPerS: Math.max(0.2, normal.windMPerS * (1 + 0.35 * normalDeviate(random))),
    sunshineH: Math.max(0, normal.sunshineH * (1 + 0.4 * clearness)),
    rainMm: walk.wet ? -mmPerWetDay * Math.log(1 - random()) : 0,
  }
}

/**
 * One possible year of daily weather around a station's normals.
 * @param normals the station's days 1..365, handed in where many years are drawn
 * @param firstDay day of the year with which it begins
 * @returns 365 days from that day on
 */
export function weatherYear(
  station: StationNormals,
  random: Random,
  normals: readonly MonthNormal[] = dailyNormals(station),
  firstDay = 1,
): WeatherDay[] {
  const walk = startWalk(normals, random, firstDay)
  return Array.from({ length: DAYS }, (_, i) => nextWeather(walk, ((firstDay - 1 + i) % DAYS) + 1))
}

/** Share of wet days that a month's rain makes likely. */
const wetShare = (normal: MonthNormal): number =>
  Math.min(RAIN.maxWetShare, Math.max(0.02, normal.rainMm / 30.4 / RAIN.mmPerWetDay))

/** Quarter departures joined by straight lines so that no day jumps. */
function seasonShift(seasonsC: readonly number[], dayIndex: number): number {
  const position = (dayIndex / DAYS) * 4 - 0.5
  const below = ((Math.floor(position) % 4) + 4) % 4
  const share = position - Math.floor(position)
  return seasonsC[below]! + (seasonsC[(below + 1) % 4]! - seasonsC[below]!) * share
}
