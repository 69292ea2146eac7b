import { addDays, type IsoDate } from '../numeric/calendar'
import { quantileOfSorted } from '../numeric/quantile'
import { seededRandom } from '../numeric/random'
import { degreeDayDate, leafFallDay } from './phenology'
import { WINDOW_JOBS, type SeasonPractice, type WindowJob } from './practice'
import { assertStation, normalsAtHeight, type StationNormals } from './station'
import { waterTemperatures, type ThermalPond, type WaterDay } from './water-temperature'
import { weatherYear, type WeatherDay } from './weather-year'

export interface SeasonPond extends Omit<ThermalPond, 'latitudeDeg'> {
  readonly altitudeM: number
}

export interface SeasonInput {
  readonly pond: SeasonPond
  readonly station: StationNormals
  readonly practice: SeasonPractice
  /** Calendar year the dates fall in. */
  readonly year: number
  readonly weatherYears?: number
  readonly seed?: number
}

export interface DayBand {
  readonly p10: number
  readonly p50: number
  readonly p90: number
}

export interface JobWindow {
  readonly job: WindowJob
  /** 'span': conditions hold on a day. 'turn': something has come to pass by a day. */
  readonly kind: 'span' | 'turn'
  readonly earliest: IsoDate
  readonly best: IsoDate
  readonly latest: IsoDate
  /** Share of weather years in which the conditions hold (span) or the turn has come (turn), for each of 365 days. */
  readonly likelihood: readonly number[]
  /** Median figures at the best day, for "why then?". */
  readonly why: { readonly waterC: number; readonly minAirC: number; readonly likelihood: number; readonly median: number }
}

export interface Season {
  /** 365 days from 1 January, °C. */
  readonly waterC: readonly DayBand[]
  readonly iceChance: readonly number[]
  readonly monthlyMedianC: readonly number[]
  readonly windows: readonly JobWindow[]
  readonly weatherYears: number
}

/** 29 February is left out: the year here has 365 days, counted from 1 January. */
export const dayToDate = (year: number, day: number): IsoDate => {
  const date = addDays(`${year}-01-01`, day - 1)
  const leap = addDays(`${year}-02-28`, 1).endsWith('-29')
  return leap && day > 59 ? addDays(date, 1) : date
}

const DAYS = 365
export const DEFAULT_WEATHER_YEARS = 30
/** A window is open while at least this share of years allows the job. */
const OPEN_SHARE = 0.3

interface PossibleYear {
  readonly weather: readonly WeatherDay[]
  readonly water: readonly WaterDay[]
}

/**
 * A pond's year: water temperature with its 10/50/90 % band and the windows of the year's jobs, from many possible weather years.
 * @returns bands for 365 days from 1 January, and one window per job that can occur at this site (jobs that cannot are left out)
 * @throws {DomainError} station or pond figures out of range
 */
export function pondSeason(input: SeasonInput): Season {
  assertStation(input.station)
  const { weatherYears = DEFAULT_WEATHER_YEARS, seed = 1 } = input
  const station = normalsAtHeight(input.station, input.pond.altitudeM)
  const thermal: ThermalPond = { ...input.pond, latitudeDeg: station.latitudeDeg }
  const random = seededRandom(seed)
  const years = Array.from({ length: weatherYears }, () => possibleYear(weatherYear(station, random), thermal))
  const waterC = Array.from({ length: DAYS }, (_, i) => band(years.map((y) => y.water[i].waterC)))
  const dateOf = (day: number) => dayToDate(input.year, day)
  return {
    waterC,
    iceChance: Array.from({ length: DAYS }, (_, i) => years.filter((y) => y.water[i].iceM > 0).length / years.length),
    monthlyMedianC: monthly(waterC.map((b) => b.p50)),
    windows: WINDOW_JOBS.flatMap((job) => windowOf(job, years, input, station, dateOf)),
    weatherYears,
  }
}

/** The year is run twice so that January begins with the ice and chill that December left. */
function possibleYear(weather: WeatherDay[], pond: ThermalPond): PossibleYear {
  const before = waterTemperatures(weather, pond, { waterC: 4, iceM: 0 })
  return { weather, water: waterTemperatures(weather, pond, before[DAYS - 1]) }
}

const band = (values: number[]): DayBand => {
  const sorted = [...values].sort((a, b) => a - b)
  return { p10: quantileOfSorted(sorted, 0.1), p50: quantileOfSorted(sorted, 0.5), p90: quantileOfSorted(sorted, 0.9) }
}

function monthly(daily: readonly number[]): number[] {
  const lengths = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31]
  let start = 0
  return lengths.map((length) => {
    const days = daily.slice(start, (start += length))
    return days.reduce((sum, value) => sum + value, 0) / length
  })
}

type YearTest = { kind: 'span' | 'turn'; holds: (year: PossibleYear) => boolean[] }

