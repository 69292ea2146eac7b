import { judgeMove } from '@/core/schedule/plan/judge-move'
import type { PlanOutcome } from '@/core/schedule/plan/make-plan'
import { crewHours } from '@/core/schedule/plan/crew-hours'
import type { Need, PondTask } from '@/core/schedule/needs/pond-work'
import { visitMinutes } from '@/core/visits/learn-duration'
import { handsOfCrew, minutesWith, type PlanVisit } from '@/core/schedule/plan/plan-input'
import { addDays, isoWeekday, mondayOf } from '@/core/numeric/calendar'
import { clockOf, minutesOfDay } from '@/domain/people/crew-setup'
import type { CrewId, PondId } from '@/domain/shared/ids'
import { noticeDue } from '@/domain/messages/notice'
import type { CrunchWeek, PlanChange, PlanLeftOver, PlanResult } from '@/domain/schedule/plan-run'
import type { PlanningVisit } from '@/server/schedule/planning-repository'
import type { PlanContext } from './gather'
import { waitingNeeds } from './waiting'

/** Of a day that is laid out anew, a change of the hour by more than this is a move, minutes. */
const FREE_HOUR_MIN = 25

/** A plan as changes to what stands: visits new and moved, and what found no place, with names. */
export function proposalOf(context: PlanContext, outcome: PlanOutcome, lastDay: string): PlanResult {
  const { ponds, missed } = context
  const { changes, kept } = changesOf(context, outcome)
  const named = <Of extends { readonly pondId: PondId }>({ pondId, ...rest }: Of) => ({
    pondName: ponds.get(pondId)!.name,
    siteName: ponds.get(pondId)!.siteName,
    ...rest,
  })
  return {
    changes,
    kept,
    unplaced: outcome.unplaced.filter(({ visit }) => !context.busy.has(visit)).map((left) => leftOverOf(context, left)),
    missed: missed.map(named),
    noWindow: context.noWindow.map(named),
    waiting: waitingNeeds(context, outcome, lastDay),
    crunch: crunchOf(context, outcome),
    travelMin: outcome.travelMin,
    feasible: outcome.feasible,
    besides: context.besides,
    overlong: outcome.overlong.map(({ crew, day }) => ({ crewId: crew as CrewId, day })),
    roads: context.roads,
    notOnMap: context.notOnMap,
  }
}

/** What differs from what stands, by day, crew and hour, and how many visits stay as they are. */
function changesOf(context: PlanContext, outcome: PlanOutcome): Pick<PlanResult, 'changes' | 'kept'> {
  const { input, published, joins } = context
  const byId = new Map(input.visits.map((v) => [v.id, v]))
  const untouched = new Set(outcome.untouched.map((d) => `${d.crew} ${d.day}`))
  const pairs = new Map(
    input.visits.flatMap(({ id, after }) =>
      after.flatMap(({ leg, visit }) => (leg ? [[id, visit] as const, [visit, id] as const] : [])),
    ),
  )
  const changes: PlanChange[] = []
  let kept = 0
  for (const placed of outcome.assignments) {
    if (context.busy.has(placed.visit)) continue
    const visit = byId.get(placed.visit)!
    const stands = published.get(placed.visit)
    const joined = joins.get(placed.visit) ?? []
    const left = stands === undefined || untouched.has(`${placed.crew} ${placed.day}`)
    const shiftMin = left ? 0 : Math.abs(minutesOfDay(stands.startTime) - placed.startMin)
    const moved =
      stands !== undefined &&
      (stands.day !== placed.day || stands.crewId !== placed.crew || shiftMin > (visit.slackMin ?? FREE_HOUR_MIN))
    if (stands && !moved && joined.length === 0) {
      kept++
      if (shiftMin === 0) continue
    }
    const from = { stands, was: moved ? stands : undefined, joined, shiftMin, pair: pairs.get(placed.visit) ?? null }
    changes.push(changeOf(context, outcome, placed, visit, from))
  }
  changes.sort(
    (a, b) => a.day.localeCompare(b.day) || a.crewId.localeCompare(b.crewId) || a.startTime.localeCompare(b.startTime),
  )
  return { changes, kept }
}

interface ComesFrom {
  readonly stands: PlanningVisit | undefined
  /** The visit that stands, where its day, crew or hour is another one now. */
  readonly was: PlanningVisit | undefined
  readonly joined: readonly PondTask[]
  readonly shiftMin: number
  readonly pair: string | null
}

function kindOf({ stands, was, joined }: ComesFrom): PlanChange['kind'] {
  if (!stands) return 'new'
  if (was) return 'moved'
  return joined.length > 0 ? 'joined' : 'shifted'
}

