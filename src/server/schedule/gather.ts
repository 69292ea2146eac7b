import type { Knex } from 'knex'
import type { Need, PondTask } from '@/core/schedule/needs/pond-work'
import {
  DEFAULT_PLAN_WEIGHTS,
  type PlanCrew,
  type PlanInput,
  type PlanVisit,
  wholeSteps,
} from '@/core/schedule/plan/plan-input'
import { VISIT_PLANNING } from '@/core/visits/types'
import { addDays, daysBetween, isoWeekday } from '@/core/numeric/calendar'
import { minutesOfDay } from '@/domain/people/crew-setup'
import { lampRest } from '@/domain/equipment/lamp-rest'
import { houseRulesAt } from '@/domain/house-rules/house-rules'
import { inPeriod, type FirmPeriod } from '@/domain/firm/firm-period'
import type { PondId } from '@/domain/shared/ids'
import type { Crew } from '@/domain/people/people'
import type { PlanWish } from '@/domain/schedule/plan-run'
import { listBusy } from '@/server/rounds/busy-repository'
import { listFirmPeriods } from '@/server/firm/firm-period-repository'
import { findFirm } from '@/server/firm/firm-repository'
import { listCrews } from '@/server/people/people-repository'
import {
  listPlanningPonds,
  listPlanningVisits,
  type PlanningPond,
  type PlanningVisit,
} from '@/server/schedule/planning-repository'
import { listVisitsWithNotices, type NoticeVisit } from '@/server/messages/notice-repository'
import { straightLineTable, type MapPoint, type TravelTable } from '@/server/platform/gateways/roads'
import { dayOf, handsOf, minutesOf, secondDay, type DayHands } from './hands'
import { learntDurations } from '@/server/visits/durations'
import { dueTasks } from '@/server/equipment/tasks'
import { busyVisits } from '@/server/rounds/busy'
import { lightOf } from './light'
import { locate } from './places'
import { needsOfPonds, newCustomerNeeds, type PondNeeds } from './pond-needs'
import { neededVisit, publishedVisit, type StandingFacts } from './plan-visits'
import { crewsOut } from './crews-out'
import { legsOf, otherDays, promisedAlike } from './legs-of'
import { withStandingSpare } from '@/core/schedule/plan/held-minutes'
import { urgentFirst } from '@/core/schedule/plan/urgent-first'

/** Done visits that repeats count from. */
const LOOK_BACK_DAYS = 400

export interface PlanContext extends Omit<PondNeeds, 'needs'> {
  readonly input: PlanInput
  readonly needs: ReadonlyMap<string, Need>
  /** What each need was estimated at, and what was learnt of it. */
  readonly hands: ReadonlyMap<string, DayHands>
  readonly published: ReadonlyMap<string, PlanningVisit>
  readonly ponds: ReadonlyMap<PondId, PlanningPond>
  /** The day and hour that the customers of published visits know of. */
  readonly notified: ReadonlyMap<string, NoticeVisit['notified']>
  readonly crews: readonly Crew[]
  /** Visits that stand for hours in which a crew is busy elsewhere. */
  readonly busy: ReadonlySet<string>
  /** Needs of customers who are not there, in a what-if. */
  readonly newCustomers: ReadonlySet<string>
  readonly roads: 'roads' | 'straight-line'
  /** Visits on weekends that somebody put there. */
  readonly besides: number
  /** Sites without a place on the map: counted as at the yard. */
  readonly notOnMap: readonly string[]
}

/** The places a plan drives between: its ways are asked for before everything else is read. */
export async function planPoints(trx: Knex.Transaction, wish: PlanWish): Promise<readonly MapPoint[]> {
  const crews = (await listCrews(trx)).filter((crew) => !wish.crewsAway.includes(crew.id))
  return locate(await listPlanningPonds(trx), crews).points
}

/**
 * Everything a plan is made from, read at one moment.
 * @param now a plan that begins today begins now, where crews are; left out: it is early in the morning
 * @param travel ways between `planPoints`; straight lines where it does not fit, or is not given
 */
