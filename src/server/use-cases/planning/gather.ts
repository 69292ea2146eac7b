import type { Knex } from 'knex'
import { needsOf } from '@/core/dispatch/needs/needs-of'
import type { Need, PondTask } from '@/core/dispatch/needs/pond-work'
import { DEFAULT_PLAN_WEIGHTS, type PlanCrew, type PlanInput, type PlanVisit, wholeSteps } from '@/core/dispatch/plan/plan-input'
import { JOB_PLANNING } from '@/core/jobs/planning-facts'
import { addDays, isoWeekday } from '@/core/numeric/calendar'
import { plainDayOfYear } from '@/core/season/weather-ahead'
import { minutesOfDay } from '@/domain/crew-setup'
import type { PondId } from '@/domain/ids'
import type { Crew } from '@/domain/people'
import type { PlanWish } from '@/domain/plan-run'
import { windowsIn } from '@/domain/season-dates'
import { WEEKDAYS } from '@/domain/customer'
import { listBusy } from '@/server/db/busy-repository'
import { listCrews } from '@/server/db/people-repository'
import { listPlanningPonds, listPlanningVisits, type PlanningPond, type PlanningVisit, type PlanningWindow } from '@/server/db/planning-repository'
import { travelTable } from '@/server/gateways/roads'
import { handsOf, minutesOf, secondDay } from './hands'
import { durationLessons } from '../durations'
import { dueTasks } from '../tasks'
import { busyVisits } from './busy'
import { locate } from './places'

/** Marks what a customer would need who is not there. */
export const NEW_CUSTOMER_PREFIX = 'new-customer-'
/** Done visits that repeats count from. */
const LOOK_BACK_DAYS = 400
/** A published visit without a window of its own may move this far. */
const LOOSE_DAYS = 10
const WHOLE_DAY = [0, 24 * 60] as const
/** Water of a temperate year, where a pond has no season yet. */
const USUAL_WEEKS = Array.from({ length: 52 }, (_, week) => 11 - 9 * Math.cos((2 * Math.PI * (week - 3)) / 52))
/** A visit that takes this share of a day leaves no room for the way there and another one. */
const WHOLE_DAY_SHARE = 0.8

export interface PlanContext {
  readonly input: PlanInput
  readonly needs: ReadonlyMap<string, Need>
  /** What each need's minutes were multiplied by. */
  readonly learnt: ReadonlyMap<string, number>
  readonly published: ReadonlyMap<string, PlanningVisit>
  readonly ponds: ReadonlyMap<PondId, PlanningPond>
  readonly crews: readonly Crew[]
  readonly missed: readonly { readonly pondId: PondId; readonly job: string; readonly latest: string }[]
  readonly noWindow: readonly { readonly pondId: PondId; readonly job: string }[]
  /** Tasks that visits which stand take along. */
  readonly joins: ReadonlyMap<string, readonly PondTask[]>
  readonly roads: 'roads' | 'crow'
  /** Sites without a place on the map: counted as at the yard. */
  readonly notOnMap: readonly string[]
}

