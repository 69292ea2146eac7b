import { badField, refused } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { weather } from '@/server/season/weather'
import { storeOwnDays } from '@/server/season/weather-repository'
import { sendJob } from '@/server/platform/queue/queue'
import { heavy } from '@/server/platform/threads/heavy'
import { todayIn } from '@/server/platform/today'
import { said } from '@/domain/shared/said'
import { rowProblemsInWords } from '@/messages/problem-body'
import { firmTexts } from '@/messages/texts'

/** Takes a firm's own weather for a station; it goes before the desk's, and every pond's windows follow. */
export async function importWeather(actor: Actor, stationId: string, text: string) {
  assertMay(actor, 'visits.plan')
  const { days, problems } = await heavy('weather-csv', { text, today: todayIn(actor.timeZone) })
  const { stations } = await weather()
  if (stations.length === 0) throw refused(said('exchange.problems.weatherStationKnownYetSince'))
  if (!stations.some((s) => s.id === stationId)) throw badField('station', said('exchange.problems.suchWeatherStation'))
  await inFirm(actor.firmId, async (trx) => {
    if (days.length > 0) await storeOwnDays(trx, actor.firmId, stationId, days)
  })
  if (days.length > 0) await sendJob('windows-of-ponds', { firmId: actor.firmId })
  return { days: days.length, problems: rowProblemsInWords(problems, firmTexts()) }
}
