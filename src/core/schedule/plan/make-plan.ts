import { checkRoutes, type RoutingViolation } from '../../routing/check'
import { searchRoutes, type SearchOptions } from '../../routing/search'
import { steadyTimes, type Assignment } from './day-times'
import { whyUnplaced, type UnplacedVisit } from './explain'
import type { PlanInput, Placement } from './plan-input'
import { toRouting, type PlanRouting } from './to-routing'

interface CrewAndDay {
  readonly crew: string
  readonly day: string
}

export interface PlanOutcome {
  readonly status: 'finished' | 'stopped'
  readonly assignments: readonly Assignment[]
  readonly unplaced: readonly UnplacedVisit[]
  readonly cost: number
  readonly travelMin: number
  /** From the independent checker. */
  readonly feasible: boolean
  /** Days that somebody laid out against the rules: they stand as they are. */
  readonly overlong: readonly CrewAndDay[]
  /** Days that are as they were: their visits keep their hours, whatever could be drawn closer. */
  readonly untouched: readonly CrewAndDay[]
  readonly violations: readonly RoutingViolation[]
  readonly iterations: number
}

export interface MakePlanOptions extends Omit<SearchOptions, 'start' | 'locked' | 'standing' | 'around'> {
  /** Where an earlier search of the same plan had got to. */
  readonly resume?: readonly (Placement & { readonly visit: string })[]
  /** Offered now and then: the best plan so far, worked out only when asked for. */
  readonly onBest?: (best: () => readonly Assignment[]) => void
}

/** So many visits that stand may move for each that was displaced; for what is new none does. @source house default */
const MOVED_PER_DISPLACED = 0.5
/** Where most stands, the search is about what does not: so many steps, and so many for each of those. */
const REPLAN_STEPS = [4_000, 100] as const

/**
 * A season plan or a few days' rounds: which crew, which day, in which order and when, within windows, skills, kit,
 * hours and spacing.
 * Every plan is checked by code that shares nothing with the search before it is given back.
 * @throws {DomainError} an input that does not hold together
 */
export function makePlan(input: PlanInput, { resume, onBest, ...options }: MakePlanOptions): PlanOutcome {
  const routing = toRouting(input, new Map(resume?.map((place) => [place.visit, place])))
  const { start, locked, standing, open } = routing
  const displaced = open.filter((stop) => input.visits[stop]!.published).length
  const replan =
    standing.length > 0
      ? Math.min(options.iterations, REPLAN_STEPS[0] + REPLAN_STEPS[1] * open.length)
      : options.iterations
  const found = searchRoutes(routing.problem, {
    ...options,
    // nothing to place: what stands, stands
    iterations: open.length === 0 ? 0 : replan,
    start,
    locked,
    standing: { stops: standing, maxMoved: Math.floor(displaced * MOVED_PER_DISPLACED) },
    around: standing.length > 0 ? open : [],
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
    overlong: namesOf(routing, routing.overlong),
    untouched: namesOf(routing, untouched(input, routing, found.routes)),
    violations,
    iterations: found.iterations,
  }
}

const namesOf = ({ crewDays }: PlanRouting, which: readonly number[]): CrewAndDay[] =>
  which.map((v) => ({ crew: crewDays[v]!.crew.id, day: crewDays[v]!.day }))

/** Times along each route. */
function assignmentsOf(
  input: PlanInput,
  { crewDays }: PlanRouting,
  routes: readonly (readonly number[])[],
): Assignment[] {
  return routes.flatMap((route, v) => [
    ...steadyTimes(
      input,
      crewDays[v]!.crew,
      crewDays[v]!.day,
      route.map((stop) => input.visits[stop]!),
    ).stops,
  ])
}

/**
 * Crew-days to which nothing came, and of which nothing went elsewhere; a day that has begun is counted anew from
 * now.
 */
const untouched = (
  input: PlanInput,
  { crewDays, start, standing }: PlanRouting,
  routes: readonly (readonly number[])[],
): number[] => {
  const stands = new Set(standing)
  return crewDays.flatMap(({ crew, day }, v) =>
    input.out?.[crew.id]?.day !== day &&
    routes[v]!.length === start[v]!.length &&
    routes[v]!.every((stop) => stands.has(stop) && start[v]!.includes(stop))
      ? [v]
      : [],
  )
}
