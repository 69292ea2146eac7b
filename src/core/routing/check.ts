import type { RoutingProblem } from './problem'

/** What is wrong with a plan; empty when it can be driven. */
export interface RoutingViolation {
  readonly code:
    | 'unknown-stop'
    | 'twice'
    | 'not-allowed'
    | 'late'
    | 'day-over'
    | 'overloaded'
    | 'too-close'
    | 'too-far'
    | 'without'
    | 'other-crew'
    | 'tanks-full'
  readonly vehicle: number
  readonly stop: number
  /** By how much: minutes, load or days. */
  readonly by: number
}

/** Sums of travel differ in their last digits. */
const TOLERANCE = 1e-6

/**
 * Checks routes from nothing but the problem: it shares no code with the search, so that a fault there shows here.
 * @returns every violation, and the travel of the routes
 */
// eslint-disable-next-line max-lines-per-function -- one walk along each route
export function checkRoutes(
  problem: RoutingProblem,
  routes: readonly (readonly number[])[],
): { violations: RoutingViolation[]; travel: number } {
  const { locations, stops, vehicles } = problem
  const violations: RoutingViolation[] = []
  const dayOf = new Map<number, number>()
  const crewOf = new Map<number, number | undefined>()
  let travel = 0
  routes.forEach((route, v) => {
    const vehicle = vehicles[v]!
    let clock = vehicle.start
    let here = vehicle.from ?? vehicle.depot
    let load = 0
    for (const s of route) {
      const stop = stops[s]
      const say = (code: RoutingViolation['code'], by = 0) => violations.push({ code, vehicle: v, stop: s, by })
      if (!stop) {
        say('unknown-stop')
        continue
      }
      if (dayOf.has(s)) say('twice')
      dayOf.set(s, vehicle.day)
      crewOf.set(s, vehicle.crew)
      const option = stop.options.vehicles.indexOf(v)
      if (option < 0) say('not-allowed')
      const leg = problem.travel[here * locations + stop.location]!
      travel += leg
      const arrival = clock + leg
      if (arrival > stop.due + TOLERANCE) say('late', arrival - stop.due)
      clock = (arrival < stop.ready ? stop.ready : arrival) + (option < 0 ? 0 : stop.options.service[option])!
      here = stop.location
      load += stop.demand
    }
    if (route.length === 0) return
    const home = problem.travel[here * locations + vehicle.depot]!
    travel += home
    const last = route[route.length - 1]!
    if (clock + home > vehicle.end + TOLERANCE)
      violations.push({ code: 'day-over', vehicle: v, stop: last, by: clock + home - vehicle.end })
    violations.push(...tanksOver(problem, route, v))
    if (load > vehicle.capacity + TOLERANCE)
      violations.push({ code: 'overloaded', vehicle: v, stop: last, by: load - vehicle.capacity })
  })
  for (const { before, after, minDays, maxDays, requires, leg } of problem.links) {
    const [first, second] = [dayOf.get(before), dayOf.get(after)]
    if (second === undefined) {
      if (leg && first !== undefined) violations.push({ code: 'without', vehicle: -1, stop: before, by: 0 })
      continue
    }
    if (first === undefined) {
      if (requires) violations.push({ code: 'without', vehicle: -1, stop: after, by: 0 })
      continue
    }
    if (leg && crewOf.get(before) !== crewOf.get(after))
      violations.push({ code: 'other-crew', vehicle: -1, stop: after, by: 0 })
    const gap = second - first
    if (gap < minDays) violations.push({ code: 'too-close', vehicle: -1, stop: after, by: minDays - gap })
    if (gap > maxDays) violations.push({ code: 'too-far', vehicle: -1, stop: after, by: gap - maxDays })
  }
  return { violations, travel }
}

/** Counts a day's tanks stop by stop: what is in them before it, and while it is there. */
function tanksOver({ stops, vehicles }: RoutingProblem, route: readonly number[], v: number): RoutingViolation[] {
  const has = vehicles[v]!.tank
  if (has === undefined) return []
  return route.flatMap((s, i) => {
    const { tank = 0, tankUse = 'while-there' } = stops[s] ?? {}
    if (tank === 0) return []
    const fromMorning = route.filter((o, j) => stops[o]?.tankUse === 'from-morning' && j >= i)
    const untilNight = route.filter((o, j) => stops[o]?.tankUse === 'until-night' && j <= i)
    const inUse =
      [...new Set([...fromMorning, ...untilNight])].reduce((sum, o) => sum + (stops[o]!.tank ?? 0), 0) +
      (tankUse === 'while-there' ? tank : 0)
    return inUse > has + TOLERANCE ? [{ code: 'tanks-full' as const, vehicle: v, stop: s, by: inUse - has }] : []
  })
}
