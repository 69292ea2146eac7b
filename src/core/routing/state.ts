import { Evenness } from './evenness'
import type { Link, RoutingProblem, RoutingSolution } from './problem'

/** Where a stop is not on any route. */
export const NOWHERE = -1
/** Where a stop without a home is at home. */
const ANYWHERE = -2
/** A stop that stood and stands nowhere counts as more than any number of moves. */
const HOMELESS = 1e6
/** Slack for sums of fractions of minutes. */
export const TIME_EPSILON = 1e-9

/**
 * Routes under change, with what is needed to test an insertion in constant time. Changes since a mark can be taken
 * back.
 */
export class RoutingState {
  readonly routes: number[][]
  /** Vehicle of each stop, or NOWHERE. */
  readonly at: Int32Array
  /** Earliest begin of service, and latest that still lets the rest of its route be in time. */
  readonly begin: Float64Array
  readonly latest: Float64Array
  readonly service: Float64Array
  readonly optionCost: Float64Array
  readonly load: Float64Array
  readonly routeTravel: Float64Array
  /** Minutes of each vehicle's day that are left beside travel and service; waiting is not counted. */
  readonly spare: Float64Array
  /** Price of each vehicle's overtime. */
  private readonly overtime: Float64Array
  /** Minutes of work and travel of each route. */
  private readonly busy: Float64Array
  readonly evenness: Evenness
  readonly linksOf: (readonly Link[])[]
  cost = 0
  travelSum = 0
  unplaced = 0
  /**
   * Stops that stand elsewhere than at home; one that had a home and stands nowhere weighs more than any number of
   * these.
   */
  away = 0
  private home: Int32Array
  /** Routes as they were at the mark, by vehicle. */
  private readonly before = new Map<number, number[]>()
  /** Vehicles changed since the caller last asked. */
  readonly touched = new Set<number>()

  constructor(readonly problem: RoutingProblem) {
    const { stops, vehicles } = problem
    this.routes = vehicles.map(() => [])
    this.at = new Int32Array(stops.length).fill(NOWHERE)
    this.begin = new Float64Array(stops.length)
    this.latest = new Float64Array(stops.length)
    this.service = new Float64Array(stops.length)
    this.optionCost = new Float64Array(stops.length)
    this.home = new Int32Array(stops.length).fill(ANYWHERE)
    this.load = new Float64Array(vehicles.length)
    this.routeTravel = new Float64Array(vehicles.length)
    this.spare = Float64Array.from(vehicles, (v) => v.end - v.start)
    this.overtime = new Float64Array(vehicles.length)
    this.busy = new Float64Array(vehicles.length)
    this.evenness = new Evenness(problem)
    this.linksOf = linksByStop(stops.length, problem.links)
    this.unplaced = stops.length
    for (const stop of stops) this.cost += stop.unplacedCost
  }

  /** Stops are at home where they stand now; only some of them, by number. */
  settle(stops: readonly number[]): void {
    this.home.fill(ANYWHERE)
    this.away = 0
    for (const stop of stops) this.home[stop]! = this.at[stop]!
  }

  private awayAt(stop: number, vehicle: number): number {
    const home = this.home[stop]
    if (home === ANYWHERE || home === vehicle) return 0
    return vehicle === NOWHERE ? HOMELESS : 1
  }

  /** From now on changes can be taken back. */
  mark(): void {
    this.before.clear()
  }

  /** Takes back everything since the mark. */
  undo(): void {
    for (const vehicle of this.before.keys()) this.take(vehicle)
    for (const [vehicle, route] of this.before) this.lay(vehicle, route)
    this.before.clear()
  }

  insert(stop: number, vehicle: number, position: number, cost: number, service: number): void {
    this.keep(vehicle)
    this.routes[vehicle]!.splice(position, 0, stop)
    this.place(stop, vehicle, cost, service)
    this.refresh(vehicle)
  }

  remove(stop: number): void {
    const vehicle = this.at[stop]!
    this.keep(vehicle)
    this.routes[vehicle]!.splice(this.routes[vehicle]!.indexOf(stop), 1)
    this.lift(stop)
    this.refresh(vehicle)
  }