// eslint-disable-next-line max-lines-per-function -- everything a plan needs, read at one moment
export async function gatherPlan(
  trx: Knex.Transaction,
  wish: PlanWish,
  today: string,
  travel: TravelTable | undefined,
  now?: Date,
): Promise<PlanContext> {
  const { timeZone } = await findFirm(trx)
  const begins = wish.from > today ? wish.from : today
  const allPonds = await listPlanningPonds(trx)
  const ponds = new Map(allPonds.map((p) => [p.pondId, p]))
  const crews = (await listCrews(trx)).filter((crew) => !wish.crewsAway.includes(crew.id))
  const visits = await listPlanningVisits(trx, addDays(begins, -LOOK_BACK_DAYS))
  const from = withFirstDays(visits, { from: begins, to: wish.to, today })
  const periods = await listFirmPeriods(trx, from)
  const days = workingDays(from, wish.to, wish.lostDays, periods)
  const standing = standingVisits(visits, crews, wish, days, from)
  const { published } = standing
  const found = needsOfPonds({
    ponds: allPonds,
    visits,
    published,
    tasks: await openTasks(trx, allPonds, visits, { today, timeZone, until: wish.to }),
    wish,
    from,
    today,
  })
  const { joins, works } = found
  const newOnes = newCustomerNeeds(works, wish.newCustomers, from, wish.to)
  const places = locate(allPonds, crews)
  // a site that came in between the two readings has no ways yet
  const table =
    travel && travel.minutes.length === places.points.length ** 2 ? travel : straightLineTable(places.points)
  const asked = [...found.needs, ...newOnes]
  const learnt = await learntDurations(trx)
  const usualSize = crews.length === 0 ? 1 : crews.reduce((sum, crew) => sum + crew.size, 0) / crews.length
  const hands = await handsOf(trx, asked, ponds, learnt, usualSize)
  const needs = asked.flatMap((need) => (hands.get(need.id)!.secondDay ? [need, secondDay(need)] : [need]))
  const busy = busyVisits(
    (await listBusy(trx, from, wish.to)).filter((b) => days.includes(b.day)),
    crews,
  )
  const notified = new Map((await listVisitsWithNotices(trx, from)).map((v) => [v.visitId as string, v.notified]))
  const out =
    now && wish.from <= today
      ? crewsOut(crews, visits, places, { today, timeZone, now }, wish.fromTime ?? null)
      : undefined
  const legs = legsOf(visits)
  const about = (v: PlanningVisit): StandingFacts => ({
    stands: standing.stands(v),
    knows: notified.get(v.id)?.kind !== 'visit-cancelled' && notified.get(v.id) != null,
    daysAhead: daysBetween(from, v.day),
    // the rest of a day that has begun is laid out anew
    hourIsFree: out?.[v.crewId] !== undefined && v.day === today,
    ...legs(v),
  })
  const open = { days, periods }
  const stay = (v: PlanningVisit) => {
    const alike = promisedAlike(v, standing.otherDay)
    const visit = publishedVisit(alike, ponds.get(v.pondId)!, places.of(v.pondId), wish, open, about(v))
    return withMinutes(visit, joins.get(v.id) ?? [])
  }
  const knownCrew = knownCrews(visits)
  const come = (need: Need) => {
    const pondId = need.pondId as PondId
    const minutes = minutesOf(need, hands)
    return neededVisit(need, ponds.get(pondId)!, places.of(pondId), minutes, open, knownCrew.get(pondId) ?? null)
  }
  const planVisits = [...published.map(stay), ...needs.map(come), ...busy.visits]
  const known = new Set(planVisits.map((v) => v.id))
  const input: PlanInput = {
    days,
    crews: crews.map((crew) =>
      planCrew(
        withoutLostKit(crew, wish),
        places.yardOf(crew.id),
        [...absences(wish, crew.id, days), ...(busy.wholeDays.get(crew.id) ?? [])],
        learnt.paceOf(crew.id),
      ),
    ),
    visits: planVisits.map((v) => ({ ...v, after: v.after.filter((a) => known.has(a.visit)) })),
    locations: places.points.length,
    travel: table.minutes.map(wholeSteps),
    light: lightOf(places.points[0]!, timeZone, days),
    ...(out ? { out } : {}),
    weights: DEFAULT_PLAN_WEIGHTS,
  }
  return {
    ...found,
    input: urgentFirst(withStandingSpare(input), new Set(needs.flatMap((need) => (need.urgent ? [need.id] : [])))),
    needs: new Map(needs.map((n) => [n.id, n])),
    hands: new Map(needs.map((need) => [need.id, dayOf(need, hands)])),
    published: new Map(published.map((v) => [v.id as string, v])),
    ponds,
    notified,
    besides: standing.besides.length,
    crews,
    busy: new Set(busy.visits.map((v) => v.id)),
    newCustomers: new Set(newOnes.flatMap((need) => [need.id, secondDay(need).id])),
    roads: table.source,
    notOnMap: places.missing,
  }
}

