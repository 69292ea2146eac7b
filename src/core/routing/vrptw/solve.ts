import type { RoutingProblem } from '../problem'
import { searchRoutes, type SearchOptions } from '../search'
import { vrptwDistance, type VrptwInstance } from './instance'

export interface VrptwSolution {
  /** Customer ids in order. */
  readonly routes: readonly (readonly number[])[]
  readonly distance: number
  readonly unvisited: readonly number[]
  readonly iterations: number
}

/** Above any distance that could be saved by leaving a customer out. */
const MUST = 1e6

/** The instance as a routing problem: one kind of vehicle, all customers allowed on all. */
function vrptwProblem({ vehicles, capacity, depot, customers }: VrptwInstance): RoutingProblem {
  const all = [depot, ...customers]
  const travel = new Float64Array(all.length ** 2)
  all.forEach((a, i) => all.forEach((b, j) => (travel[i * all.length + j] = vrptwDistance(a, b))))
  const everyVehicle = Int32Array.from({ length: vehicles }, (_, v) => v)
  const noCost = new Float32Array(vehicles)
  return {
    locations: all.length,
    travel,
    vehicles: Array.from({ length: vehicles }, () => ({
      start: depot.ready,
      end: depot.due,
      depot: 0,
      capacity,
      day: 0,
      kind: 0,
    })),
    stops: customers.map((c, i) => ({
      location: i + 1,
      demand: c.demand,
      ready: c.ready,
      due: c.due,
      options: { vehicles: everyVehicle, costs: noCost, service: new Float64Array(vehicles).fill(c.service) },
      unplacedCost: MUST,
      when: 0,
    })),
    links: [],
    dayWeight: 0,
  }
}

/** Shortest total distance within the vehicle count, as far as the budget goes. */
export function solveVrptw(instance: VrptwInstance, options: SearchOptions): VrptwSolution {
  const found = searchRoutes(vrptwProblem(instance), options)
  return {
    routes: found.routes
      .filter((route) => route.length > 0)
      .map((route) => route.map((s) => instance.customers[s]!.id)),
    distance: found.travel,
    unvisited: found.unplaced.map((s) => instance.customers[s]!.id),
    iterations: found.iterations,
  }
}
