import type { Knex } from 'knex'
import type { DatedWeather } from '@/core/season/weather-ahead'
import type { WeatherDay } from '@/core/season/weather-year'
import type { FirmId } from '@/domain/shared/ids'
import type { WeatherForecast, WeatherHour, WeatherStation } from '@/server/platform/gateways/weather'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    weather_stations: { normals: WeatherStation['normals']; forecast: WeatherForecast; last_hour: WeatherHour }
    weather_days: { weather: WeatherDay }
    own_weather_days: { weather: WeatherDay }
  }
}

/** Weather of no firm: stations, their days and forecasts. */
export interface KeptStation extends WeatherStation {
  readonly fetchedAt: Date
  /** When days and forecast were last asked for with an answer. */
  readonly askedAt: Date | null
  readonly forecast: WeatherForecast | null
  readonly lastHour: WeatherHour | null
}

export async function listStations(db: Knex): Promise<KeptStation[]> {
  const rows = await db('weather_stations').orderBy('name')
  return rows.map((r) => ({
    id: r.id,
    name: r.name,
    normals: r.normals,
    fetchedAt: r.fetched_at,
    askedAt: r.asked_at,
    forecast: r.forecast,
    lastHour: r.last_hour,
  }))
}

/**
 * How fresh each station's figures are, without its normals and forecast; `issued` is an instant as the database
 * writes it.
 */
export async function listStationNews(db: Knex) {
  return db('weather_stations')
    .orderBy('name')
    .select<
      { name: string; fetched_at: Date; asked_at: Date | null; last_hour: WeatherHour | null; issued: string | null }[]
    >('name', 'fetched_at', 'asked_at', 'last_hour', db.raw('forecast_issued::text as issued'))
}

export async function storeStations(db: Knex, stations: readonly WeatherStation[], now: Date): Promise<void> {
  await db('weather_stations')
    .insert(stations.map((s) => ({ id: s.id, name: s.name, normals: JSON.stringify(s.normals), fetched_at: now })))
    .onConflict('id')
    .merge()
}

export async function storeNews(
  db: Knex,
  stationId: string,
  news: { days: readonly DatedWeather[]; forecast: WeatherForecast; lastHour: WeatherHour | null },
  now: Date,
): Promise<void> {
  const rows = news.days.map(({ date, ...weather }) => ({
    station_id: stationId,
    day: date,
    weather: JSON.stringify(weather),
  }))
  if (rows.length > 0) await db('weather_days').insert(rows).onConflict(['station_id', 'day']).merge()
  await db('weather_stations')
    .where({ id: stationId })
    .update({
      forecast: JSON.stringify(news.forecast),
      forecast_issued: news.forecast.issued,
      last_hour: news.lastHour ? JSON.stringify(news.lastHour) : null,
      asked_at: now,
    })
}

/** The last day of a station that the desk has told. */
export async function lastDayOf(db: Knex, stationId: string): Promise<string | null> {
  const row = await db('weather_days')
    .where({ station_id: stationId })
    .max<{ day: string | null }[]>('day as day')
    .first()
  return row?.day ?? null
}

/** Days of a station from one on; a firm's own go before the desk's. */
export async function listWeatherDays(trx: Knex.Transaction, stationId: string, from: string): Promise<DatedWeather[]> {
  const read = (table: string) =>
    trx(table).where({ station_id: stationId }).where('day', '>=', from).select('day', 'weather')
  const desk: { day: string; weather: WeatherDay }[] = await read('weather_days')
  const own: { day: string; weather: WeatherDay }[] = await read('own_weather_days')
  const byDay = new Map([...desk, ...own].map((r) => [r.day, { date: r.day, ...r.weather }]))
  return [...byDay.values()].sort((a, b) => a.date.localeCompare(b.date))
}

export async function storeOwnDays(
  trx: Knex.Transaction,
  firmId: FirmId,
  stationId: string,
  days: readonly DatedWeather[],
): Promise<void> {
  await trx('own_weather_days')
    .insert(
      days.map(({ date, ...weather }) => ({
        firm_id: firmId,
        station_id: stationId,
        day: date,
        weather: JSON.stringify(weather),
      })),
    )
    .onConflict(['firm_id', 'station_id', 'day'])
    .merge()
}

export async function countOwnDays(
  trx: Knex.Transaction,
): Promise<ReadonlyMap<string, { days: number; from: string; to: string }>> {
  const rows = await trx('own_weather_days')
    .groupBy('station_id')
    .select<{ station_id: string; n: string; first: string; last: string }[]>(
      'station_id',
      trx.raw('count(*) as n'),
      trx.raw('min(day) as first'),
      trx.raw('max(day) as last'),
    )
  return new Map(rows.map((r) => [r.station_id, { days: Number(r.n), from: r.first, to: r.last }]))
}
