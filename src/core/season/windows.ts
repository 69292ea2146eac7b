import { addDays, daysBetween, type IsoDate } from '../numeric/calendar'
import { quantileOfSorted } from '../statistics/quantile'
import { seededRandom } from '../numeric/random'
import { WINDOW_JOBS, type SeasonRules } from './house-rules'
import { assertStation, dailyNormals, normalsAtHeight, type StationNormals } from './station'
import { drawThermalPond, type ThermalSpread } from './thermal-spread'
import { waterTemperatures, type ThermalPond, type WaterDay } from './water-temperature'
import {
  firstDayOf,
  inCalendarOrder,
  leapDayOf,
  plainDayOfYear,
  SEASON_DAYS,
  seasonBegins,
  seasonDate,
  seasonFromOf,
  type SeasonFrom,
} from './season-year'
import { yearTurns } from './turns'
import { possibleWeather, type KnownWeather } from './weather-ahead'
import { weatherYear, type WeatherDay } from './weather-year'
import { windowOf, type JobWindow } from './job-window'
import { PossibleYear, type SeasonClock } from './possible-year'
import { DAYS } from './window-rules'

export interface SeasonPond extends Omit<ThermalPond, 'latitudeDeg'> {
  readonly altitudeM: number
}

export interface SeasonInput {
  readonly pond: SeasonPond
  readonly station: StationNormals
  readonly rules: SeasonRules
  /** Calendar year in which the season year begins. */
  readonly year: number
  readonly weatherYears?: number
  readonly seed?: number
  /** What is not known of the pond: every year is another pond that it may be. Left out: the pond is as given. */
  readonly spread?: ThermalSpread
  /** What is known of this year's weather, at the site's height; without it the year is any year. */
  readonly known?: KnownWeather
  /** The newest water reading: the model goes on from it. */
  readonly reading?: { readonly date: IsoDate; readonly waterC: number }
}

interface DayBand {
  readonly p10: number
  readonly p50: number
  readonly p90: number
}

export interface Season {
  /** Month on whose first the season year begins. */
  readonly from: SeasonFrom
  /** 365 days in the order of the calendar, 1 January first, °C; 29 February is left out. */
  readonly waterC: readonly DayBand[]
  readonly iceChance: readonly number[]
  readonly monthlyMedianC: readonly number[]
  readonly windows: readonly JobWindow[]
  readonly weatherYears: number
}

/** So many that no seed moves a turn by more than a few days. */
export const DEFAULT_WEATHER_YEARS = 200
/**
 * A pond's year: water temperature with its 10/50/90 % band and the windows of the year's jobs, from many possible
 * weather years.
 * @returns bands for 365 days from 1 January, and one window per job that can occur at this site (jobs that cannot
 * are left out)
 * @throws {DomainError} station or pond figures out of range
 */
export function pondSeason(input: SeasonInput): Season {
  assertStation(input.station)
  const { weatherYears = DEFAULT_WEATHER_YEARS, seed = 1 } = input
  const station = normalsAtHeight(input.station, input.pond.altitudeM)
  const thermal: ThermalPond = { ...input.pond, latitudeDeg: station.latitudeDeg }
  const from = seasonFromOf(station)
  const firstDay = firstDayOf(from)
  const { warmestFrom, turns } = yearTurns(station)
  const warmAt = (warmestFrom - firstDay + SEASON_DAYS) % SEASON_DAYS
  const clock: SeasonClock = { latitudeDeg: station.latitudeDeg, firstDay, warmAt, turns }
  const asYear = ({ weather, water }: Days) => new PossibleYear(weather, water, clock, input.rules)
  const pondRandom = seededRandom(seed + POND_SEED)
  const pondOf = () => (input.spread ? drawThermalPond(thermal, input.spread, pondRandom) : thermal)
  const years = input.known
    ? thisYear(input.known, station, { ...input, from }, weatherYears, seed).map((year) => asYear(year(pondOf())))
    : possibleYears(station, weatherYears, seed, firstDay).map((weather) =>
        asYear({ weather, water: anyWater(weather, pondOf(), firstDay) }),
      )
  const days = <Of>(of: (i: number) => Of): Of[] =>
    inCalendarOrder(
      Array.from({ length: DAYS }, (_, i) => of(i)),
      from,
    )
  const ofDay = new Float64Array(years.length)
  const all = days((i) => {
    let frozen = 0
    for (let y = 0; y < years.length; y++) {
      const { waterC, iceM } = years[y]!.water[i]!
      ofDay[y] = waterC
      if (iceM > 0) frozen++
    }
    return { band: band(ofDay), iceChance: frozen / years.length }
  })
  const waterC = all.map((day) => day.band)
  const setting = { rules: input.rules, clock, dateOf: (i: number) => seasonDate(input.year, from, i), days }
  return {
    from,
    waterC,
    iceChance: all.map((day) => day.iceChance),
    monthlyMedianC: monthly(waterC.map((b) => b.p50)),
    windows: WINDOW_JOBS.flatMap((job) => windowOf(job, years, setting)),
    weatherYears,
  }
}

