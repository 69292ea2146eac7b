import { database } from '@/server/db/connection'
import { fetchWeatherNews } from '@/server/use-cases/weather'
import { sendJob } from './queue'

/** Asks for news of the weather; when some came, every firm's windows are worked out again. */
export async function weatherWatch(now: Date = new Date()): Promise<boolean> {
  if (!(await fetchWeatherNews(now))) return false
  const { rows } = await database().raw('select id from door_firm_ids()')
  for (const { id } of rows as { id: string }[]) await sendJob('windows-of-ponds', { firmId: id })
  return true
}
