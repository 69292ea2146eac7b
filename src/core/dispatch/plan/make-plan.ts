import { checkRoutes, type RoutingViolation } from '../routing/check'
import { searchRoutes, type SearchOptions } from '../routing/search'
import { steadyTimes, type Assignment } from './day-times'
import { whyUnplaced, type UnplacedVisit } from './explain'
import type { PlanInput, Placement } from './plan-input'
import { toRouting, type PlanRouting } from './to-routing'

export interface PlanOutcome {
  readonly status: 'finished' | 'stopped'
  readonly assignments: readonly Assignment[]
  readonly unplaced: readonly UnplacedVisit[]
  readonly cost: number
  readonly travelMin: number
  /** From the independent checker. */
  readonly feasible: boolean
  readonly violations: readonly RoutingViolation[]
  readonly iterations: number
}

export interface MakePlanOptions extends Omit<SearchOptions, 'start' | 'locked'> {
  /** Where an earlier search of the same plan had got to. */
  readonly resume?: readonly (Placement & { readonly visit: string })[]
  /** Offered now and then: the best plan so far, worked out only when asked for. */
  readonly onBest?: (best: () => readonly Assignment[]) => void
}

/**
 * A season plan or a few days' rounds: which crew, which day, in which order and when, within windows, skills, kit, hours and spacing.
 * Every plan is checked by code that shares nothing with the search before it is given back.
 * @throws {DomainError} an input that does not hold together
 */
export function makePlan(input: PlanInput, { resume, onBest, ...options }: MakePlanOptions): PlanOutcome {
  const routing = toRouting(input, new Map(resume?.map((place) => [place.visit, place])))
  const found = searchRoutes(routing.problem, {
    ...options,
    start: routing.start,
    locked: routing.locked,
    onProgress: (progress) => {
      options.onProgress?.(progress)
      onBest?.(() => assignmentsOf(input, routing, progress.routes()))
    },
  })
  const { violations, travel } = checkRoutes(routing.problem, found.routes)
  return {
    status: found.status,
    assignments: assignmentsOf(input, routing, found.routes),
    unplaced: whyUnplaced(input, routing, found.routes, found.unplaced),
    cost: found.cost,
    travelMin: travel,
    feasible: violations.length === 0,
    violations,
    iterations: found.iterations,
  }
}

/** Times along each route. */
function assignmentsOf(input: PlanInput, { crewDays }: PlanRouting, routes: readonly (readonly number[])[]): Assignment[] {
  return routes.flatMap((route, v) => [
    ...steadyTimes(
      input,
      crewDays[v].crew,
      crewDays[v].day,
      route.map((stop) => input.visits[stop]),
    ).stops,
  ])
}
