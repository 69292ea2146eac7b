import type { Random } from '../numeric/random'
import type { Stop } from './problem'
import { NOWHERE, TIME_EPSILON, type RoutingState } from './state'

/** The best place found for a stop; reused between calls so that the search makes no garbage. */
export interface Place {
  vehicle: number
  position: number
  option: number
  cost: number
}

export const newPlace = (): Place => ({ vehicle: NOWHERE, position: 0, option: 0, cost: Infinity })

/** Whether the days of linked stops allow this one on a vehicle. */
export function linksAllow(state: RoutingState, stop: number, vehicle: number): boolean {
  const links = state.linksOf[stop]!
  if (links.length === 0) return true
  const { vehicles } = state.problem
  const { day } = vehicles[vehicle]!
  for (const link of links) {
    const isLater = link.after === stop
    const other = state.at[isLater ? link.before : link.after]!
    if (other === NOWHERE) {
      if (isLater && link.requires) return false
      continue
    }
    const gap = isLater ? day - vehicles[other]!.day : vehicles[other]!.day - day
    if (gap < link.minDays || gap > link.maxDays) return false
    if (link.leg && vehicles[other]!.crew !== vehicles[vehicle]!.crew) return false
  }
  return true
}

/**
 * The cheapest place of a stop over all its vehicles.
 * @param blink share of places that are overlooked, so that the search does not always do the same
 * @param barred vehicles that are not looked at
 */
// eslint-disable-next-line max-lines-per-function -- the innermost loop of the search: calls would cost it
export function findPlace(
  state: RoutingState,
  stop: number,
  place: Place,
  blink: number,
  random: Random,
  barred?: ReadonlySet<number>,
): void {
  place.vehicle = NOWHERE
  place.cost = Infinity
  const { problem, routes, begin, latest, service, load, spare } = state
  const { travel, locations, stops, vehicles } = problem
  const { location, ready, due, demand, options } = stops[stop]!
  const rate = problem.overtimeRate ?? 0
  const gain = options.service.length === 0 ? 0 : state.evenness.maxGain(options.service[0]!)
  let emptyKind = -1
  for (let o = 0; o < options.vehicles.length; o++) {
    const v = options.vehicles[o]!
    const optionCost = options.costs[o]!
    // options come cheapest first
    if (optionCost - gain >= place.cost) break
    if (barred?.has(v)) continue
    const vehicle = vehicles[v]!
    const route = routes[v]!
    if (route.length === 0) {
      if (vehicle.kind === emptyKind) continue
      emptyKind = vehicle.kind
    }
    const minutes = options.service[o]!
    // one more stop never shortens the way, so a day without the minutes has no place
    if (
      spare[v]! < minutes - TIME_EPSILON ||
      load[v]! + demand > vehicle.capacity + TIME_EPSILON ||
      !linksAllow(state, stop, v)
    )
      continue
    // minutes that are left before overtime, waiting not counted
    const regular = vehicle.overtimeFrom === undefined ? Infinity : spare[v]! - (vehicle.end - vehicle.overtimeFrom)
    const uneven = state.evenness.wouldAdd(vehicle.group, minutes)
    let from = vehicle.from ?? vehicle.depot
    let free = vehicle.start
    const holds = (stops[stop]!.tank ?? 0) > 0
    for (let position = 0; position <= route.length; position++) {
      const atEnd = position === route.length
      const to = atEnd ? vehicle.depot : stops[route[position]!]!.location
      const limit = atEnd ? vehicle.end : latest[route[position]!]
      const out = travel[from * locations + location]!
      const start = Math.max(free + out, ready)
      // later places begin later still
      if (start > due + TIME_EPSILON) break
      const on = travel[location * locations + to]!
      if (start + minutes + on <= limit! + TIME_EPSILON) {
        const way = out + on - (route.length === 0 ? 0 : travel[from * locations + to])!
        const overtime =
          regular === Infinity ? 0 : rate * (Math.max(0, minutes + way - regular) - Math.max(0, -regular))
        const cost = optionCost + way + overtime + uneven
        const held =
          holds && !tanksAllow(stops, [...route.slice(0, position), stop, ...route.slice(position)], vehicle.tank)
        if (!held && cost < place.cost && (blink === 0 || random() >= blink)) {
          place.cost = cost
          place.vehicle = v
          place.position = position
          place.option = o
        }
      }
      if (atEnd) break
      from = to
      free = begin[route[position]!]! + service[route[position]!]!
    }
  }
}

/**
 * Whether a day's tanks are enough: fish that came in the morning leave theirs at their stop, fish that stay the
 * night keep theirs from their stop on.
 */
function tanksAllow(stops: readonly Stop[], route: readonly number[], has: number | undefined): boolean {
  if (has === undefined) return true
  let held = 0
  for (const s of route) if (stops[s]!.tankUse === 'from-morning') held += stops[s]!.tank ?? 0
  for (const s of route) {
    const { tank = 0, tankUse = 'while-there' } = stops[s]!
    if (tank === 0) continue
    if (tankUse !== 'from-morning' && held + tank > has + TIME_EPSILON) return false
    if (tankUse === 'until-night') held += tank
    if (tankUse === 'from-morning') {
      if (held > has + TIME_EPSILON) return false
      held -= tank
    }
  }
  return true
}

export function insertAt(state: RoutingState, stop: number, { vehicle, position, option }: Place): void {
  const { costs, service } = state.problem.stops[stop]!.options
  state.insert(stop, vehicle, position, costs[option]!, service[option]!)
}
