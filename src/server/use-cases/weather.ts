import { database } from '@/server/db/connection'
import { weatherDesk, type WeatherStation } from '@/server/gateways/weather'
import { logger } from '@/server/logger'

export interface WeatherState {
  readonly stations: readonly WeatherStation[]
  /** When the newest normals were fetched; null when there are none yet. */
  readonly fetchedAt: string | null
  /** Whether the source answered last time it was asked. */
  readonly reachable: boolean
}

const FRESH_H = 24
/** After a failure the desk is left alone for a while, so that no page waits for it twice. */
const RETRY_S = 60

let lastFailure = 0

/** Always read back from the table: what is kept is one and the same text however it came, so that seasons worked out from it stay valid. */
async function kept(): Promise<{ stations: WeatherStation[]; fetchedAt: Date | null }> {
  const rows = await database()('weather_stations').orderBy('name')
  return {
    stations: rows.map((r) => ({ id: r.id, name: r.name, normals: r.normals })),
    fetchedAt: rows.reduce((latest: Date | null, r) => (latest && latest > r.fetched_at ? latest : r.fetched_at), null),
  }
}

/** Whether the figures are fresh, without reading the normals themselves; asks the source again when they are a day old. */
export async function weatherStatus(now: Date = new Date()): Promise<Pick<WeatherState, 'fetchedAt' | 'reachable'>> {
  const row = await database()('weather_stations').max('fetched_at as at').first()
  const fetchedAt: Date | null = row?.at ?? null
  if (fetchedAt && isFresh(fetchedAt, now)) return { fetchedAt: fetchedAt.toISOString(), reachable: true }
  const { stations: _normals, ...status } = await weather(now)
  return status
}

const isFresh = (fetchedAt: Date, now: Date): boolean => now.getTime() - fetchedAt.getTime() < FRESH_H * 3_600_000

/** Stations with their normals: kept ones while fresh, asked for again after a day, kept ones again when the source is down. */
export async function weather(now: Date = new Date()): Promise<WeatherState> {
  const before = await kept()
  const fresh = before.fetchedAt !== null && isFresh(before.fetchedAt, now)
  const resting = now.getTime() - lastFailure < RETRY_S * 1000
  const url = process.env.WEATHER_DESK_URL
  if (!fresh && !resting && url) {
    try {
      await keep(await weatherDesk(url).stations(), now)
      return { stations: (await kept()).stations, fetchedAt: now.toISOString(), reachable: true }
    } catch (error) {
      lastFailure = now.getTime()
      logger.warn({ reason: (error as Error).message }, 'weather desk not reached; using stored normals')
    }
  }
  return { stations: before.stations, fetchedAt: before.fetchedAt?.toISOString() ?? null, reachable: fresh }
}

async function keep(stations: readonly WeatherStation[], now: Date): Promise<void> {
  await database()('weather_stations')
    .insert(stations.map((s) => ({ id: s.id, name: s.name, normals: JSON.stringify(s.normals), fetched_at: now })))
    .onConflict('id')
    .merge()
}
