import type { Knex } from 'knex'
import { wholeSteps } from '@/core/dispatch/plan/plan-input'
import { addDays, mondayOf } from '@/core/numeric/calendar'
import type { CrewId } from '@/domain/ids'
import { loadList } from '@/domain/load-list'
import { notFound } from '@/domain/problems'
import type { VisitInContext } from '@/domain/visit'
import { assertMay, type Actor } from '@/server/auth/actor'
import { inFirm } from '@/server/db/firm-transaction'
import { findCrew, listCrews } from '@/server/db/people-repository'
import { listPlanningPonds } from '@/server/db/planning-repository'
import { listVisitLines } from '@/server/db/visit-line-repository'
import { listVisits } from '@/server/db/visit-repository'
import { travelTable } from '@/server/gateways/roads'
import { boardInput } from './planning/board'
import { locate } from './planning/places'
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

/** A crew's day in its order: stops, the way to each in minutes, and what to load. */
export async function daySheet(actor: Actor, crewId: CrewId, day: string) {
  assertMay(actor, 'visits.read')
  return inFirm(actor.firmId, async (trx) => {
    const crew = await findCrew(trx, crewId)
    if (!crew) throw notFound('That crew')
    const visits = await listVisits(trx, { from: day, to: day, crewId })
    return { crew, day, visits, ways: await waysOf(trx, visits), load: loadList(visits) }
  })
}

/** Minutes from the yard to the first stop and on from stop to stop; null where a place is not on the map. */
async function waysOf(trx: Knex.Transaction, visits: readonly VisitInContext[]): Promise<(number | null)[]> {
  const { points, of, missing } = locate(await listPlanningPonds(trx))
  const at = visits.map((v) => (missing.includes(v.siteName) ? null : of(v.pondId)))
  const used = [0, ...at.filter((place) => place !== null)]
  const table = await travelTable(
    used.map((place) => points[place]),
    process.env.ROADS_URL,
  )
  let from = 0
  return at.map((place) => {
    if (place === null) return null
    const [row, column] = [used.indexOf(from), used.indexOf(place)]
    from = place
    return wholeSteps(table.minutes[row * used.length + column])
  })
}
