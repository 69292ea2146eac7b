import type { RoutingProblem } from './problem'

/** What is wrong with a plan; empty when it can be driven. */
export interface RoutingViolation {
  readonly code: 'unknown-stop' | 'twice' | 'not-allowed' | 'late' | 'day-over' | 'overloaded' | 'too-close' | 'too-far' | 'without'
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
export function checkRoutes(problem: RoutingProblem, routes: readonly (readonly number[])[]): { violations: RoutingViolation[]; travel: number } {
  const { locations, stops, vehicles } = problem
  const violations: RoutingViolation[] = []
  const dayOf = new Map<number, number>()
  let travel = 0
  routes.forEach((route, v) => {
    const vehicle = vehicles[v]
    let clock = vehicle.start
    let here = vehicle.depot
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
      const option = stop.options.vehicles.indexOf(v)
      if (option < 0) say('not-allowed')
      const leg = problem.travel[here * locations + stop.location]
      travel += leg
      const arrival = clock + leg
      if (arrival > stop.due + TOLERANCE) say('late', arrival - stop.due)
      clock = (arrival < stop.ready ? stop.ready : arrival) + (option < 0 ? 0 : stop.options.service[option])
      here = stop.location
      load += stop.demand
    }
    if (route.length === 0) return
    const home = problem.travel[here * locations + vehicle.depot]
    travel += home
    const last = route[route.length - 1]
    if (clock + home > vehicle.end + TOLERANCE) violations.push({ code: 'day-over', vehicle: v, stop: last, by: clock + home - vehicle.end })
    if (load > vehicle.capacity + TOLERANCE) violations.push({ code: 'overloaded', vehicle: v, stop: last, by: load - vehicle.capacity })
  })
  for (const { before, after, minDays, maxDays, requires } of problem.links) {
    const [first, second] = [dayOf.get(before), dayOf.get(after)]
    if (second === undefined) continue
    if (first === undefined) {
      if (requires) violations.push({ code: 'without', vehicle: -1, stop: after, by: 0 })
      continue
    }
    const gap = second - first
    if (gap < minDays) violations.push({ code: 'too-close', vehicle: -1, stop: after, by: minDays - gap })
    if (gap > maxDays) violations.push({ code: 'too-far', vehicle: -1, stop: after, by: gap - maxDays })
  }
  return { violations, travel }
}
