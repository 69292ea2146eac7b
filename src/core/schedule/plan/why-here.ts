import { daysBetween, type IsoDate } from '../../numeric/calendar'
import { crewHours } from './crew-hours'
import { steadyTimes, type Assignment, type DayTimes } from './day-times'
import { judgeMove } from './judge-move'
import { hasAll, type PlanInput, type PlanVisit } from './plan-input'

/** Another crew-day that would take a visit without breaking anything, and its price in minutes of travel. */
interface OtherPlace {
  readonly crew: string
  readonly day: IsoDate
  readonly costMin: number
}

/** Why a visit stands where it does. */
export interface WhyHere {
  readonly window: { readonly earliest: IsoDate; readonly best: IsoDate; readonly latest: IsoDate }
  /** Days after its best day; negative before it. */
  readonly offBestDays: number
  /** Share of years in which the day allows the job; null where the job does not hang on the day's weather. */
  readonly likelihood: number | null
  readonly locked: boolean
  /** Crews with the skills, kit and tanks it needs. */
  readonly ableCrews: readonly string[]
  /** Travel it adds to its crew's day, minutes. */
  readonly detourMin: number
  /** Stops of the same day no further than this away, nearest first. */
  readonly neighbours: readonly { readonly visit: string; readonly travelMin: number }[]
  /**
   * How much later it could begin without any stop of its day being late or the day running over, minutes; negative
   * when it already does.
   */
  readonly slackMin: number
  /** Where else it could be, cheapest first. */
  readonly others: readonly OtherPlace[]
}

/** Stops within this are neighbours worth naming. @source house default */
const NEIGHBOUR_MIN = 15
const MAX_OTHERS = 3

/**
 * Explains one visit of a plan: its window, who can do it, what it adds to its day, how much slack it has, and the
 * cheapest other places.
 * @param plan the visits as they stand, with their starts
 * @returns null for a visit that is not in the plan
 */
export function whyHere(input: PlanInput, plan: readonly Assignment[], visitId: string): WhyHere | null {
  const visits = new Map(input.visits.map((v) => [v.id, v]))
  const visit = visits.get(visitId)
  const at = plan.find((a) => a.visit === visitId)
  const crew = at && input.crews.find((c) => c.id === at.crew)
  if (!visit || !at || !crew) return null
  const stops = plan
    .filter((a) => a.crew === at.crew && a.day === at.day && visits.has(a.visit))
    .sort((a, b) => a.order - b.order)
  const day = stops.map((a) => toldStart(visits.get(a.visit)!, a))
  const times = steadyTimes(input, crew, at.day, day)
  const without = steadyTimes(
    input,
    crew,
    at.day,
    day.filter((v) => v.id !== visitId),
  )
  const { latestMin } = crewHours(input, crew, at.day)
  const able = input.crews.filter(
    (c) => hasAll(visit.skills, c.skills) && hasAll(visit.kit, c.kit) && visit.tankM3 <= c.tankM3,
  )
  return {
    window: { earliest: visit.earliest, best: visit.best, latest: visit.latest },
    offBestDays: daysBetween(visit.best, at.day),
    likelihood: visit.likelihood[at.day] ?? null,
    locked: visit.locked,
    ableCrews: able.map((c) => c.id),
    detourMin: times.travelMin - without.travelMin,
    neighbours: day
      .filter((v) => v.id !== visitId)
      .map((v) => ({ visit: v.id, travelMin: input.travel[visit.location * input.locations + v.location]! }))
      .filter((n) => n.travelMin <= NEIGHBOUR_MIN)
      .sort((a, b) => a.travelMin - b.travelMin),
    slackMin: slackOf(times, day, visitId, latestMin),
    others: visit.locked ? [] : othersOf(input, plan, visit, able, at),
  }
}

/** The visit as its customer was told, so that the day is laid out as it is published. */
const toldStart = (visit: PlanVisit, { crew, day, startMin }: Assignment): PlanVisit => ({
  ...visit,
  published: { crew, day, startMin },
})

/** From the last stop back: how much each may slip, waiting before a stop taking up some of it. */
function slackOf(
  { stops, homeMin }: DayTimes,
  visits: readonly PlanVisit[],
  visitId: string,
  latestMin: number,
): number {
  let slack = latestMin - homeMin
  for (let i = stops.length - 1; i >= 0; i--) {
    const next = stops[i + 1]
    if (next) slack += next.startMin - (stops[i]!.endMin + next.travelMin)
    slack = Math.min(slack, visits[i]!.closesMin - stops[i]!.startMin)
    if (stops[i]!.visit === visitId) break
  }
  return slack
}

function othersOf(
  input: PlanInput,
  plan: readonly Assignment[],
  visit: PlanVisit,
  able: readonly { readonly id: string }[],
  at: Assignment,
): OtherPlace[] {
  const found: OtherPlace[] = []
  for (const day of input.days) {
    if (day < visit.earliest || day > visit.latest) continue
    for (const { id: crew } of able) {
      if (crew === at.crew && day === at.day) continue
      const there = plan.filter((a) => a.crew === crew && a.day === day).length
      const costs = Array.from({ length: there + 1 }, (_, order) =>
        judgeMove(input, plan, { visit: visit.id, crew, day, order }),
      )
        .filter((judged) => judged.problems.length === 0)
        .map((judged) => judged.costMin)
      if (costs.length > 0) found.push({ crew, day, costMin: Math.min(...costs) })
    }
  }
  return found.sort((a, b) => a.costMin - b.costMin).slice(0, MAX_OTHERS)
}
