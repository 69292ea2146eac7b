import { addDays, isoWeekday } from '@/core/numeric/calendar'
import { assignmentsOf, bestPlace } from '@/domain/rounds/board-moves'
import type { VisitId } from '@/domain/shared/ids'
import { notFound } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findVisitLine, listVisitLines } from '@/server/visits/visit-line-repository'
import { todayIn } from '@/server/platform/today'
import { boardFacts, withTravel } from './board'

/** Days on either side of a visit that a drag can reach. */
const REACH_DAYS = 70

/**
 * What moving a visit to each day around it would break and cost, its crew kept: asked for once when a drag begins,
 * so that the answer is there at once wherever the visit hangs.
 */
export async function dayVerdicts(actor: Actor, visitId: VisitId) {
  assertMay(actor, 'visits.plan')
  const today = todayIn(actor.timeZone)
  const read = await inFirm(actor.firmId, async (trx) => {
    const visit = await findVisitLine(trx, visitId)
    if (!visit) throw notFound('visit')
    const first = addDays(visit.day, -REACH_DAYS)
    const from = first > today ? first : today
    const days: string[] = []
    for (let day = from < visit.day ? from : visit.day; day <= addDays(visit.day, REACH_DAYS); day = addDays(day, 1))
      days.push(day)
    const facts = await boardFacts(trx, days, visit.crewId)
    const visits = (await listVisitLines(trx, { from: days[0]!, to: days[days.length - 1]! })).filter(
      (v) => v.crewId === visit.crewId,
    )
    return { visit, days, facts, visits }
  })
  const { visit, days, visits } = read
  const board = await withTravel(read.facts)
  const input = {
    ...board,
    days: board.days.filter((day) => isoWeekday(day) <= 5),
    travel: Float64Array.from(board.travel),
  }
  const plan = assignmentsOf(visits)
  return {
    visit,
    sites: Object.fromEntries(visits.map((v) => [v.id, v.siteName])),
    days: days
      .filter((day) => day >= today)
      .map((day) => {
        const judged = bestPlace(input, plan, visits, visitId, { crewId: visit.crewId, day })!
        return { day, problems: judged.problems, costMin: Math.round(judged.costMin), moves: judged.moves }
      }),
  }
}
export type DayVerdicts = Awaited<ReturnType<typeof dayVerdicts>>
