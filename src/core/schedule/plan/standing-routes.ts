import type { Link, RoutingProblem, Vehicle } from '../../routing/problem'
import type { PlanInput, Placement } from './plan-input'
import type { CrewDay } from './to-routing'

/** Published visits by crew-day in their order; one that has no place there any more is left for the search. */
export function standingRoutes(
  { visits }: PlanInput,
  resume: ReadonlyMap<string, Placement>,
  crewDays: readonly CrewDay[],
  problem: RoutingProblem,
) {
  const { stops, vehicles, links } = problem
  const at = new Map(crewDays.map(({ crew, day }, v) => [`${crew.id} ${day}`, v]))
  const routes: { stop: number; startMin: number }[][] = crewDays.map(() => [])
  visits.forEach(({ id, published: stands, locked }, stop) => {
    const place = locked ? stands : (resume.get(id) ?? stands)
    const vehicle = place ? at.get(`${place.crew} ${place.day}`) : undefined
    if (vehicle !== undefined && stops[stop]!.options.vehicles.includes(vehicle))
      routes[vehicle]!.push({ stop, startMin: place!.startMin })
  })
  const locked: number[] = []
  const standing: number[] = []
  let start = routes.map((route, v) => {
    // what is locked is laid first, so that nothing else pushes it off its day
    const ordered = route.sort(
      (a, b) => Number(visits[b.stop]!.locked) - Number(visits[a.stop]!.locked) || a.startMin - b.startMin,
    )
    const kept: number[] = []
    for (const { stop, startMin } of ordered) {
      const next = [...kept, stop].sort((a, b) => startOf(a) - startOf(b))
      if (drivable(problem, next, v)) kept.splice(0, kept.length, ...next)
      function startOf(s: number): number {
        return s === stop ? startMin : route.find((r) => r.stop === s)!.startMin
      }
    }
    for (const stop of kept) if (visits[stop]!.locked) locked.push(stop)
    return kept
  })
  // legs that were torn apart, or stops too close, are put right: the later one is planned anew
  for (;;) {
    const astray = new Set(
      misplaced(start, links, vehicles).flatMap(({ stop, leg }) => (leg || !locked.includes(stop) ? [stop] : [])),
    )
    if (astray.size === 0) break
    // what waited for one of these may have to go as well
    start = start.map((route) => route.filter((stop) => !astray.has(stop)))
  }
  const placed = new Set(start.flat())
  start.forEach((route, v) => {
    for (const stop of route) {
      const { published: stands, free } = visits[stop]!
      if (stands && !free && at.get(`${stands.crew} ${stands.day}`) === v) standing.push(stop)
    }
  })
  const kept = new Set([...standing, ...locked])
  return {
    start,
    locked,
    standing,
    open: visits.map((_, stop) => stop).filter((stop) => !kept.has(stop) || !placed.has(stop)),
  }
}

/**
 * Stops whose days or crews their links do not allow as routes stand; of two legs both, were they promised or not:
 * neither is kept without the other.
 */
function misplaced(
  routes: readonly (readonly number[])[],
  links: readonly Link[],
  vehicles: readonly Vehicle[],
): { stop: number; leg: boolean }[] {
  const at = new Map(routes.flatMap((route, v) => route.map((stop) => [stop, vehicles[v]] as const)))
  return links.flatMap(({ before, after, minDays, maxDays, requires, leg = false }) => {
    const [first, second] = [at.get(before), at.get(after)]
    const of = (...stops: number[]) => stops.map((stop) => ({ stop, leg }))
    if (!second) return leg && first ? of(before) : []
    if (!first) return requires ? of(after) : []
    const gap = second.day - first.day
    return gap < minDays || gap > maxDays || (leg && first.crew !== second.crew)
      ? of(after, ...(leg ? [before] : []))
      : []
  })
}

/** Whether a crew-day's stops can be driven in this order within its hours and load. */
function drivable(
  { stops, vehicles, travel, locations }: RoutingProblem,
  route: readonly number[],
  v: number,
): boolean {
  let clock = vehicles[v]!.start
  let here = vehicles[v]!.from ?? vehicles[v]!.depot
  let load = 0
  for (const s of route) {
    const { location, ready, due, options, demand } = stops[s]!
    clock = Math.max(clock + travel[here * locations + location]!, ready)
    if (clock > due) return false
    clock += options.service[options.vehicles.indexOf(v)]!
    load += demand
    here = location
  }
  return clock + travel[here * locations + vehicles[v]!.depot]! <= vehicles[v]!.end && load <= vehicles[v]!.capacity
}
