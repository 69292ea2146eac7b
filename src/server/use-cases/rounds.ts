import { addDays, mondayOf } from '@/core/numeric/calendar'
import { assertMay, type Actor } from '@/server/auth/actor'
import { inFirm } from '@/server/db/firm-transaction'
import { listCrews } from '@/server/db/people-repository'
import { listVisitLines } from '@/server/db/visit-line-repository'
import { boardInput } from './planning/board'
import { todayIn } from '@/server/today'
import { may } from '@/domain/roles'

/** Crews × the seven days of a week. */
export async function roundsPage(actor: Actor, dayInWeek: string | null) {
  assertMay(actor, 'visits.read')
  const today = todayIn(actor.timeZone)
  const monday = mondayOf(dayInWeek ?? today)
  const days = Array.from({ length: 7 }, (_, i) => addDays(monday, i))
  const mayPlan = may(actor.role, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => ({
    today,
    monday,
    days,
    crews: await listCrews(trx),
    visits: await listVisitLines(trx, { from: monday, to: addDays(monday, 6) }),
    mayPlan,
    // what moves are judged by; those who may not move anything need none of it
    board: mayPlan ? await boardInput(trx, days, process.env.ROADS_URL) : null,
  }))
}
