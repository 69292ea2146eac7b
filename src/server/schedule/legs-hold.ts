import type { Knex } from 'knex'
import { MAX_DAYS_IN_TANKS } from '@/core/visits/types/cleanout-legs'
import { daysBetween } from '@/core/numeric/calendar'
import { longDate } from '@/domain/shared/dates'
import type { VisitId } from '@/domain/shared/ids'
import { refused } from '@/domain/shared/problems'
import { listCrews } from '@/server/people/people-repository'
import { findSecondDay, findVisit } from '@/server/visits/visit-repository'
import { said } from '@/domain/shared/said'

/**
 * That the two days of each cleanout among these visits belong together as they stand now: the second a day after the
 * first, by the same crew,
 * which may handle fish. Shares nothing with the planner, so that a fault there shows here.
 * @throws {ProblemError} the first pair that does not
 */
export async function assertLegs(trx: Knex.Transaction, touched: readonly VisitId[]): Promise<void> {
  const seen = new Set<VisitId>()
  for (const id of touched) {
    const visit = await findVisit(trx, id)
    if (!visit) continue
    const first = visit.legOf ? await findVisit(trx, visit.legOf) : visit
    const second = visit.legOf ? visit : await findSecondDay(trx, id)
    if (!first || !second || first.state === 'cancelled' || second.state === 'cancelled' || seen.has(second.id))
      continue
    seen.add(second.id)
    const gap = daysBetween(first.day, second.day)
    const where = { site: second.siteName, first: longDate(first.day), second: longDate(second.day) }
    if (gap < 1) throw refused(said('schedule.problems.beforeTheyWereTakenOut', where))
    if (gap > MAX_DAYS_IN_TANKS) throw refused(said('schedule.problems.fishStayTanksOneNight', where))
    // once fish are in the tanks, any crew that may handle them is better than none
    if (first.state === 'planned' && second.crewId !== first.crewId)
      throw refused(
        said('schedule.problems.bothDaysCleanoutOneCrews', { siteName: second.siteName, crewName: first.crewName }),
      )
    const crew = (await listCrews(trx)).find((c) => c.id === second.crewId)
    if (crew && !crew.setup.skills.includes('fish'))
      throw refused(said('schedule.problems.mayHandleFish', { siteName: second.siteName, name: crew.name }))
  }
}
