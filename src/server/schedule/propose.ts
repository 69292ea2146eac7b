import { judgeMove } from '@/core/schedule/plan/judge-move'
import type { PlanOutcome } from '@/core/schedule/plan/make-plan'
import { crewHours } from '@/core/schedule/plan/crew-hours'
import { minutesWith } from '@/core/schedule/plan/plan-input'
import { addDays, isoWeekday, mondayOf } from '@/core/numeric/calendar'
import { clockOf, minutesOfDay } from '@/domain/people/crew-setup'
import type { CrewId, PondId } from '@/domain/shared/ids'
import { noticeDue } from '@/domain/messages/notice'
import type { CrunchWeek, PlanChange, PlanLeftOver, PlanResult } from '@/domain/schedule/plan-run'
import type { PlanningVisit } from '@/server/schedule/planning-repository'
import { BUSY_PREFIX } from '@/server/rounds/busy'
import { NEW_CUSTOMER_PREFIX, type PlanContext } from './gather'
import { waitingNeeds } from './waiting'

/** Of a day that is laid out anew, a change of the hour by more than this is a move, minutes. */
const FREE_HOUR_MIN = 25

/** A plan as changes to what stands: visits new and moved, and what found no place, with names. */
export function proposalOf(context: PlanContext, outcome: PlanOutcome, lastDay: string): PlanResult {
  const { input, needs, published, ponds, missed } = context
  const byId = new Map(input.visits.map((v) => [v.id, v]))
  const changes: PlanChange[] = []
  let kept = 0
  const untouched = new Set(outcome.untouched.map((d) => `${d.crew} ${d.day}`))
  const pairs = new Map(
    input.visits.flatMap(({ id, after }) =>
      after.flatMap(({ leg, visit }) => (leg ? [[id, visit] as const, [visit, id] as const] : [])),
    ),
  )
  for (const a of outcome.assignments) {
    if (a.visit.startsWith(BUSY_PREFIX)) continue
    const visit = byId.get(a.visit)!
    const need = needs.get(a.visit)
    const stands = published.get(a.visit)
    const joined = context.joins.get(a.visit) ?? []
    const shiftMin =
      stands && !untouched.has(`${a.crew} ${a.day}`) ? Math.abs(minutesOfDay(stands.startTime) - a.startMin) : 0
    const moved =
      stands && (stands.day !== a.day || stands.crewId !== a.crew || shiftMin > (visit.slackMin ?? FREE_HOUR_MIN))
    if (stands && !moved && joined.length === 0) {
      kept++
      if (shiftMin === 0) continue
    }
    const pond = ponds.get((need?.pondId ?? stands!.pondId) as PondId)!
    const changeKind = () => {
      if (!stands) return 'new'
      if (moved) return 'moved'
      if (joined.length > 0) return 'joined'
      return 'shifted'
    }
    changes.push({
      key: a.visit,
      kind: changeKind(),
      pair: pairs.get(a.visit) ?? null,
      visitId: stands?.id ?? null,
      visitVersion: stands?.version ?? null,
      pondId: pond.pondId,
      pondName: pond.name,
      siteName: a.visit.startsWith(NEW_CUSTOMER_PREFIX) ? `A new customer like ${pond.siteName}` : pond.siteName,
      town: pond.town,
      job: need?.job ?? stands!.job,
      also: need?.also ?? [],
      tasks: (need?.tasks ?? joined).map(({ id, title }) => ({ id, title })),
      crewId: a.crew as CrewId,
      day: a.day,
      // a visit of a day that is left alone keeps its hour
      startTime: stands && shiftMin === 0 && !moved ? stands.startTime : clockOf(a.startMin),
      minutes: a.endMin - a.startMin,
      learntFactor: need ? (context.learnt.get(need.id) ?? 1) : 1,
      window: { earliest: visit.earliest, best: visit.best, latest: visit.latest },
      late: need?.late ?? false,
      was: stands && moved ? { crewId: stands.crewId, day: stands.day, startTime: stands.startTime } : null,
      why: stands && moved ? whyMoved(context, outcome, stands) : null,
      tell: stands && moved ? whoIsNotified(context, stands, { day: a.day, startTime: clockOf(a.startMin) }) : null,
    })
  }
  changes.sort(
    (a, b) => a.day.localeCompare(b.day) || a.crewId.localeCompare(b.crewId) || a.startTime.localeCompare(b.startTime),
  )
  const unplaced = outcome.unplaced
    .filter(({ visit }) => !visit.startsWith(BUSY_PREFIX))
    .map(({ visit: id, reasons, relaxations }): PlanLeftOver => {
      const visit = byId.get(id)!
      const need = needs.get(id)
      const pond = ponds.get((need?.pondId ?? published.get(id)!.pondId) as PondId)!
      return {
        pondId: pond.pondId,
        pondName: pond.name,
        siteName: pond.siteName,
        job: need?.job ?? published.get(id)!.job,
        window: { earliest: visit.earliest, best: visit.best, latest: visit.latest },
        reasons,
        relaxations,
      }
    })
  return {
    changes,
    kept,
    unplaced,
    missed: missed.map(({ pondId, job, latest }) => ({
      pondName: ponds.get(pondId)!.name,
      siteName: ponds.get(pondId)!.siteName,
      job,
      latest,
    })),
    noWindow: context.noWindow.map(({ pondId, job }) => ({
      pondName: ponds.get(pondId)!.name,
      siteName: ponds.get(pondId)!.siteName,
      job,
    })),
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
function crunchOf({ input }: PlanContext, outcome: PlanOutcome): CrunchWeek[] {
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
    if (!a.visit.startsWith(BUSY_PREFIX)) week(a.day).plannedMin += a.endMin - a.startMin + a.travelMin
  const usual = input.crews.length === 0 ? 1 : input.crews.reduce((sum, c) => sum + c.size, 0) / input.crews.length
  const last = input.days.at(-1)
  for (const visit of input.visits) {
    if (visit.id.startsWith(BUSY_PREFIX)) {
      week(visit.best).crewMin -= visit.fixedMin
      continue
    }
    // a best day at the weekend counts for the week it ends
    const day = isoWeekday(visit.best) > 5 ? addDays(visit.best, 5 - isoWeekday(visit.best)) : visit.best
    if (last && day <= last && day >= input.days[0]!) week(day).wantedMin += minutesWith(visit, usual)
  }
  return [...weeks]
    .map(([monday, figures]) => ({ monday, ...figures }))
    .sort((a, b) => a.monday.localeCompare(b.monday))
}
