import { addDays } from '@/core/numeric/calendar'
import { database } from '@/server/platform/db/connection'
import {
  listStationNews,
  lastDayOf,
  listStations,
  storeNews,
  storeStations,
  type KeptStation,
} from '@/server/season/weather-repository'
import { weatherDesk, type WeatherStation } from '@/server/platform/gateways/weather'
import { logger } from '@/server/platform/logger'
import { HOUR_MS } from '@/core/numeric/time'

export interface WeatherState {
  readonly stations: readonly WeatherStation[]
  /** When the newest normals were fetched; null when there are none yet. */
  readonly fetchedAt: string | null
  /** Whether the source answered last time it was asked. */
  readonly reachable: boolean
  /** Day on which the newest forecast was issued. */
  readonly forecastIssued: string | null
}

const FRESH_H = 24
/** After a failure the desk is left alone for a while, so that no page waits for it twice. */
const RETRY_S = 60
/** Observed days are kept from so long ago: two years of readings want weather to be held against. */
const HISTORY_DAYS = 820
/** Observations and forecasts are asked for this often. */
const NEWS_H = 1
/** One number that stands for "asking the weather desk" among the database's advisory locks. */
const ASKING_LOCK = 7101

/** A rest after a failure concerns only this process's own pages: every process may try for itself. */
let lastFailure = 0

const hoursSince = (then: Date | null, now: Date): number =>
  then ? (now.getTime() - then.getTime()) / HOUR_MS : Infinity
const newest = (dates: readonly (Date | null)[]): Date | null =>
  dates.reduce((latest: Date | null, date) => (date && (!latest || date > latest) ? date : latest), null)

function stateOf(stations: readonly KeptStation[], reachable: boolean): WeatherState {
  return {
    stations: stations.map(({ id, name, normals }) => ({ id, name, normals })),
    fetchedAt: newest(stations.map((s) => s.fetchedAt))?.toISOString() ?? null,
    reachable,
    forecastIssued:
      stations
        .map((s) => s.forecast?.issued ?? '')
        .sort()
        .at(-1) || null,
  }
}

export interface WeatherBrief {
  readonly fetchedAt: string | null
  readonly reachable: boolean
  readonly forecastIssued: string | null
  /** The newest hours observed, one per station. */
  readonly now: readonly {
    readonly station: string
    readonly at: string
    readonly airC: number
    readonly windMPerS: number
  }[]
}

/**
 * How fresh the figures are, without reading normals or forecasts; asks the source again when the normals are a day
 * old.
 */
export async function weatherStatus(now: Date = new Date()): Promise<WeatherBrief> {
  const rows = await listStationNews(database())
  const fetchedAt = newest(rows.map((r) => r.fetched_at))
  const { reachable } = hoursSince(fetchedAt, now) < FRESH_H ? { reachable: true } : await weather(now)
  return {
    fetchedAt: fetchedAt?.toISOString() ?? null,
    // news that stopped coming is as telling as a page that got no answer
    reachable:
      reachable &&
      (rows.every((r) => r.asked_at === null) || hoursSince(newest(rows.map((r) => r.asked_at)), now) < 2 * NEWS_H),
    forecastIssued:
      rows
        .map((r) => r.issued ?? '')
        .sort()
        .at(-1) || null,
    now: rows.flatMap((r) =>
      r.last_hour
        ? [{ station: r.name, at: r.last_hour.at, airC: r.last_hour.airC, windMPerS: r.last_hour.windMPerS }]
        : [],
    ),
  }
}

/**
 * Stations with their normals: kept ones while fresh, asked for again after a day, kept ones again when the source is
 * down.
 */
export async function weather(now: Date = new Date()): Promise<WeatherState> {
  const before = await listStations(database())
  const fresh = before.length > 0 && before.every((s) => hoursSince(s.fetchedAt, now) < FRESH_H)
  const resting = now.getTime() - lastFailure < RETRY_S * 1000
  const url = process.env.WEATHER_DESK_URL
  if (!fresh && !resting && url) {
    try {
      await storeStations(database(), await weatherDesk(url).stations(), now)
      // read back from the table: what is kept is one and the same text however it came, so that seasons worked out
      // from it stay valid
      return stateOf(await listStations(database()), true)
    } catch (error) {
      lastFailure = now.getTime()
      logger.warn({ reason: (error as Error).message }, 'weather desk not reached; using stored normals')
    }
  }
  return stateOf(before, fresh)
}

/**
 * Asks the desk for observed days, forecasts and the newest hour, when they are due and nobody else is asking.
 * @returns whether anything new came
 */
export async function fetchWeatherNews(now: Date = new Date()): Promise<boolean> {
  const url = process.env.WEATHER_DESK_URL
  if (!url) return false
  const desk = weatherDesk(url)
  const today = now.toISOString().slice(0, 10)
  return database().transaction(async (trx) => {
    const { rows } = await trx.raw('select pg_try_advisory_xact_lock(?) as mine', [ASKING_LOCK])
    if (!rows[0].mine) return false
    if ((await listStations(trx)).length === 0) await storeStations(trx, await desk.stations(), now)
    let came = false
    for (const station of await listStations(trx)) {
      if (hoursSince(station.askedAt, now) < NEWS_H) continue
      const last = await lastDayOf(trx, station.id)
      const days = await desk.days(station.id, last ? addDays(last, 1) : addDays(today, -HISTORY_DAYS), today)
      await storeNews(
        trx,
        station.id,
        { days, forecast: await desk.forecast(station.id), lastHour: await desk.lastHour(station.id, today) },
        now,
      )
      came = true
    }
    return came
  })
}