  /** Sets a whole route, as when a saved plan is taken up; every stop must have an option for the vehicle. */
  setRoute(vehicle: number, route: readonly number[]): void {
    this.keep(vehicle)
    this.take(vehicle)
    this.lay(vehicle, route)
  }

  solution(): RoutingSolution {
    const unplaced: number[] = []
    for (let s = 0; s < this.at.length; s++) if (this.at[s] === NOWHERE) unplaced.push(s)
    return { routes: this.routes.map((route) => [...route]), unplaced, cost: this.cost, travel: this.travelSum }
  }

  private keep(vehicle: number): void {
    this.touched.add(vehicle)
    if (!this.before.has(vehicle)) this.before.set(vehicle, [...this.routes[vehicle]!])
  }

  private place(stop: number, vehicle: number, cost: number, service: number): void {
    this.away += this.awayAt(stop, vehicle) - this.awayAt(stop, NOWHERE)
    this.at[stop] = vehicle
    this.service[stop] = service
    this.optionCost[stop] = cost
    this.cost += cost - this.problem.stops[stop]!.unplacedCost
    this.load[vehicle]! += this.problem.stops[stop]!.demand
    this.unplaced--
  }

  private lift(stop: number): void {
    this.load[this.at[stop]!]! -= this.problem.stops[stop]!.demand
    this.cost += this.problem.stops[stop]!.unplacedCost - this.optionCost[stop]!
    this.away += this.awayAt(stop, NOWHERE) - this.awayAt(stop, this.at[stop]!)
    this.at[stop] = NOWHERE
    this.unplaced++
  }

  private take(vehicle: number): void {
    for (const stop of this.routes[vehicle]!) this.lift(stop)
    this.routes[vehicle] = []
    this.refresh(vehicle)
  }

  private lay(vehicle: number, route: readonly number[]): void {
    this.touched.add(vehicle)
    this.routes[vehicle] = [...route]
    for (const stop of route) {
      const { vehicles, costs, service } = this.problem.stops[stop]!.options
      const option = vehicles.indexOf(vehicle)
      this.place(stop, vehicle, costs[option]!, service[option]!)
    }
    this.refresh(vehicle)
  }

  /** Times forward and slack backward along one route, and its travel. */
  private refresh(vehicle: number): void {
    const { problem, begin, latest, service } = this
    const { travel, locations, stops } = problem
    const route = this.routes[vehicle]!
    const { start, end, depot, from: begins = depot, overtimeFrom, group } = problem.vehicles[vehicle]!
    let time = start
    let from = begins
    let sum = 0
    let worked = 0
    for (let i = 0; i < route.length; i++) {
      const stop = stops[route[i]!]!
      const leg = travel[from * locations + stop.location]!
      sum += leg
      time = Math.max(time + leg, stop.ready)
      begin[route[i]!] = time
      time += service[route[i]!]!
      worked += service[route[i]!]!
      from = stop.location
    }
    const home = route.length > 0 ? travel[from * locations + depot] : 0
    sum += home!
    const overtime =
      overtimeFrom === undefined ? 0 : (problem.overtimeRate ?? 0) * Math.max(0, time + home! - overtimeFrom)
    this.cost += overtime - this.overtime[vehicle]! + this.evenness.add(group, sum + worked - this.busy[vehicle]!)
    this.overtime[vehicle] = overtime
    this.busy[vehicle] = sum + worked
    this.spare[vehicle] = end - start - sum - worked
    let limit = end
    let to = depot
    for (let i = route.length - 1; i >= 0; i--) {
      const stop = stops[route[i]!]!
      limit = Math.min(stop.due, limit - travel[stop.location * locations + to]! - service[route[i]!]!)
      latest[route[i]!] = limit
      to = stop.location
    }
    this.cost += sum - this.routeTravel[vehicle]!
    this.travelSum += sum - this.routeTravel[vehicle]!
    this.routeTravel[vehicle] = sum
  }
}

function linksByStop(stops: number, links: readonly Link[]): Link[][] {
  const of: Link[][] = Array.from({ length: stops }, () => [])
  for (const link of links) {
    of[link.before]!.push(link)
    of[link.after]!.push(link)
  }
  return of
}