const MIDSUMMER = 196
const mean = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length
const trailing = (water: readonly WaterDay[], i: number, days: number) => mean(water.slice(Math.max(0, i - days + 1), i + 1).map((d) => d.waterC))
const byDay = (test: (i: number) => boolean): boolean[] => Array.from({ length: DAYS }, (_, i) => test(i))

/** From the first day that a test holds and stays until midsummer (spring) or the year's end (autumn). */
function turned(from: number, to: number, test: (i: number) => boolean): boolean[] {
  let last = to
  for (let i = to - 1; i >= from && test(i); i--) last = i
  return byDay((i) => i >= last && i < to)
}

function testFor(job: WindowJob, { practice, station }: SeasonInput): YearTest {
  switch (job) {
    case 'spring-cleanout':
      return {
        kind: 'span',
        holds: ({ weather, water }) => {
          const leafOut = degreeDayDate(weather, practice.leafOutDegreeDays)
          const iceOut = water.slice(0, MIDSUMMER).findLastIndex((d) => d.iceM > 0) + 1
          const [low, high] = practice.cleanoutWaterC
          return byDay(
            (i) =>
              i < MIDSUMMER &&
              i >= iceOut &&
              i + 1 < leafOut &&
              water[i].waterC >= low &&
              water[i].waterC <= high &&
              weather[i].minAirC > practice.hardFrostAirC,
          )
        },
      }
    case 'spring-startup':
      return {
        kind: 'turn',
        holds: ({ weather, water }) =>
          turned(
            0,
            MIDSUMMER,
            (i) => trailing(water, i, 5) >= practice.startupWaterC && mean(weather.slice(Math.max(0, i - 6), i + 1).map((d) => d.minAirC)) > 0,
          ),
      }
    case 'feeding-start':
      return { kind: 'turn', holds: ({ water }) => turned(0, MIDSUMMER, (i) => trailing(water, i, 3) >= practice.feedingStartWaterC) }
    case 'feeding-stop':
      return { kind: 'turn', holds: ({ water }) => turned(MIDSUMMER, DAYS, (i) => trailing(water, i, 3) < practice.feedingStopWaterC) }
    case 'netting':
      return {
        kind: 'span',
        holds: ({ weather }) => {
          const fall = leafFallDay(weather, station.latitudeDeg, practice.leafFallChill)
          const [lead, close] = practice.nettingLeadDays
          return byDay((i) => i + 1 >= fall - lead && i + 1 <= fall - close)
        },
      }
    case 'winter-shutdown':
      return {
        kind: 'span',
        holds: ({ weather, water }) => {
          const cold = turned(MIDSUMMER, DAYS, (i) => trailing(water, i, 5) < practice.shutdownWaterC)
          const freeze = weather.findIndex((d, i) => i > MIDSUMMER && cold[i] && d.minAirC <= practice.hardFrostAirC)
          return byDay((i) => cold[i] && (freeze === -1 || i < freeze))
        },
      }
  }
}

function windowOf(job: WindowJob, years: readonly PossibleYear[], input: SeasonInput, station: StationNormals, dateOf: (day: number) => IsoDate): JobWindow[] {
  const { kind, holds } = testFor(job, { ...input, station })
  const each = years.map(holds)
  const likelihood = Array.from({ length: DAYS }, (_, i) => each.filter((days) => days[i]).length / years.length)
  const range = kind === 'turn' ? turnRange(each) : spanRange(likelihood)
  if (!range) return []
  const [earliest, best, latest] = range
  const why = {
    waterC: band(years.map((y) => y.water[best].waterC)).p50,
    minAirC: band(years.map((y) => y.weather[best].minAirC)).p50,
    likelihood: likelihood[best],
    median: best + 1,
  }
  return [{ job, kind, earliest: dateOf(earliest + 1), best: dateOf(best + 1), latest: dateOf(latest + 1), likelihood, why }]
}

/** 10, 50 and 90 % of the days on which the turn comes; nothing when it comes in under half of the years. */
function turnRange(each: readonly boolean[][]): [number, number, number] | null {
  const days = each
    .map((d) => d.indexOf(true))
    .filter((i) => i >= 0)
    .sort((a, b) => a - b)
  if (days.length < each.length / 2) return null
  return [0.1, 0.5, 0.9].map((share) => Math.round(quantileOfSorted(days, share))) as [number, number, number]
}

/** The open days around the likeliest one: best is the middle of the days within 5 points of the highest likelihood. */
function spanRange(likelihood: readonly number[]): [number, number, number] | null {
  const smooth = likelihood.map((_, i) => mean(likelihood.slice(Math.max(0, i - 3), i + 4)))
  const peak = Math.max(...smooth)
  if (peak < OPEN_SHARE) return null
  const top = smooth.flatMap((value, i) => (value >= peak - 0.05 ? [i] : []))
  const best = top[Math.floor((top.length - 1) / 2)]
  let [earliest, latest] = [best, best]
  while (earliest > 0 && smooth[earliest - 1] >= OPEN_SHARE) earliest--
  while (latest < DAYS - 1 && smooth[latest + 1] >= OPEN_SHARE) latest++
  return [earliest, best, latest]
}