const POND_SEED = 60_013

/** The days of one way a year may go. */
type Days = Pick<PossibleYear, 'weather' | 'water'>

/** Years drawn last, by station and seed: all ponds at a height meet the same. */
const drawn = new Map<string, WeatherDay[][]>()
const KEPT_DRAWS = 6

function possibleYears(
  station: StationNormals,
  count: number,
  seed: number,
  firstDay: number,
): readonly WeatherDay[][] {
  return keptDraw(JSON.stringify([station, count, seed, firstDay]), () => {
    const random = seededRandom(seed)
    const normals = dailyNormals(station)
    return Array.from({ length: count }, () => weatherYear(station, random, normals, firstDay))
  })
}

function keptDraw(key: string, draw: () => WeatherDay[][]): readonly WeatherDay[][] {
  const years = drawn.get(key) ?? draw()
  // the last that was asked for is the last to go
  drawn.delete(key)
  drawn.set(key, years)
  if (drawn.size > KEPT_DRAWS) drawn.delete(drawn.keys().next().value!)
  return years
}

/** The end of the year is run first so that it begins with the ice and chill that the one before left. */
function anyWater(weather: readonly WeatherDay[], pond: ThermalPond, firstDay: number): WaterDay[] {
  const runInFrom = ((firstDay - 1 - RUN_IN_DAYS + DAYS) % DAYS) + 1
  const before = waterTemperatures(weather.slice(-RUN_IN_DAYS), pond, { waterC: 8, iceM: 0 }, runInFrom)
  return waterTemperatures(weather, pond, before.at(-1)!, firstDay)
}

/** How much of a reading the modelled water takes over: a spot in a pond is not its mean. @source house default */
const READING_WEIGHT = 0.7
/** Days run before the season year so that it begins with the right chill. */
const RUN_IN_DAYS = 75

/**
 * This year as far as it is known, and likely ways on, for a pond each. A 29 February is run through and left out.
 */
function thisYear(
  known: KnownWeather,
  station: StationNormals,
  { year, reading, from: month }: SeasonInput & { readonly from: SeasonFrom },
  count: number,
  seed: number,
): ((pond: ThermalPond) => Days)[] {
  const begins = seasonBegins(year, month)
  const from = addDays(begins, -RUN_IN_DAYS)
  const days = RUN_IN_DAYS + daysBetween(begins, seasonBegins(year + 1, month))
  const readAt = reading ? daysBetween(from, reading.date) : -1
  const startDay = plainDayOfYear(from)
  const leap = leapDayOf(year, month)
  const plain = <Day>(all: readonly Day[]) =>
    all.filter((_, i) => i >= RUN_IN_DAYS && (leap < 0 || i !== RUN_IN_DAYS + leap))
  const weathers = keptDraw(JSON.stringify([known, station, from, days, count, seed]), () => {
    const random = seededRandom(seed)
    const drawWeather = possibleWeather(known, station, from, days)
    return Array.from({ length: count }, () => drawWeather(random))
  })
  return weathers.map((weather) => (pond) => {
    const start: WaterDay = { waterC: Math.max(0, (weather[0]!.minAirC + weather[0]!.maxAirC) / 2), iceM: 0 }
    let water = waterTemperatures(weather, pond, start, startDay)
    if (reading && readAt >= 0 && readAt < days - 1) {
      const there = water[readAt]!
      const met: WaterDay = {
        waterC: there.waterC + READING_WEIGHT * (reading.waterC - there.waterC),
        iceM: reading.waterC > 2 ? 0 : there.iceM,
      }
      water = [
        ...water.slice(0, readAt),
        met,
        ...waterTemperatures(weather.slice(readAt + 1), pond, met, plainDayOfYear(addDays(reading.date, 1))),
      ]
    }
    return { weather: plain(weather), water: plain(water) }
  })
}

/** Band of a figure of a day over all years. @param figures one for each year; sorted in place */
const band = (figures: Float64Array): DayBand => {
  figures.sort()
  return {
    p10: quantileOfSorted(figures, 0.1),
    p50: quantileOfSorted(figures, 0.5),
    p90: quantileOfSorted(figures, 0.9),
  }
}

function monthly(daily: readonly number[]): number[] {
  const lengths = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31]
  let start = 0
  return lengths.map((length) => {
    const days = daily.slice(start, (start += length))
    return days.reduce((sum, value) => sum + value, 0) / length
  })
}
