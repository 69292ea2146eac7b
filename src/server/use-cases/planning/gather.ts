import type { Knex } from 'knex'
import { needsOf, type Need } from '@/core/dispatch/needs'
import { DEFAULT_PLAN_WEIGHTS, type PlanCrew, type PlanInput, type PlanVisit, wholeSteps } from '@/core/dispatch/plan/plan-input'
import { JOB_PLANNING } from '@/core/jobs/planning-facts'
import { addDays, dayOfYear, isoWeekday } from '@/core/numeric/calendar'
import { minutesOfDay } from '@/domain/crew-setup'
import type { PondId } from '@/domain/ids'
import type { Crew } from '@/domain/people'
import type { PlanWish } from '@/domain/plan-run'
import { windowInYear } from '@/domain/season-dates'
import { listOpenFollowUps } from '@/server/db/follow-up-repository'
import { listCrews } from '@/server/db/people-repository'
import { listPlanningPonds, listPlanningVisits, type PlanningPond, type PlanningVisit } from '@/server/db/planning-repository'
import { travelTable } from '@/server/gateways/roads'
import { handsOf, minutesOf, secondDay } from './hands'
import { locate } from './places'

/** Done visits that repeats count from. */
const LOOK_BACK_DAYS = 400
/** A published visit without a window of its own may move this far. */
const LOOSE_DAYS = 10
const WHOLE_DAY = [0, 24 * 60] as const
/** A visit that takes this share of a day leaves no room for the way there and another one. */
const WHOLE_DAY_SHARE = 0.8

export interface PlanContext {
  readonly input: PlanInput
  readonly needs: ReadonlyMap<string, Need>
  readonly published: ReadonlyMap<string, PlanningVisit>
  readonly ponds: ReadonlyMap<PondId, PlanningPond>
  readonly crews: readonly Crew[]
  readonly missed: readonly { readonly pondId: PondId; readonly job: string; readonly latest: string }[]
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
  const followUps = await listOpenFollowUps(trx, { dueBy: wish.to })
  const coming = visits.filter((v) => v.state !== 'done' && v.day >= from && v.day <= wish.to)
  // longer than its crew's day: it stays as the office put it, and takes that whole day
  const longest = new Map(crews.map((c) => [c.id, minutesOfDay(c.setup.ends) - minutesOfDay(c.setup.starts) - c.setup.breakMin]))
  const wholeDay = coming.filter((v) => v.plannedMinutes > (longest.get(v.crewId) ?? Infinity) * WHOLE_DAY_SHARE)
  const published = coming.filter((v) => !wholeDay.includes(v))

  let needs: Need[] = []
  const missed: { pondId: PondId; job: string; latest: string }[] = []
  for (const pond of allPonds) {
    const found = needsOf(
      {
        pondId: pond.pondId,
        lines: pond.lines,
        since: pond.since ?? today,
        windows: pond.windows.map((w) => delayed(w, wish.lateByDays)),
        visits: visits.filter((v) => v.pondId === pond.pondId),
        followUps: followUps.filter((f) => f.pondId === pond.pondId).map((f) => ({ id: f.id, title: f.title, from: f.dueFrom, to: f.dueTo })),
      },
      from,
      wish.to,
    )
    needs.push(...found.needs)
    missed.push(...found.missed.map((m) => ({ ...m, pondId: pond.pondId })))
  }

