import { daysBetween, type IsoDate } from '../../numeric/calendar'
import { crewHours } from './crew-hours'
import { dayTimes, type Assignment, type DayTimes } from './day-times'
import { withoutSpare } from './held-minutes'
import type { PlanCrew, PlanInput, PlanVisit } from './plan-input'
import { priceOf } from './to-routing'

/** What a move would break. */
export type MoveProblem =
  | { readonly code: 'outside-window'; readonly earliest: IsoDate; readonly latest: IsoDate }
  | { readonly code: 'site-closed' }
  | { readonly code: 'crew-off' }
  | { readonly code: 'locked' }
  | { readonly code: 'skill'; readonly missing: readonly string[] }
  | { readonly code: 'kit'; readonly missing: readonly string[] }
  | { readonly code: 'tank'; readonly needsM3: number; readonly hasM3: number }
  | { readonly code: 'late'; readonly visit: string; readonly minutes: number }
  | { readonly code: 'day-over'; readonly minutes: number }
  | { readonly code: 'overloaded'; readonly by: number }
  | { readonly code: 'spacing'; readonly visit: string }
  | { readonly code: 'without'; readonly visit: string }
  /** The other day of the same piece of work is another crew's. */
  | { readonly code: 'other-crew'; readonly visit: string }

export interface Move {
  readonly visit: string
  readonly crew: string
  readonly day: IsoDate
  /** Place in the day, from 0; beyond the end: last. */
  readonly order: number
}

export interface MoveJudgement {
  readonly problems: readonly MoveProblem[]
  /** Travel and price after less before, in minutes of travel. */
  readonly costMin: number
  /** The crew's day as it would be. */
  readonly day: readonly Assignment[]
}

/**
 * What moving one visit to a crew, a day and a place in its order breaks and costs. The person decides; nothing is
 * changed, and minutes kept free are theirs to fill.
 */
export function judgeMove(asked: PlanInput, plan: readonly Assignment[], move: Move): MoveJudgement {
  const input = withoutSpare(asked)
  const visits = new Map(input.visits.map((v) => [v.id, v]))
  const crews = new Map(input.crews.map((c) => [c.id, c]))
  const visit = visits.get(move.visit)!
  const crew = crews.get(move.crew)!
  const others = plan.filter((a) => a.visit !== move.visit)
  const was = plan.find((a) => a.visit === move.visit)
  const there = visitsOf(others, move, visits)
  const would = [...there.slice(0, move.order), visit, ...there.slice(move.order)]
  const after = dayTimes(input, crew, move.day, would)
  const leaves = was ? crews.get(was.crew)! : null
  const sameDay = was?.crew === move.crew && was.day === move.day
  const before = dayTimes(input, crew, move.day, sameDay ? visitsOf(plan, move, visits) : there)
  const spared = was && leaves && !sameDay ? travelSpared(input, plan, was, leaves, visits) : 0
  const price =
    priceOf(visit, crew, move.day, input.weights) - (was && leaves ? priceOf(visit, leaves, was.day, input.weights) : 0)
  const overtime = ({ homeMin }: DayTimes) =>
    input.weights.overtimePerMin * Math.max(0, homeMin - crewHours(input, crew, move.day).endMin)
  return {
    problems: [
      ...problemsOfPlace(input, visit, crew, move, was),
      ...problemsOfDay(input, after, would, crew, move.day),
      ...problemsOfLinks(input, visit, move, others),
    ],
    costMin: after.travelMin - before.travelMin - spared + price + overtime(after) - overtime(before),
    day: after.stops,
  }
}

const visitsOf = (
  plan: readonly Assignment[],
  { crew, day }: { crew: string; day: IsoDate },
  visits: ReadonlyMap<string, PlanVisit>,
): PlanVisit[] =>
  plan
    .filter((a) => a.crew === crew && a.day === day)
    .sort((a, b) => a.order - b.order)
    .map((a) => visits.get(a.visit)!)

function travelSpared(
  input: PlanInput,
  plan: readonly Assignment[],
  was: Assignment,
  crew: PlanCrew,
  visits: ReadonlyMap<string, PlanVisit>,
): number {
  const day = visitsOf(plan, was, visits)
  const without = day.filter((v) => v.id !== was.visit)
  return dayTimes(input, crew, was.day, day).travelMin - dayTimes(input, crew, was.day, without).travelMin
}

