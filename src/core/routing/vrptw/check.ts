import { vrptwDistance, type VrptwInstance } from './instance'

export interface VrptwCheck {
  readonly feasible: boolean
  readonly distance: number
  readonly violations: readonly string[]
}

const TOLERANCE = 1e-7

/** Checks routes of customer ids against the instance, customer by customer; shares nothing with the optimizer. */
export function checkVrptw(instance: VrptwInstance, routes: readonly (readonly number[])[]): VrptwCheck {
  const violations: string[] = []
  const byId = new Map(instance.customers.map((c) => [c.id, c]))
  const seen = new Set<number>()
  let distance = 0
  const driven = routes.filter((route) => route.length > 0)
  if (driven.length > instance.vehicles) violations.push(`${driven.length} routes, but ${instance.vehicles} vehicles`)
  driven.forEach((route, r) => {
    const name = `route ${r + 1}`
    let clock = instance.depot.ready
    let here = instance.depot
    let load = 0
    for (const id of route) {
      const customer = byId.get(id)
      if (!customer) {
        violations.push(`${name}: there is no customer ${id}`)
        continue
      }
      if (seen.has(id)) violations.push(`${name}: customer ${id} is visited twice`)
      seen.add(id)
      const leg = vrptwDistance(here, customer)
      distance += leg
      clock += leg
      if (clock > customer.due + TOLERANCE)
        violations.push(`${name}: customer ${id} is reached at ${clock.toFixed(2)}, due ${customer.due}`)
      clock = Math.max(clock, customer.ready) + customer.service
      load += customer.demand
      here = customer
    }
    const home = vrptwDistance(here, instance.depot)
    distance += home
    if (clock + home > instance.depot.due + TOLERANCE)
      violations.push(`${name}: back at ${(clock + home).toFixed(2)}, the depot closes at ${instance.depot.due}`)
    if (load > instance.capacity + TOLERANCE) violations.push(`${name}: carries ${load}, capacity ${instance.capacity}`)
  })
  for (const { id } of instance.customers) if (!seen.has(id)) violations.push(`customer ${id} is not visited`)
  return { feasible: violations.length === 0, distance, violations }
}
