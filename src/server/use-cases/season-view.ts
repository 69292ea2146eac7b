import type { PondId } from '@/domain/ids'
import { windowInYear } from '@/domain/season-dates'
import { assertMay, type Actor } from '@/server/auth/actor'
import { findFirm } from '@/server/db/firm-repository'
import { inFirm } from '@/server/db/firm-transaction'
import { findPond, listPonds } from '@/server/db/pond-repository'
import { listSeasonBriefs } from '@/server/db/season-repository'
import { listVisitLines } from '@/server/db/visit-line-repository'
import { todayIn } from '@/server/today'
import { seasonOf } from './season'
import { weather } from './weather'

/** All ponds over the weeks of one year. Ponds whose year is not ready yet are worked out first. */
export async function seasonPage(actor: Actor, year: number) {
  assertMay(actor, 'visits.read')
  const weatherState = await weather()
  return inFirm(actor.firmId, async (trx) => {
    const ponds = await listPonds(trx)
    let briefs = await listSeasonBriefs(trx)
    const ready = new Set(briefs.map((b) => b.pondId))
    const missing = ponds.filter((pond) => !ready.has(pond.id))
    if (missing.length > 0 && weatherState.stations.length > 0) {
      const { practice } = await findFirm(trx)
      for (const pond of missing) await seasonOf(trx, actor.firmId, (await findPond(trx, pond.id))!, practice, weatherState.stations)
      briefs = await listSeasonBriefs(trx)
    }
    const byPond = new Map(briefs.map((b) => [b.pondId, b]))
    const visits = await listVisitLines(trx, { from: `${year}-01-01`, to: `${year}-12-31` })
    const visitsOf = (id: PondId) => visits.filter((v) => v.pondId === id)
    return {
      year,
      today: todayIn(actor.timeZone),
      weather: { fetchedAt: weatherState.fetchedAt, reachable: weatherState.reachable },
      rows: ponds.map((pond) => {
        const brief = byPond.get(pond.id)
        return {
          id: pond.id,
          name: pond.name,
          siteName: pond.siteName,
          town: pond.town,
          weeklyC: brief?.weeklyC ?? null,
          windows: (brief?.windows ?? []).map((w) => windowInYear(w, year)),
          visits: visitsOf(pond.id),
        }
      }),
    }
  })
}
export type SeasonRow = Awaited<ReturnType<typeof seasonPage>>['rows'][number]
