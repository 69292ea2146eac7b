import { addDays, daysBetween, type IsoDate } from '../numeric/calendar'
import { normalDeviate, type Random } from '../numeric/random'
import { plainDayOfYear } from './season-year'
import { dailyNormals, LAPSE_C_PER_M, type StationNormals } from './station'
import { nextWeather, startWalk, type WeatherDay } from './weather-year'

export interface DatedWeather extends WeatherDay {
  readonly date: IsoDate
}

/** What is known of the weather on one day: observed days before it, and a forecast from it on. */
export interface KnownWeather {
  readonly today: IsoDate
  /** Days that are over, in any order; gaps are filled with likely weather. */
  readonly observed: readonly DatedWeather[]
  /** Today and the days after, in order. */
  readonly forecast: readonly DatedWeather[]
}

/**
 * Error of a forecast of a day's mean air, °C: at the first day, and what each further day adds.
 * @source usual verification of medium-range temperature forecasts, rounded
 */
export const FORECAST_ERROR = { firstDayC: 0.7, perDayC: 0.32, persistence: 0.8 } as const

export const forecastErrorC = (leadDays: number): number => FORECAST_ERROR.firstDayC + FORECAST_ERROR.perDayC * leadDays

/**
 * Possible runs of days: what was observed, the forecast with an error that grows with its lead, then likely weather
 * that goes on from there.
 * @param from first day wanted
 * @param days how many
 * @returns a drawer of runs: each call gives another one
 */
export function possibleWeather(
  known: KnownWeather,
  station: StationNormals,
  from: IsoDate,
  days: number,
): (random: Random) => WeatherDay[] {
  const observed = new Map(known.observed.map((d) => [d.date, d]))
  const forecast = new Map(known.forecast.map((d) => [d.date, d]))
  const todayAt = daysBetween(from, known.today)
  const normals = dailyNormals(station)
  const frame = Array.from({ length: days }, (_, i) => {
    const date = addDays(from, i)
    const day = plainDayOfYear(date)
    const seen = observed.get(date)
    return {
      day,
      seen,
      told: seen ? undefined : forecast.get(date),
      errorC: forecastErrorC(Math.max(0, i - todayAt)),
      normal: normals[day - 1],
    }
  })
  return (random) => {
    const walk = startWalk(normals, random)
    let miss = normalDeviate(random)
    return frame.map(({ day, seen, told, errorC, normal }) => {
      if (told)
        miss =
          FORECAST_ERROR.persistence * miss + Math.sqrt(1 - FORECAST_ERROR.persistence ** 2) * normalDeviate(random)
      const known = seen ?? (told && shifted(told, miss * errorC))
      if (!known) return nextWeather(walk, day)
      // what comes after a known day goes on from how warm that was
      walk.departure =
        ((known.minAirC + known.maxAirC - normal!.minAirC - normal!.maxAirC) / 2 - walk.yearC) /
        Math.max(0.5, normal!.sdC)
      walk.wet = known.rainMm > 0.2
      return known
    })
  }
}

const shifted = (day: WeatherDay, byC: number): WeatherDay => ({
  ...day,
  minAirC: day.minAirC + byC,
  maxAirC: day.maxAirC + byC,
})

/** Weather of a station moved to a site's height: −6.5 °C per km. */
export const weatherAtHeight = <Day extends WeatherDay>(
  days: readonly Day[],
  stationAltitudeM: number,
  altitudeM: number,
): Day[] => days.map((day) => ({ ...day, ...shifted(day, LAPSE_C_PER_M * (altitudeM - stationAltitudeM)) }))
