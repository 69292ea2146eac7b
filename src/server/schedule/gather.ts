import type { Knex } from 'knex'
import { needsOf } from '@/core/schedule/needs/needs-of'
import type { Need, PondTask, PondWork } from '@/core/schedule/needs/pond-work'
import {
  DEFAULT_PLAN_WEIGHTS,
  type PlanCrew,
  type PlanInput,
  type PlanVisit,
  wholeSteps,
} from '@/core/schedule/plan/plan-input'
import { VISIT_PLANNING } from '@/core/visits/planning-facts'
import { addDays, daysBetween, isoWeekday } from '@/core/numeric/calendar'
import { USUAL_WEEKS } from '@/core/season/usual-water'
import { minutesOfDay } from '@/domain/people/crew-setup'
import { lampRest } from '@/domain/equipment/lamp-rest'
import { houseRulesAt } from '@/domain/house-rules/house-rules'
import { inPeriod, type FirmPeriod } from '@/domain/firm/firm-period'
import type { PondId } from '@/domain/shared/ids'
import type { Crew } from '@/domain/people/people'
import type { PlanWish } from '@/domain/schedule/plan-run'
import { windowsIn } from '@/domain/season/season-dates'
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
import { handsOf, minutesOf, secondDay } from './hands'
import { durationCorrections } from '@/server/visits/durations'
import { dueTasks } from '@/server/equipment/tasks'
import { busyVisits } from '@/server/rounds/busy'
import { lightOf } from './light'
import { locate } from './places'
import { neededVisit, publishedVisit, type StandingFacts } from './plan-visits'
import { crewsOut } from './crews-out'
import { legsOf, otherDays, promisedAlike } from './legs-of'
import { urgentFirst } from '@/core/schedule/plan/urgent-first'

/** Marks what a customer would need who is not there. */
export const NEW_CUSTOMER_PREFIX = 'new-customer-'
/** Done visits that repeats count from. */
const LOOK_BACK_DAYS = 400