/** Tasks that fall due and that no coming visit has taken along. */
async function openTasks(
  trx: Knex.Transaction,
  ponds: readonly PlanningPond[],
  visits: readonly PlanningVisit[],
  { today, timeZone, until }: { readonly today: string; readonly timeZone: string; readonly until: string },
) {
  const { rules: house } = await findFirm(trx)
  // a visit that was never made holds nothing
  const taken = new Set(visits.filter((v) => v.state !== 'done' && v.day >= today).flatMap((v) => v.taskIds))
  const rests = new Map(
    ponds.map((p) => [p.pondId, lampRest(houseRulesAt(house, p.ownRules), p.windows.anyYear)] as const),
  )
  return (await dueTasks(trx, { today, timeZone }, until, rests)).filter((task) => !taken.has(task.id))
}

/**
 * The first day of a plan that holds whole pieces of work: a cleanout's second day that falls into it brings its first
 * along, unless that is over.
 */
function withFirstDays(
  visits: readonly PlanningVisit[],
  { from, to, today }: { readonly from: string; readonly to: string; readonly today: string },
): string {
  const planned = new Map(visits.flatMap((v) => (v.state === 'planned' ? [[v.id as string, v] as const] : [])))
  const firstDays = [...planned.values()].flatMap((v) => {
    const first = v.legOf && v.day >= from && v.day <= to ? planned.get(v.legOf) : undefined
    return first && first.day >= today ? [first.day] : []
  })
  return [from, ...firstDays].reduce((a, b) => (b < a ? b : a))
}

/** Which of the coming visits are the plan's, and which of these may stay where they are. */
function standingVisits(
  visits: readonly PlanningVisit[],
  crews: readonly Crew[],
  wish: PlanWish,
  days: readonly string[],
  from: string,
) {
  const coming = visits.filter((v) => v.state === 'planned' && v.day >= from && v.day <= wish.to)
  const absentDays = new Map(crews.map((c) => [c.id as string, new Set(absences(wish, c.id, days))]))
  // whose crew is away, or whose day is lost, cannot stay where it is
  const ownPlace = (v: PlanningVisit) =>
    !wish.lostDays.includes(v.day) &&
    absentDays.get(v.crewId)?.has(v.day) === false &&
    !(wish.withoutKit.includes(v.crewId) && (VISIT_PLANNING[v.job]?.kit.length ?? 0) > 0)
  // of a cleanout's two days neither stands where the other cannot, nor is one promised alone
  const otherDay = otherDays(coming)
  const stands = (v: PlanningVisit) => ownPlace(v) && ownPlace(otherDay.get(v.id) ?? v)
  // somebody chose to work on a weekend: that stays, beside the plan
  const besides = coming.filter((v) => stands(v) && isoWeekday(v.day) > 5)
  return { stands, otherDay, besides, published: coming.filter((v) => !besides.includes(v)) }
}

/** Customers like to see the faces they know: who was last at each pond. */
const knownCrews = (visits: readonly PlanningVisit[]) =>
  new Map(visits.filter((v) => v.state === 'done').map((v) => [v.pondId as string, v.crewId as string]))

const withoutLostKit = (crew: Crew, wish: PlanWish): Crew =>
  wish.withoutKit.includes(crew.id) ? { ...crew, setup: { ...crew.setup, kit: [] } } : crew

/**
 * Days on which the firm works: no weekends, no days on which it is closed, and not those that are lost to the
 * weather.
 */
function workingDays(from: string, to: string, lost: readonly string[], periods: readonly FirmPeriod[]): string[] {
  const days: string[] = []
  for (let day = from; day <= to; day = addDays(day, 1))
    if (isoWeekday(day) <= 5 && !lost.includes(day) && !inPeriod(periods, 'closed', day)) days.push(day)
  return days
}

/** A visit that takes tasks along needs their time too; one pair of hands does them while the others go on. */
const withMinutes = (visit: PlanVisit, tasks: readonly PondTask[]): PlanVisit => ({
  ...visit,
  fixedMin: visit.fixedMin + wholeSteps(tasks.reduce((sum, task) => sum + task.minutes, 0)),
})

/** Days on which a crew is said not to work, by what the plan was asked for. */
const absences = (wish: PlanWish, crewId: string, days: readonly string[]): string[] =>
  days.filter((day) => wish.absent.some((a) => a.crewId === crewId && day >= a.from && day <= a.to))

export const planCrew = ({ id, size, setup }: Crew, depot: number, taken: readonly string[], pace = 1): PlanCrew => ({
  id,
  size: Math.max(1, size),
  pace,
  skills: setup.skills,
  kit: setup.kit,
  depot,
  startMin: minutesOfDay(setup.starts),
  endMin: minutesOfDay(setup.ends),
  breakMin: setup.breakMin,
  overtimeMin: setup.overtimeMin,
  capacity: setup.carriesM3,
  tankM3: setup.tankM3,
  daylightOnly: setup.daylightOnly,
  daysOff: [...setup.daysOff, ...taken],
})
