import type { Knex } from 'knex'
import { needsOf, type Need } from '@/core/dispatch/needs'
import { DEFAULT_PLAN_WEIGHTS, type PlanCrew, type PlanInput, type PlanVisit, wholeSteps } from '@/core/dispatch/plan/plan-input'
import { cleanoutQuantities, DEFAULT_KIT } from '@/core/jobs/cleanout-quantities'
import { cleanoutDuration, type DurationPart } from '@/core/jobs/duration'
import { JOB_PLANNING } from '@/core/jobs/planning-facts'
import { addDays, dayOfYear, isoWeekday } from '@/core/numeric/calendar'
import { minutesOfDay } from '@/domain/crew-setup'
import type { PondId } from '@/domain/ids'
import type { Crew } from '@/domain/people'
import { SECOND_DAY_SUFFIX, withOtherDay, type PlanWish } from '@/domain/plan-run'
import { savedPondFacts } from '@/domain/pond-facts'
import { windowInYear } from '@/domain/season-dates'
import { listOpenFollowUps } from '@/server/db/follow-up-repository'
import { listCrews } from '@/server/db/people-repository'
import { listPlanningPonds, listPlanningVisits, type PlanningPond, type PlanningVisit } from '@/server/db/planning-repository'
import { findPond } from '@/server/db/pond-repository'
import { travelTable, type MapPoint } from '@/server/gateways/roads'
import { cleanoutPond } from '../visit-planning'

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

/** The yard first, in the middle of all sites that are on the map; then one place for each site. */
export function locate(ponds: readonly PlanningPond[]) {
  const onMap = ponds.filter((p) => p.lat !== null && p.lon !== null)
  const mean = (of: (p: PlanningPond) => number) => (onMap.length === 0 ? 0 : onMap.reduce((sum, p) => sum + of(p), 0) / onMap.length)
  const points: MapPoint[] = [{ lat: mean((p) => p.lat!), lon: mean((p) => p.lon!) }]
  const at = new Map<string, number>()
  for (const pond of onMap)
    if (!at.has(pond.siteId)) {
      at.set(pond.siteId, points.length)
      points.push({ lat: pond.lat!, lon: pond.lon! })
    }
  const siteOf = new Map(ponds.map((p) => [p.pondId, p.siteId]))
  return {
    points,
    of: (pondId: PondId): number => at.get(siteOf.get(pondId) ?? '') ?? 0,
    missing: [...new Set(ponds.filter((p) => !at.has(p.siteId)).map((p) => p.siteName))],
  }
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

/** A refill longer than this runs on after the crew has left, and the fish go back on the next working day. @source house default */
const LONGEST_REFILL_WAIT_MIN = 150
const MOST_DAYS_IN_TANKS = 1
export const SECOND_DAY = 'Second day of the cleanout: refill finished, test, fish back'

interface Hands {
  readonly handsMin: number
  readonly fixedMin: number
  /** Handwork left for a second day; 0 when one day does. */
  readonly secondDayMin: number
}

/** Person-minutes and machine minutes of each need; a cleanout from its pond's own quantities. */
async function handsOf(trx: Knex.Transaction, needs: readonly Need[], ponds: ReadonlyMap<PondId, PlanningPond>): Promise<Map<string, Hands>> {
  const found = new Map<string, Hands>()
  for (const need of needs) {
    const { hands } = JOB_PLANNING[need.job]
    if (hands) {
      found.set(need.id, { handsMin: hands.baseMin + hands.perM2Min * ponds.get(need.pondId as PondId)!.areaM2, fixedMin: 0, secondDayMin: 0 })
      continue
    }
    const pond = (await findPond(trx, need.pondId as PondId))!
    const facts = savedPondFacts(pond)
    const fish = pond.fish.reduce((sum, line) => sum + line.count, 0)
    const { parts } = cleanoutDuration(cleanoutQuantities(cleanoutPond(pond, facts), DEFAULT_KIT, null), fish, facts.basin.wettedAreaM2, 1)
    const of = (part: DurationPart) => parts.find((p) => p.part === part)?.minutes ?? 0
    const handsMin = parts.filter((p) => p.by === 'people').reduce((total, p) => total + p.minutes, 0)
    const two = of('refill') > LONGEST_REFILL_WAIT_MIN
    const later = of('tests') + of('fish-back') + of('pack-up')
    found.set(
      need.id,
      two
        ? { handsMin: handsMin - of('fish-back'), fixedMin: of('pump-out'), secondDayMin: later }
        : { handsMin, fixedMin: of('pump-out') + of('refill'), secondDayMin: 0 },
    )
  }
  return found
}

/** The day after a cleanout whose pond fills longer than a crew can wait. */
const secondDay = (need: Need): Need => ({
  ...need,
  id: `${need.id}${SECOND_DAY_SUFFIX}`,
  job: 'routine',
  earliest: addDays(need.earliest, 1),
  best: addDays(need.best, 1),
  latest: addDays(need.latest, MOST_DAYS_IN_TANKS + 2),
  with: [SECOND_DAY],
  after: [{ need: need.id, minDays: 1, maxDays: MOST_DAYS_IN_TANKS, requires: true }],
})

const minutesOf = (need: Need, hands: ReadonlyMap<string, Hands>): { handsMin: number; fixedMin: number } =>
  need.id.endsWith(SECOND_DAY_SUFFIX)
    ? { handsMin: hands.get(withOtherDay(need.id))!.secondDayMin, fixedMin: 0 }
    : { handsMin: hands.get(need.id)!.handsMin, fixedMin: hands.get(need.id)!.fixedMin }

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