  const places = locate(allPonds)
  const table = await travelTable(places.points, roadsUrl)
  const days = workingDays(from, wish.to)
  const year = Number(from.slice(0, 4))
  const hands = await handsOf(trx, needs, ponds)
  needs = needs.flatMap((need) => (hands.get(need.id)!.secondDayMin > 0 ? [need, secondDay(need)] : [need]))
  const crewIds = new Set(crews.map((c) => c.id))
  const planVisits = [
    ...published.filter((v) => crewIds.has(v.crewId)).map((v) => publishedVisit(v, ponds.get(v.pondId)!, places.of(v.pondId), wish, year)),
    ...needs.map((need) => neededVisit(need, ponds.get(need.pondId as PondId)!, places.of(need.pondId as PondId), minutesOf(need, hands))),
  ]
  const known = new Set(planVisits.map((v) => v.id))
  return {
    input: {
      days,
      crews: crews.map((crew) =>
        planCrew(
          crew,
          wholeDay.filter((v) => v.crewId === crew.id).map((v) => v.day),
        ),
      ),
      visits: planVisits.map((v) => ({ ...v, after: v.after.filter((a) => known.has(a.visit)) })),
      locations: places.points.length,
      travel: table.minutes.map(wholeSteps),
      weights: DEFAULT_PLAN_WEIGHTS,
    },
    needs: new Map(needs.map((n) => [n.id, n])),
    published: new Map(published.map((v) => [v.id as string, v])),
    ponds,
    crews,
    missed,
    roads: table.source,
    notOnMap: places.missing,
  }
}

const delayed = <W extends { job: string; earliest: string; best: string; latest: string }>(window: W, days: number): W =>
  days === 0 ? window : { ...window, earliest: addDays(window.earliest, days), best: addDays(window.best, days), latest: addDays(window.latest, days) }

function workingDays(from: string, to: string): string[] {
  const days: string[] = []
  for (let day = from; day <= to; day = addDays(day, 1)) if (isoWeekday(day) <= 5) days.push(day)
  return days
}

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
const opening = ({ opens, closes, closedDays }: PlanningPond) => ({
  opensMin: opens ? minutesOfDay(opens) : WHOLE_DAY[0],
  closesMin: closes ? minutesOfDay(closes) : WHOLE_DAY[1],
  closedDays,
})

function neededVisit(need: Need, pond: PlanningPond, location: number, hands: { handsMin: number; fixedMin: number }): PlanVisit {
  const facts = JOB_PLANNING[need.job]
  return {
    id: need.id,
    location,
    ...hands,
    earliest: need.earliest,
    best: need.best,
    latest: need.latest,
    likelihood: likelihoodOf(pond, need.job, need.earliest, need.latest),
    ...opening(pond),
    skills: facts.skills,
    kit: facts.kit,
    load: 0,
    value: facts.value * (need.late ? 2 : 1),
    after: need.after.map((a) => ({ visit: a.need, minDays: a.minDays, maxDays: a.maxDays, requires: a.requires })),
    preferredCrew: null,
    published: null,
    locked: false,
  }
}

/** A visit that is planned already keeps its length, and may move within its job's window. */
export function publishedVisit(visit: PlanningVisit, pond: PlanningPond, location: number, wish: PlanWish, year: number): PlanVisit {
  const facts = JOB_PLANNING[visit.job]
  const window = pond.windows.find((w) => w.job === visit.job)
  const own = window && [year, year + 1].map((y) => windowInYear(window, y)).find((w) => visit.day >= w.earliest && visit.day <= w.latest)
  const locked = visit.locked || visit.state === 'under-way' || !wish.mayMove
  // what is promised keeps its hour too
  const start = minutesOfDay(visit.startTime)
  const hours = locked ? { opensMin: start, closesMin: start, closedDays: [] } : opening(pond)
  const [earliest, latest] = own ? [own.earliest, own.latest] : [addDays(visit.day, -LOOSE_DAYS), addDays(visit.day, LOOSE_DAYS)]
  return {
    id: visit.id,
    location,
    handsMin: 0,
    fixedMin: visit.plannedMinutes,
    earliest,
    best: own?.best ?? visit.day,
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
  const window = pond.windows.find((w) => w.job === job && w.kind === 'span')
  if (!window) return {}
  const found: Record<string, number> = {}
  for (let day = earliest; day <= latest; day = addDays(day, 1)) found[day] = window.likelihood[Math.min(364, dayOfYear(day) - 1)] ?? 1
  return found
}
