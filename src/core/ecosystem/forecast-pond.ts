import { addDays, daysBetween, type IsoDate } from '../numeric/calendar'
import { dailyNormals, type StationNormals } from '../season/station'
import { plainDayOfYear, type DatedWeather, type KnownWeather } from '../season/weather-ahead'
import type { PondEvent } from './events'
import { outlookOf, type Outlook } from './outlook'
import { advanceFilter, startFilter, type DatedReading, type PondFilter } from './pond-filter'
import type { EcoPond } from './pond'
import type { PondState } from './running'
import { simulate } from './simulate'

/** Everything that a pond's forecast hangs on. */
export interface ForecastTask {
  readonly pond: EcoPond
  readonly station: StationNormals
  /** Observed days from `from` on, and the forecast. */
  readonly known: KnownWeather
  /** Day that the filter stands at, or begins at. */
  readonly from: IsoDate
  /** null: begin anew. */
  readonly filter: PondFilter | null
  readonly readings: readonly DatedReading[]
  /** Days counted from `from`. */
  readonly events: readonly PondEvent[]
  readonly particles: number
}

export interface ForecastMade {
  readonly filter: PondFilter
  readonly outlook: Outlook
}

const RUN_IN_DAYS = 365

/** Brings a pond's filter up to today and looks three weeks ahead. */
export function forecastPond(task: ForecastTask): ForecastMade {
  const { pond, station, known, readings, events } = task
  const start = task.filter ?? startFilter(runIn(task), task.from, task.particles)
  const weather = withNormals(known.observed, station, start.day, known.today)
  const filter = advanceFilter(start, { pond, weather, readings, events }, known.today)
  return { filter, outlook: outlookOf(filter, pond, station, known) }
}

/** A usual year before the filter's first day. */
function runIn({ pond, station, from }: ForecastTask): PondState {
  const begin = plainDayOfYear(addDays(from, -RUN_IN_DAYS))
  const normals = dailyNormals(station)
  const weather = Array.from({ length: RUN_IN_DAYS }, (_, i) => ({ ...normals[(begin + i - 1) % 365], rainMm: normals[(begin + i - 1) % 365].rainMm / 30.4 }))
  return simulate({ pond, weather, startDay: begin, days: RUN_IN_DAYS, events: [], start: { kind: 'settled' }, every: 'day' }).end
}

/** Days without a gap: what was not observed is taken as usual. */
export function withNormals(observed: readonly DatedWeather[], station: StationNormals, from: IsoDate, to: IsoDate): DatedWeather[] {
  const known = new Map(observed.map((d) => [d.date, d]))
  const normals = dailyNormals(station)
  return Array.from({ length: Math.max(0, daysBetween(from, to)) }, (_, i) => {
    const date = addDays(from, i)
    const normal = normals[plainDayOfYear(date) - 1]
    return known.get(date) ?? { ...normal, rainMm: normal.rainMm / 30.4, date }
  })
}
