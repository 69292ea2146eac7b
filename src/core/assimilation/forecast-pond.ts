import { addDays, daysBetween, type IsoDate } from '../numeric/calendar'
import { dailyNormals, type StationNormals } from '../season/station'
import { type DatedWeather, type KnownWeather } from '../season/weather-ahead'
import { plainDayOfYear } from '../season/season-year'
import type { PondEvent } from '../ecosystem/events'
import { pastScoreOf, scoresOf, type Issued } from './issued'
import { lookBackDays, lookedBackAt } from './look-back'
import { issuedOf, outlookOf, type Outlook } from './outlook'
import { beginFilter } from './begin-filter'
import { advanceFilter, type EnsembleFilter } from './ensemble-filter'
import type { DatedReading } from './reading'
import { stretchesOf, type PastScore } from './stretch'
import type { EcoPond } from '../ecosystem/pond'

/** Everything that a pond's forecast hangs on. */
export interface ForecastTask {
  readonly pond: EcoPond
  /** The pond's deepest water, m. */
  readonly deepestM: number
  readonly station: StationNormals
  /** Observed days from `from` on, and the forecast. */
  readonly known: KnownWeather
  /** Day that the filter stands at, or begins at. */
  readonly from: IsoDate
  /** null: begin anew. */
  readonly filter: EnsembleFilter | null
  /** From `from` to today. */
  readonly readings: readonly DatedReading[]
  /** Days counted from `from`. */
  readonly events: readonly PondEvent[]
  /** How well the adopted volume is known, as a share. */
  readonly volumeSigmaShare: number
  /** How earlier forecasts of this pond as it is have done. */
  readonly scores: readonly PastScore[]
  readonly members: number
}

export interface ForecastMade {
  /** To be kept: a few days back, so that tests which come in late from the field are still learnt. */
  readonly filter: EnsembleFilter
  readonly outlook: Outlook
  /** The outlook as it is given out today. */
  readonly issued: Issued
  /**
   * Of a filter that begins anew: what it would have said before each of the tests on file, knowing neither them nor
   * the weather that came.
   */
  readonly lookedBack: readonly Issued[]
}

/** Tests may come in so late, days. @source house default: a device without signal over a long weekend */
export const LATE_DAYS = 3

/**
 * Brings a pond's filter up to today and looks three weeks ahead: from today, or from tomorrow where the pond was
 * tested today.
 * What is kept for the next time stands some days back.
 */
export function forecastPond(task: ForecastTask): ForecastMade {
  const { pond, deepestM, station, known } = task
  const { today } = known
  const begin = task.filter ?? beginFilter(task)
  const weather = withNormals([...known.observed, ...known.forecast], station, begin.day, addDays(today, 1))
  const advance = (filter: EnsembleFilter, to: IsoDate): EnsembleFilter => {
    const gone = daysBetween(begin.day, filter.day)
    const events = task.events.filter((e) => e.day >= gone).map((e) => ({ ...e, day: e.day - gone }))
    return advanceFilter(filter, { pond, deepestM, weather: weather.slice(gone), readings: task.readings, events }, to)
  }
  const settled = addDays(today, -LATE_DAYS)
  const lookedBack: Issued[] = []
  let kept = begin
  for (const day of task.filter ? [] : lookBackDays(task.readings, begin.day, settled)) {
    kept = advance(kept, day)
    lookedBack.push(lookedBackAt(kept, task))
  }
  if (kept.day < settled) kept = advance(kept, settled)
  const testedToday = task.readings.some((r) => r.day === today)
  const now = advance(kept, testedToday ? addDays(today, 1) : today)
  const back = scoresOf(lookedBack, task.readings, deepestM).map(pastScoreOf)
  const stretch = stretchesOf([...task.scores, ...back], today)
  const made = outlookOf(now, { pond, deepestM, station, known, stretch })
  const { from, bands, risks } = made
  return { filter: kept, outlook: { from, bands, risks }, issued: issuedOf(made, today, stretch), lookedBack }
}

/** Days without a gap: what was not observed is taken as usual. */
export function withNormals(
  observed: readonly DatedWeather[],
  station: StationNormals,
  from: IsoDate,
  to: IsoDate,
): DatedWeather[] {
  const known = new Map(observed.map((d) => [d.date, d]))
  const normals = dailyNormals(station)
  return Array.from({ length: Math.max(0, daysBetween(from, to)) }, (_, i) => {
    const date = addDays(from, i)
    const normal = normals[plainDayOfYear(date) - 1]!
    return known.get(date) ?? { ...normal, rainMm: normal.rainMm / 30.4, date }
  })
}