export interface PlanContext {
  readonly input: PlanInput
  readonly needs: ReadonlyMap<string, Need>
  /** What each need's minutes were multiplied by. */
  readonly learnt: ReadonlyMap<string, number>
  readonly published: ReadonlyMap<string, PlanningVisit>
  readonly ponds: ReadonlyMap<PondId, PlanningPond>
  /** The day and hour that the customers of published visits know of. */
  readonly notified: ReadonlyMap<string, NoticeVisit['notified']>
  readonly crews: readonly Crew[]
  readonly missed: readonly { readonly pondId: PondId; readonly job: string; readonly latest: string }[]
  readonly noWindow: readonly { readonly pondId: PondId; readonly job: string }[]
  /** Tasks that visits which stand take along. */
  readonly joins: ReadonlyMap<string, readonly PondTask[]>
  /** What each pond's needs were made from. */
  readonly works: readonly PondWork[]
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
export async function gatherPlan(
  trx: Knex.Transaction,
  wish: PlanWish,
  today: string,
  travel: TravelTable | undefined,
  now?: Date,
): Promise<PlanContext> {
  const { timeZone, rules: house } = await findFirm(trx)
  const from = wish.from > today ? wish.from : today
  const allPonds = await listPlanningPonds(trx)
  const ponds = new Map(allPonds.map((p) => [p.pondId, p]))
  const crews = (await listCrews(trx)).filter((crew) => !wish.crewsAway.includes(crew.id))
  const visits = await listPlanningVisits(trx, addDays(from, -LOOK_BACK_DAYS))
  // a visit that was never made holds nothing
  const taken = new Set(visits.filter((v) => v.state !== 'done' && v.day >= today).flatMap((v) => v.taskIds))
  const tasks = (
    await dueTasks(
      trx,
      { today, timeZone },
      wish.to,
      new Map(allPonds.map((p) => [p.pondId, lampRest(houseRulesAt(house, p.ownRules), p.windows.anyYear)])),
    )
  ).filter((task) => !taken.has(task.id))
  const coming = visits.filter((v) => v.state === 'planned' && v.day >= from && v.day <= wish.to)
  const periods = await listFirmPeriods(trx, from)
  const days = workingDays(from, wish.to, wish.lostDays, periods)
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
  const published = coming.filter((v) => !besides.includes(v))

  let needs: Need[] = []
  const missed: { pondId: PondId; job: string; latest: string }[] = []
  const noWindow: { pondId: PondId; job: string }[] = []
  const joins = new Map<string, PondTask[]>()
  const works: PondWork[] = []
  for (const pond of allPonds) {
    const work: PondWork = {
      pondId: pond.pondId,
      lines: pond.lines,
      since: pond.since ?? today,
      windowsIn: (year) => windowsIn(pond.windows, year).map((w) => delayed(w, wish.lateByDays)),
      weeklyWaterC: pond.weeklyC ?? USUAL_WEEKS,
      aggressivePlants: pond.aggressivePlants,
      visits: visits
        .filter((v) => v.pondId === pond.pondId)
        .flatMap((v) => [v.job, ...v.also].map((job) => ({ job, day: v.day }))),
      planned: published.filter((v) => v.pondId === pond.pondId && v.state === 'planned'),
      tasks: tasks.filter((task) => task.pondId === pond.pondId),
    }
    works.push(work)
    const found = needsOf(work, from, wish.to)
    needs.push(...found.needs)
    for (const { visit, task } of found.joins) joins.set(visit, [...(joins.get(visit) ?? []), task])
    missed.push(...found.missed.map((m) => ({ ...m, pondId: pond.pondId })))
    noWindow.push(...found.noWindow.map((m) => ({ ...m, pondId: pond.pondId })))
  }

  needs.push(...newCustomerNeeds(works, wish.newCustomers, from, wish.to))
  const places = locate(allPonds, crews)
  // a site that came in between the two readings has no ways yet
  const table =
    travel && travel.minutes.length === places.points.length ** 2 ? travel : straightLineTable(places.points)
  const hands = await handsOf(trx, needs, ponds, await durationCorrections(trx))
  needs = needs.flatMap((need) => (hands.get(need.id)!.secondDayMin > 0 ? [need, secondDay(need)] : [need]))
  const busy = busyVisits(
    (await listBusy(trx, from, wish.to)).filter((b) => days.includes(b.day)),
    crews,
  )
  // customers like to see the faces they know
  const knownCrews = new Map(
    visits.filter((v) => v.state === 'done').map((v) => [v.pondId as string, v.crewId as string]),
  )
  const notified = new Map((await listVisitsWithNotices(trx, from)).map((v) => [v.visitId as string, v.notified]))
  const out =
    now && wish.from <= today
      ? crewsOut(crews, visits, places, { today, timeZone, now }, wish.fromTime ?? null)
      : undefined
  const legs = legsOf(visits)
  const about = (v: PlanningVisit): StandingFacts => ({
    stands: stands(v),
    knows: notified.get(v.id)?.kind !== 'visit-cancelled' && notified.get(v.id) != null,
    daysAhead: daysBetween(from, v.day),
    // the rest of a day that has begun is laid out anew
    hourIsFree: out?.[v.crewId] !== undefined && v.day === today,
    ...legs(v),
  })
  const planVisits = [
    ...published.map((v) =>
      withMinutes(
        publishedVisit(
          promisedAlike(v, otherDay),
          ponds.get(v.pondId)!,
          places.of(v.pondId),
          wish,
          { days, periods },
          about(v),
        ),
        joins.get(v.id) ?? [],
      ),
    ),
    ...needs.map((need) =>
      neededVisit(
        need,
        ponds.get(need.pondId as PondId)!,
        places.of(need.pondId as PondId),
        minutesOf(need, hands),
        { days, periods },
        knownCrews.get(need.pondId) ?? null,
      ),
    ),
    ...busy.visits,
  ]
  const known = new Set(planVisits.map((v) => v.id))
  const urgent = new Set(needs.flatMap((need) => (need.urgent ? [need.id] : [])))
  const input: PlanInput = {
    days,
    crews: crews.map((crew) =>
      planCrew(
        wish.withoutKit.includes(crew.id) ? { ...crew, setup: { ...crew.setup, kit: [] } } : crew,
        places.yardOf(crew.id),
        [...absences(wish, crew.id, days), ...(busy.wholeDays.get(crew.id) ?? [])],
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
    input: urgentFirst(input, urgent),
    needs: new Map(needs.map((n) => [n.id, n])),
    learnt: new Map([...hands].map(([id, h]) => [id, h.learntFactor])),
    published: new Map(published.map((v) => [v.id as string, v])),
    ponds,
    notified,
    besides: besides.length,
    crews,
    missed,
    noWindow,
    joins,
    works,
    roads: table.source,
    notOnMap: places.missing,
  }
}

const delayed = <W extends { job: string; earliest: string; best: string; latest: string }>(
  window: W,
  days: number,
): W =>
  days === 0
    ? window
    : {
        ...window,
        earliest: addDays(window.earliest, days),
        best: addDays(window.best, days),
        latest: addDays(window.latest, days),
      }

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

/** As many customers more, each like one there is, with all that its ponds need. Their keys tell them apart. */
function newCustomerNeeds(works: readonly PondWork[], count: number, from: string, to: string): Need[] {
  const served = works.filter((work) => work.lines.length > 0)
  return Array.from({ length: served.length === 0 ? 0 : count }, (_, i) => {
    // spread over the list rather than its first few
    const twin = served[Math.floor(((i + 0.5) * served.length) / count) % served.length]!
    const named = (id: string) => `${NEW_CUSTOMER_PREFIX}${i + 1}:${id}`
    // all that its twin asks for, whether that is planned by now or not
    return needsOf({ ...twin, visits: [], planned: [], tasks: [] }, from, to)
      .needs.filter((need) => !need.late)
      .map((need) => ({
        ...need,
        id: named(need.id),
        tasks: [],
        after: need.after.map((a) => ({ ...a, need: named(a.need) })),
      }))
  }).flat()
}

/** Days on which a crew is said not to work, by what the plan was asked for. */
const absences = (wish: PlanWish, crewId: string, days: readonly string[]): string[] =>
  days.filter((day) => wish.absent.some((a) => a.crewId === crewId && day >= a.from && day <= a.to))

export const planCrew = ({ id, size, setup }: Crew, depot: number, taken: readonly string[]): PlanCrew => ({
  id,
  size: Math.max(1, size),
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