function changeOf(
  context: PlanContext,
  outcome: PlanOutcome,
  { visit: key, crew, day, startMin, endMin }: PlanOutcome['assignments'][number],
  { earliest, best, latest }: PlanVisit,
  from: ComesFrom,
): PlanChange {
  const { stands, was, joined, shiftMin, pair } = from
  const need = context.needs.get(key)
  const pond = context.ponds.get((need?.pondId ?? stands!.pondId) as PondId)!
  return {
    key,
    kind: kindOf(from),
    pair,
    visitId: stands?.id ?? null,
    visitVersion: stands?.version ?? null,
    pondId: pond.pondId,
    pondName: pond.name,
    siteName: pond.siteName,
    ...(context.newCustomers.has(key) && { newCustomer: true }),
    town: pond.town,
    job: need?.job ?? stands!.job,
    also: need?.also ?? [],
    tasks: (need?.tasks ?? joined).map(({ id, title }) => ({ id, title })),
    crewId: crew as CrewId,
    day,
    // a visit of a day that is left alone keeps its hour
    startTime: stands && shiftMin === 0 && !was ? stands.startTime : clockOf(startMin),
    minutes: endMin - startMin,
    ...estimateOf(context, need, crew),
    window: { earliest, best, latest },
    late: need?.late ?? false,
    was: was ? { crewId: was.crewId, day: was.day, startTime: was.startTime } : null,
    why: was ? whyMoved(context, outcome, was) : null,
    tell: was ? whoIsNotified(context, was, { day, startTime: clockOf(startMin) }) : null,
  }
}

/** What a new visit is estimated at with its crew; one that stands keeps its own. */
function estimateOf(
  { hands, input }: PlanContext,
  need: Need | undefined,
  crewId: string,
): Pick<PlanChange, 'learntFactor' | 'estimate'> {
  const day = need && hands.get(need.id)
  if (!day) return { learntFactor: 1 }
  const { size, pace = 1 } = input.crews.find(({ id }) => id === crewId)!
  const handsMin = day.plainMin / handsOfCrew({ size })
  const { lowMin, highMin } = visitMinutes(handsMin * pace, day.fixedMin, day.learnt)
  return {
    learntFactor: day.learnt.factor * pace,
    estimate: { handsMin, machineMin: day.fixedMin, spareMin: day.spareMin, rangeMin: [lowMin, highMin] },
  }
}

function leftOverOf(
  { input, needs, published, ponds }: PlanContext,
  { visit: id, reasons, relaxations }: PlanOutcome['unplaced'][number],
): PlanLeftOver {
  const { earliest, best, latest } = input.visits.find((v) => v.id === id)!
  const need = needs.get(id)
  const pond = ponds.get((need?.pondId ?? published.get(id)!.pondId) as PondId)!
  return {
    pondId: pond.pondId,
    pondName: pond.name,
    siteName: pond.siteName,
    job: need?.job ?? published.get(id)!.job,
    window: { earliest, best, latest },
    reasons,
    relaxations,
  }
}

/** What it would break and cost to leave a visit where it stands, all else as in the plan. */
function whyMoved(
  { input }: PlanContext,
  { assignments }: PlanOutcome,
  { id, crewId, day, startTime }: PlanningVisit,
): PlanChange['why'] {
  // its crew or its day is not in the plan at all: away, or lost
  if (!input.crews.some((c) => c.id === crewId) || !input.days.includes(day))
    return { breaks: [{ code: 'crew-off' }], costMin: 0 }
  const order = assignments.filter(
    (a) => a.crew === crewId && a.day === day && a.visit !== id && a.startMin < minutesOfDay(startTime),
  ).length
  const { problems, costMin } = judgeMove(input, assignments, { visit: id, crew: crewId, day, order })
  return { breaks: problems, costMin }
}

/** Who knows of another day or hour, and how they are reached; nobody when the customer was never told. */
function whoIsNotified(
  { notified, ponds }: PlanContext,
  { id, pondId }: PlanningVisit,
  to: { day: string; startTime: string },
): PlanChange['tell'] {
  if (noticeDue({ state: 'planned', ...to }, notified.get(id) ?? null) !== 'visit-moved') return null
  const { name, email, phone } = ponds.get(pondId)!.customer
  return { customer: name, byEmail: email !== '', phone }
}

/** By week: minutes of work the plan holds, minutes wanted around their best day, and the crews' minutes. */
function crunchOf({ input, busy }: PlanContext, outcome: PlanOutcome): CrunchWeek[] {
  const weeks = new Map<string, { plannedMin: number; wantedMin: number; crewMin: number }>()
  const week = (day: string) => {
    const monday = mondayOf(day)
    const known = weeks.get(monday) ?? { plannedMin: 0, wantedMin: 0, crewMin: 0 }
    weeks.set(monday, known)
    return known
  }
  for (const day of input.days)
    for (const crew of input.crews) {
      if (crew.daysOff.includes(day)) continue
      const { startMin, endMin } = crewHours(input, crew, day)
      week(day).crewMin += endMin - startMin
    }
  for (const a of outcome.assignments)
    if (!busy.has(a.visit)) week(a.day).plannedMin += a.endMin - a.startMin + a.travelMin
  const usual = input.crews.length === 0 ? 1 : input.crews.reduce((sum, c) => sum + c.size, 0) / input.crews.length
  const last = input.days.at(-1)
  for (const visit of input.visits) {
    if (busy.has(visit.id)) {
      week(visit.best).crewMin -= visit.fixedMin
      continue
    }
    // a best day at the weekend counts for the week it ends
    const day = isoWeekday(visit.best) > 5 ? addDays(visit.best, 5 - isoWeekday(visit.best)) : visit.best
    if (last && day <= last && day >= input.days[0]!) week(day).wantedMin += minutesWith(visit, { size: usual })
  }
  return [...weeks]
    .map(([monday, figures]) => ({ monday, ...figures }))
    .sort((a, b) => a.monday.localeCompare(b.monday))
}
