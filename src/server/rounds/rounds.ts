import { addDays, weekBeginOf } from '@/core/numeric/calendar'
import { may } from '@/domain/people/roles'
import type { Crew } from '@/domain/people/people'
import type { DayWays } from '@/domain/rounds/day-load'
import { REGION_HABITS, type Region } from '@/domain/shared/region'
import { listCrews } from '@/server/people/people-repository'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { minuteIn, todayIn } from '@/server/platform/today'
import { listPondPlaces } from '@/server/ponds/pond-repository'
import { listBusy } from '@/server/rounds/busy-repository'
import { locate } from '@/server/schedule/places'
import { listVisitLines, type VisitLine } from '@/server/visits/visit-line-repository'
import { boardFacts, withTravel } from './board'
import { waysOfRounds } from './ways'

/** One crew's day: its stops in their order, and what it drives between them. */
export interface RoundsDay {
  readonly crewId: string
  readonly day: string
  readonly stops: readonly VisitLine[]
  readonly ways: DayWays
}

/** Crews and the seven days of a week as its reader counts them, with the driving and where a crew is away. */
export async function roundsPage(actor: Actor, dayInWeek: string | null, region: Region) {
  assertMay(actor, 'visits.read')
  const today = todayIn(actor.timeZone)
  const day = dayInWeek ?? today
  const from = weekBeginOf(day, REGION_HABITS[region].weekBegins)
  const to = addDays(from, 6)
  const days = Array.from({ length: 7 }, (_, i) => addDays(from, i))
  const mayPlan = may(actor.role, 'visits.plan')
  const { facts, places, ...page } = await inFirm(actor.firmId, async (trx) => {
    const crews = await listCrews(trx)
    return {
      today,
      nowMin: minuteIn(actor.timeZone, new Date()),
      day,
      days,
      crews,
      visits: await listVisitLines(trx, { from, to }),
      busy: (await listBusy(trx, from, to)).map(({ crewId, day, startMin, endMin, title }) => ({
        crewId,
        day,
        startMin,
        endMin,
        title,
      })),
      mayPlan,
      places: locate(await listPondPlaces(trx), crews),
      // what moves are judged by; those who may not move anything need none of it
      facts: mayPlan ? await boardFacts(trx, days) : null,
    }
  })
  const cells = cellsOf(page.crews, page.days, page.visits)
  // both ask the roads: at once
  const [ways, board] = await Promise.all([
    waysOfRounds(
      places,
      cells.map(({ crewId, stops }) => ({ crewId, ponds: stops.map((v) => v.pondId) })),
    ),
    facts && withTravel(facts),
  ])
  return {
    ...page,
    rounds: cells.map((cell, i): RoundsDay => ({ ...cell, ways: ways[i]! })),
    board,
  }
}
export type RoundsPageData = Awaited<ReturnType<typeof roundsPage>>

const cellsOf = (crews: readonly Crew[], days: readonly string[], visits: readonly VisitLine[]) =>
  crews.flatMap(({ id: crewId }) =>
    days.map((day) => ({
      crewId,
      day,
      stops: visits
        .filter((v) => v.crewId === crewId && v.day === day)
        .sort((a, b) => a.startTime.localeCompare(b.startTime)),
    })),
  )
