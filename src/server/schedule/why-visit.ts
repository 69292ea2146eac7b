import { whyHere } from '@/core/schedule/plan/why-here'
import { addDays, isoWeekday } from '@/core/numeric/calendar'
import { assignmentsOf } from '@/domain/rounds/board-moves'
import type { VisitId } from '@/domain/shared/ids'
import { notFound, refused } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findVisitLine, listVisitLines } from '@/server/visits/visit-line-repository'
import { todayIn } from '@/server/platform/today'
import { boardFacts, withTravel } from '@/server/rounds/board'
import { said } from '@/domain/shared/said'

/** Other days are looked for this far on either side. */
const REACH_DAYS = 28

/** Why a planned visit stands where it does, its slack, and where else it could be. */
export async function whyVisit(actor: Actor, visitId: VisitId) {
  assertMay(actor, 'visits.plan')
  const today = todayIn(actor.timeZone)
  const { visit, lines, facts } = await inFirm(actor.firmId, async (trx) => {
    const visit = await findVisitLine(trx, visitId)
    if (!visit) throw notFound('visit')
    if (visit.state !== 'planned' || visit.day < today)
      throw refused(said('schedule.problems.visitBegunOverStaysWhere'))
    const first = addDays(visit.day, -REACH_DAYS)
    const days: string[] = []
    for (let day = first > today ? first : today; day <= addDays(visit.day, REACH_DAYS); day = addDays(day, 1))
      if (isoWeekday(day) <= 5 || day === visit.day) days.push(day)
    const lines = await listVisitLines(trx, { from: days[0]!, to: days[days.length - 1]! })
    return { visit, lines, facts: await boardFacts(trx, days) }
  })
  const board = await withTravel(facts)
  const why = whyHere({ ...board, travel: Float64Array.from(board.travel) }, assignmentsOf(lines), visitId)
  if (!why) throw notFound('visit')
  return {
    ...why,
    crewId: visit.crewId,
    day: visit.day,
    sites: Object.fromEntries(lines.map((v) => [v.id, v.siteName])),
  }
}
export type WhyVisit = Awaited<ReturnType<typeof whyVisit>>