/** Everything a plan is made from, read at one moment. */
export async function gatherPlan(trx: Knex.Transaction, wish: PlanWish, today: string, roadsUrl: string | undefined): Promise<PlanContext> {
  const from = wish.from > today ? wish.from : today
  const allPonds = await listPlanningPonds(trx)
  const ponds = new Map(allPonds.map((p) => [p.pondId, p]))
  const crews = (await listCrews(trx)).filter((crew) => !wish.crewsAway.includes(crew.id))
  const visits = await listPlanningVisits(trx, addDays(from, -LOOK_BACK_DAYS))
  // a visit that was never made holds nothing
  const taken = new Set(visits.filter((v) => v.state !== 'done' && v.day >= today).flatMap((v) => v.taskIds))
  const tasks = (await dueTasks(trx, wish.to)).filter((task) => !taken.has(task.id))
  const coming = visits.filter((v) => v.state !== 'done' && v.day >= from && v.day <= wish.to)
  const days = workingDays(from, wish.to, wish.lostDays)
  const absentDays = new Map(crews.map((c) => [c.id as string, new Set(absences(wish, c.id, days))]))
  // whose crew is away, or whose day is lost, cannot stay where it is
  const stands = (v: PlanningVisit) =>
    !wish.lostDays.includes(v.day) &&
    absentDays.get(v.crewId)?.has(v.day) === false &&
    !(wish.withoutKit.includes(v.crewId) && (JOB_PLANNING[v.job]?.kit.length ?? 0) > 0)
  // longer than its crew's day: while its crew is there it stays as the office put it, and takes that whole day
  const longest = new Map(crews.map((c) => [c.id, minutesOfDay(c.setup.ends) - minutesOfDay(c.setup.starts) - c.setup.breakMin]))
  const wholeDay = coming.filter((v) => stands(v) && v.plannedMinutes > (longest.get(v.crewId) ?? Infinity) * WHOLE_DAY_SHARE)
  const published = coming.filter((v) => !wholeDay.includes(v))

  let needs: Need[] = []
  const missed: { pondId: PondId; job: string; latest: string }[] = []
  const noWindow: { pondId: PondId; job: string }[] = []
  const joins = new Map<string, PondTask[]>()
  for (const pond of allPonds) {
    const found = needsOf(
      {
        pondId: pond.pondId,
        lines: pond.lines,
        since: pond.since ?? today,
        windowsIn: (year) => windowsIn(pond.windows, year).map((w) => delayed(w, wish.lateByDays)),
        weeklyWaterC: pond.weeklyC ?? USUAL_WEEKS,
        aggressivePlants: pond.aggressivePlants,
        visits: visits.filter((v) => v.pondId === pond.pondId).flatMap((v) => [v.job, ...v.also].map((job) => ({ job, day: v.day }))),
        planned: published.filter((v) => v.pondId === pond.pondId && v.state === 'planned'),
        tasks: tasks.filter((task) => task.pondId === pond.pondId),
      },
      from,
      wish.to,
    )
    needs.push(...found.needs)
    for (const { visit, task } of found.joins) joins.set(visit, [...(joins.get(visit) ?? []), task])
    missed.push(...found.missed.map((m) => ({ ...m, pondId: pond.pondId })))
    noWindow.push(...found.noWindow.map((m) => ({ ...m, pondId: pond.pondId })))
  }

  needs.push(...newCustomerNeeds(needs, allPonds, wish.newCustomers))
  const places = locate(allPonds)
  const table = await travelTable(places.points, roadsUrl)
  const hands = await handsOf(trx, needs, ponds, await durationLessons(trx))
  needs = needs.flatMap((need) => (hands.get(need.id)!.secondDayMin > 0 ? [need, secondDay(need)] : [need]))
  const busy = busyVisits(
    (await listBusy(trx, from, wish.to)).filter((b) => days.includes(b.day)),
    crews,
  )
  const planVisits = [
    ...published.map((v) => withMinutes(publishedVisit(v, ponds.get(v.pondId)!, places.of(v.pondId), wish, days, stands(v)), joins.get(v.id) ?? [])),
    ...needs.map((need) => neededVisit(need, ponds.get(need.pondId as PondId)!, places.of(need.pondId as PondId), minutesOf(need, hands), days)),
    ...busy.visits,
  ]
  const known = new Set(planVisits.map((v) => v.id))
  return {
    input: {
      days,
      crews: crews.map((crew) =>
        planCrew(wish.withoutKit.includes(crew.id) ? { ...crew, setup: { ...crew.setup, kit: [] } } : crew, [
          ...absences(wish, crew.id, days),
          ...wholeDay.filter((v) => v.crewId === crew.id).map((v) => v.day),
          ...(busy.wholeDays.get(crew.id) ?? []),
        ]),
      ),
      visits: planVisits.map((v) => ({ ...v, after: v.after.filter((a) => known.has(a.visit)) })),
      locations: places.points.length,
      travel: table.minutes.map(wholeSteps),
      weights: DEFAULT_PLAN_WEIGHTS,
    },
    needs: new Map(needs.map((n) => [n.id, n])),
    learnt: new Map([...hands].map(([id, h]) => [id, h.learntFactor])),
    published: new Map(published.map((v) => [v.id as string, v])),
    ponds,
    crews,
    missed,
    noWindow,
    joins,
    roads: table.source,
    notOnMap: places.missing,
  }
}

const delayed = <W extends { job: string; earliest: string; best: string; latest: string }>(window: W, days: number): W =>
  days === 0 ? window : { ...window, earliest: addDays(window.earliest, days), best: addDays(window.best, days), latest: addDays(window.latest, days) }

/** Days on which the firm works: no weekends, and not those that are lost to the weather. */
function workingDays(from: string, to: string, lost: readonly string[]): string[] {
  const days: string[] = []
  for (let day = from; day <= to; day = addDays(day, 1)) if (isoWeekday(day) <= 5 && !lost.includes(day)) days.push(day)
  return days
}

/** A visit that takes tasks along needs their time too; one pair of hands does them while the others go on. */
const withMinutes = (visit: PlanVisit, tasks: readonly PondTask[]): PlanVisit => ({
  ...visit,
  fixedMin: visit.fixedMin + wholeSteps(tasks.reduce((sum, task) => sum + task.minutes, 0)),
})

/** As many customers more, each like one there is, with all that its ponds need. Their keys tell them apart. */
function newCustomerNeeds(needs: readonly Need[], ponds: readonly PlanningPond[], count: number): Need[] {
  const served = ponds.filter((p) => p.lines.length > 0)
  return Array.from({ length: served.length === 0 ? 0 : count }, (_, i) => {
    // spread over the list rather than its first few
    const twin = served[Math.floor(((i + 0.5) * served.length) / count) % served.length]
    const named = (id: string) => `${NEW_CUSTOMER_PREFIX}${i + 1}:${id}`
    return needs
      .filter((need) => need.pondId === twin.pondId)
      .map((need) => ({ ...need, id: named(need.id), tasks: [], after: need.after.map((a) => ({ ...a, need: named(a.need) })) }))
  }).flat()
}

