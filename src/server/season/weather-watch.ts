import { database } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findFirm } from '@/server/firm/firm-repository'
import { listStations } from '@/server/season/weather-repository'
import type { FirmId } from '@/domain/shared/ids'
import { nightlyForecast } from '@/server/forecasts/forecasts'
import { fetchWeatherNews } from '@/server/season/weather'
import { sendJob } from '@/server/platform/queue/queue'

/** Asks for news of the weather; when some came, every firm's windows are worked out again. */
export async function weatherWatch(now: Date = new Date()): Promise<boolean> {
  if (!(await fetchWeatherNews(now))) return false
  for (const firmId of await firmIds()) await sendJob('windows-of-ponds', { firmId })
  return true
}

/** Every firm's ponds are forecast once a day, as soon as the day's weather is there. */
export async function forecastWatch(now: Date = new Date()): Promise<void> {
  // without a weather desk nothing is new by night: forecasts are made when somebody asks
  if (!process.env.WEATHER_DESK_URL || (await listStations(database())).length === 0) return
  for (const firmId of await firmIds()) {
    const { timeZone } = await inFirm(firmId, findFirm)
    await nightlyForecast(firmId, timeZone, now)
  }
}

async function firmIds(): Promise<FirmId[]> {
  const { rows } = await database().raw('select id from door_firm_ids()')
  return (rows as { id: FirmId }[]).map((r) => r.id)
}
