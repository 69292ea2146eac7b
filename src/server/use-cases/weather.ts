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

/** Stations with their normals: stored ones while fresh, asked for again after a day, stored ones again when the source is down. */
export async function weather(now: Date = new Date()): Promise<WeatherState> {
  const stored = await database()('weather_stations').orderBy('name')
  const fetchedAt: Date | null = stored.reduce((latest: Date | null, row) => (latest && latest > row.fetched_at ? latest : row.fetched_at), null)
  const fresh = fetchedAt && now.getTime() - fetchedAt.getTime() < FRESH_H * 3_600_000
  const resting = now.getTime() - lastFailure < RETRY_S * 1000
  const url = process.env.WEATHER_DESK_URL
  if (!fresh && !resting && url) {
    try {
      const stations = await weatherDesk(url).stations()
      await database()('weather_stations')
        .insert(stations.map((s) => ({ id: s.id, name: s.name, normals: JSON.stringify(s.normals), fetched_at: now })))
        .onConflict('id')
        .merge()
      return { stations, fetchedAt: now.toISOString(), reachable: true }
    } catch (error) {
      lastFailure = now.getTime()
      logger.warn({ reason: (error as Error).message }, 'weather desk not reached; using stored normals')
    }
  }
  return {
    stations: stored.map((r) => ({ id: r.id, name: r.name, normals: r.normals })),
    fetchedAt: fetchedAt?.toISOString() ?? null,
    reachable: Boolean(fresh),
  }
}