/** Days on which a crew is said not to work, by what the plan was asked for. */
const absences = (wish: PlanWish, crewId: string, days: readonly string[]): string[] =>
  days.filter((day) => wish.absent.some((a) => a.crewId === crewId && day >= a.from && day <= a.to))

export const planCrew = ({ id, size, setup }: Crew, taken: readonly string[]): PlanCrew => ({
  id,
  size: Math.max(1, size),
  skills: setup.skills,
  kit: setup.kit,
  depot: 0,
  startMin: minutesOfDay(setup.starts),
  endMin: minutesOfDay(setup.ends),
  breakMin: setup.breakMin,
  capacity: Number.MAX_SAFE_INTEGER,
  daysOff: [...setup.daysOff, ...taken],
})

/** When work may begin at a site. */
const opening = ({ opens, closes, closedDays, blackouts }: PlanningPond, days: readonly string[]) => ({
  opensMin: opens ? minutesOfDay(opens) : WHOLE_DAY[0],
  closesMin: closes ? minutesOfDay(closes) : WHOLE_DAY[1],
  closedDays:
    closedDays.length + blackouts.length === 0
      ? []
      : days.filter((day) => closedDays.includes(WEEKDAYS[isoWeekday(day) - 1]) || blackouts.some((b) => day >= b.from && day <= b.to)),
})

function neededVisit(need: Need, pond: PlanningPond, location: number, hands: { handsMin: number; fixedMin: number }, days: readonly string[]): PlanVisit {
  const facts = JOB_PLANNING[need.job]
  const also = need.also.map((job) => JOB_PLANNING[job])
  return {
    id: need.id,
    location,
    ...hands,
    earliest: need.earliest,
    best: need.best,
    latest: need.latest,
    likelihood: likelihoodOf(pond, need.job, need.earliest, need.latest),
    ...opening(pond, days),
    skills: [...new Set([facts, ...also].flatMap((f) => f.skills))],
    kit: [...new Set([facts, ...also].flatMap((f) => f.kit))],
    load: 0,
    value: (facts.value + also.reduce((sum, f) => sum + f.value, 0) / 2) * (need.late ? 2 : 1),
    after: need.after.map((a) => ({ visit: a.need, minDays: a.minDays, maxDays: a.maxDays, requires: a.requires })),
    preferredCrew: null,
    published: null,
    locked: false,
  }
}

/** A visit that is planned already keeps its length, and may move within its job's window. */
export function publishedVisit(visit: PlanningVisit, pond: PlanningPond, location: number, wish: PlanWish, days: readonly string[], stands = true): PlanVisit {
  const facts = JOB_PLANNING[visit.job]
  const year = Number(visit.day.slice(0, 4))
  // a window may run over New Year
  const own = [year, year - 1].flatMap((y) => windowsIn(pond.windows, y)).find((w) => w.job === visit.job && visit.day >= w.earliest && visit.day <= w.latest)
  const locked = stands && (visit.locked || visit.state === 'under-way' || !wish.mayMove)
  // what is promised keeps its hour too
  const start = minutesOfDay(visit.startTime)
  const hours = locked ? { opensMin: start, closesMin: start, closedDays: [] } : opening(pond, days)
  const loose = [addDays(visit.day, -LOOSE_DAYS), addDays(visit.day, LOOSE_DAYS)] as const
  // several jobs on one visit: it was placed where all of them fell due, and stays near there
  const shared = visit.also.length > 0
  const earliest = own ? (shared && loose[0] > own.earliest ? loose[0] : own.earliest) : loose[0]
  const ends = own ? (shared && loose[1] < own.latest ? loose[1] : own.latest) : loose[1]
  // what has to move may run a little over its window rather than fall out
  const latest = stands || ends > loose[1] ? ends : loose[1]
  return {
    id: visit.id,
    location,
    handsMin: 0,
    fixedMin: visit.plannedMinutes,
    earliest,
    best: shared ? visit.day : (own?.best ?? visit.day),
    latest,
    likelihood: likelihoodOf(pond, visit.job, earliest, latest),
    ...hours,
    skills: facts?.skills ?? [],
    kit: facts?.kit ?? [],
    load: 0,
    value: facts?.value ?? 1,
    after: [],
    preferredCrew: visit.crewId,
    published: { crew: visit.crewId, day: visit.day, startMin: start },
    locked,
  }
}

/** Share of years that allow the job on each day, for jobs that hang on conditions of the day. */
function likelihoodOf(pond: PlanningPond, job: string, earliest: string, latest: string): Record<string, number> {
  const found: Record<string, number> = {}
  let window: PlanningWindow | undefined
  let year = 0
  for (let day = earliest; day <= latest; day = addDays(day, 1)) {
    if (Number(day.slice(0, 4)) !== year) {
      year = Number(day.slice(0, 4))
      window = windowsIn(pond.windows, year).find((w) => w.job === job && w.kind === 'span')
    }
    if (window) found[day] = window.likelihood[plainDayOfYear(day) - 1] ?? 1
  }
  return found
}
