import type { Knex } from 'knex'
import { DEFAULT_PLAN_WEIGHTS, wholeSteps, type PlanInput } from '@/core/schedule/plan/plan-input'
import { addDays } from '@/core/numeric/calendar'
import { PlanWish } from '@/domain/schedule/plan-run'
import { inPeriod } from '@/domain/firm/firm-period'
import { listBusy } from '@/server/rounds/busy-repository'
import { listFirmPeriods } from '@/server/firm/firm-period-repository'
import { findFirm } from '@/server/firm/firm-repository'
import { listCrews } from '@/server/people/people-repository'
import { listPlanningPonds, listPlanningVisits } from '@/server/schedule/planning-repository'
import { travelTable, type MapPoint } from '@/server/platform/gateways/roads'
import { busyVisits } from './busy'
import { planCrew } from '@/server/schedule/gather'
import { lightOf } from '@/server/schedule/light'
import { locate } from '@/server/schedule/places'
import { legsOf } from '@/server/schedule/legs-of'
import { AS_IT_STANDS, publishedVisit } from '@/server/schedule/plan-visits'

/** What a move on the board is judged by; the travel table crosses to the browser as plain numbers. */
export type BoardInput = Omit<PlanInput, 'travel'> & { readonly travel: readonly number[] }

/** Two days of one piece of work lie no further apart. */
const LEG_DAYS = 7

/** A board without its ways: those are asked for outside the transaction that read the rest. */
export interface BoardFacts {
  readonly board: Omit<BoardInput, 'travel'>
  readonly points: readonly MapPoint[]
}

/** The ways between a board's places. Called outside any transaction: roads are an outside service. */
export async function withTravel({ board, points }: BoardFacts): Promise<BoardInput> {
  const table = await travelTable(points, process.env.ROADS_URL)
  return { ...board, travel: [...table.minutes.map(wholeSteps)] }
}

/**
 * Crews, visits and places of some days, for judging moves by hand; of one crew alone where only its days are asked
 * about.
 */
export async function boardFacts(trx: Knex.Transaction, days: readonly string[], crewId?: string): Promise<BoardFacts> {
  const [from, to] = [days[0]!, days[days.length - 1]!]
  // the first day of a cleanout may lie just before
  const near = await listPlanningVisits(trx, addDays(from, -LEG_DAYS))
  const legs = legsOf(near)
  const visits = near
    .filter((v) => v.day >= from)
    .filter((v) => v.day <= to && (crewId === undefined || v.crewId === crewId))
  const concerned = new Set(visits.map((v) => v.pondId))
  const ponds = (await listPlanningPonds(trx, [...concerned])).filter((p) => concerned.has(p.pondId))
  const byId = new Map(ponds.map((p) => [p.pondId, p]))
  const wish = PlanWish.parse({ from, to })
  const crews = (await listCrews(trx)).filter((crew) => crewId === undefined || crew.id === crewId)
  const places = locate(ponds, crews)
  const periods = await listFirmPeriods(trx, from)
  const open = { days, periods }
  const busy = busyVisits(
    (await listBusy(trx, from, to)).filter((b) => crewId === undefined || b.crewId === crewId),
    crews,
  )
  const board = {
    days: days.filter((day) => !inPeriod(periods, 'closed', day)),
    crews: crews.map((crew) => planCrew(crew, places.yardOf(crew.id), busy.wholeDays.get(crew.id) ?? [])),
    visits: [
      ...visits.map((v) => ({
        ...publishedVisit(v, byId.get(v.pondId)!, places.of(v.pondId), wish, open, { ...AS_IT_STANDS, ...legs(v) }),
        preferredCrew: null,
        published: null,
      })),
      ...busy.visits,
    ],
    locations: places.points.length,
    light: lightOf(places.points[0]!, (await findFirm(trx)).timeZone, days),
    weights: DEFAULT_PLAN_WEIGHTS,
  }
  return { board, points: places.points }
}
