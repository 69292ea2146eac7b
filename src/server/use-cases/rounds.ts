import { addDays, mondayOf } from '@/core/numeric/calendar'
import { assertMay, type Actor } from '@/server/auth/actor'
import { inFirm } from '@/server/db/firm-transaction'
import { listCrews } from '@/server/db/people-repository'
import { listVisitLines } from '@/server/db/visit-line-repository'
import { todayIn } from '@/server/today'
import { may } from '@/domain/roles'

/** Crews × the seven days of a week. */
export async function roundsPage(actor: Actor, dayInWeek: string | null) {
  assertMay(actor, 'visits.read')
  const today = todayIn(actor.timeZone)
  const monday = mondayOf(dayInWeek ?? today)
  return inFirm(actor.firmId, async (trx) => ({
    today,
    monday,
    days: Array.from({ length: 7 }, (_, i) => addDays(monday, i)),
    crews: await listCrews(trx),
    visits: await listVisitLines(trx, { from: monday, to: addDays(monday, 6) }),
    mayPlan: may(actor.role, 'visits.plan'),
  }))
}