function problemsOfPlace(
  { days }: PlanInput,
  visit: PlanVisit,
  crew: PlanCrew,
  { day }: Move,
  was: Assignment | undefined,
): MoveProblem[] {
  const problems: MoveProblem[] = []
  const missing = (wanted: readonly string[], there: readonly string[]) => wanted.filter((w) => !there.includes(w))
  if (visit.locked && was && (was.crew !== crew.id || was.day !== day)) problems.push({ code: 'locked' })
  if (day < visit.earliest || day > visit.latest)
    problems.push({ code: 'outside-window', earliest: visit.earliest, latest: visit.latest })
  if (visit.closedDays.includes(day)) problems.push({ code: 'site-closed' })
  if (crew.daysOff.includes(day) || !days.includes(day)) problems.push({ code: 'crew-off' })
  if (missing(visit.skills, crew.skills).length > 0)
    problems.push({ code: 'skill', missing: missing(visit.skills, crew.skills) })
  if (missing(visit.kit, crew.kit).length > 0) problems.push({ code: 'kit', missing: missing(visit.kit, crew.kit) })
  if (visit.tankM3 > crew.tankM3) problems.push({ code: 'tank', needsM3: visit.tankM3, hasM3: crew.tankM3 })
  return problems
}

function problemsOfDay(
  input: PlanInput,
  times: DayTimes,
  visits: readonly PlanVisit[],
  crew: PlanCrew,
  day: IsoDate,
): MoveProblem[] {
  const problems: MoveProblem[] = []
  visits.forEach((visit, i) => {
    const late = times.stops[i]!.startMin - visit.closesMin
    if (late > 1e-6) problems.push({ code: 'late', visit: visit.id, minutes: late })
  })
  const over = times.homeMin - crewHours(input, crew, day).latestMin
  if (over > 1e-6) problems.push({ code: 'day-over', minutes: over })
  const held = tanksHeld(visits) - crew.tankM3
  // one visit that needs too much alone is told as that
  if (held > 1e-6 && visits.every((v) => v.tankM3 <= crew.tankM3))
    problems.push({ code: 'tank', needsM3: crew.tankM3 + held, hasM3: crew.tankM3 })
  const load = visits.reduce((sum, v) => sum + v.load, 0) - crew.capacity
  if (load > 1e-6) problems.push({ code: 'overloaded', by: load })
  return problems
}

/**
 * The most that is in tanks at one time of a day, m³: fish of the day before until they are back, and those that stay
 * the night from their stop on.
 */
function tanksHeld(visits: readonly PlanVisit[]): number {
  let held = visits.reduce((sum, v) => sum + (v.tankUse === 'from-morning' ? v.tankM3 : 0), 0)
  let max = held
  for (const { tankM3, tankUse } of visits) {
    if (tankUse === 'from-morning') held -= tankM3
    else max = Math.max(max, held + tankM3)
    if (tankUse === 'until-night') held += tankM3
  }
  return max
}

/** Days that must lie between this visit and those before and after it. */
function problemsOfLinks(
  { visits }: PlanInput,
  visit: PlanVisit,
  { day, crew }: Move,
  others: readonly Assignment[],
): MoveProblem[] {
  const at = (id: string) => others.find((a) => a.visit === id)
  const dayOf = (id: string) => at(id)?.day
  const problems: MoveProblem[] = []
  for (const link of visit.after) {
    const earlier = dayOf(link.visit)
    if (earlier === undefined) {
      if (link.requires) problems.push({ code: 'without', visit: link.visit })
      continue
    }
    const gap = daysBetween(earlier, day)
    if (gap < link.minDays || gap > link.maxDays) problems.push({ code: 'spacing', visit: link.visit })
    if (link.leg && at(link.visit)!.crew !== crew) problems.push({ code: 'other-crew', visit: link.visit })
  }
  for (const later of visits)
    for (const link of later.after) {
      const on = link.visit === visit.id ? dayOf(later.id) : undefined
      if (on === undefined) continue
      const gap = daysBetween(day, on)
      if (gap < link.minDays || gap > link.maxDays) problems.push({ code: 'spacing', visit: later.id })
      if (link.leg && at(later.id)!.crew !== crew) problems.push({ code: 'other-crew', visit: later.id })
    }
  return problems
}
