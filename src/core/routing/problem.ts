import { assertInRange, DomainError } from '../errors'

/** A crew's day, or a truck: one route at most. Times are minutes (or any one unit) of its day. */
export interface Vehicle {
  readonly start: number
  readonly end: number
  /** Location it begins and ends at. */
  readonly depot: number
  readonly capacity: number
  /** Day number, for spacing between stops and for what lies near in time. */
  readonly day: number
  /** Vehicles of one kind are alike while empty; only one empty one of a kind is tried. */
  readonly kind: number
  /** Being out later than this costs overtime; its end where there is none. */
  readonly overtimeFrom?: number
  /** Whose work is compared with whose: an index into `balance.groups`. */
  readonly group?: number
  /** Whose vehicle it is, for stops that one crew must do together. */
  readonly crew?: number
  /** What can be held at one time, such as fish in tanks, m³. */
  readonly tank?: number
  /** Location it begins at, where that is not the depot: a crew that is out already. */
  readonly from?: number
}

/**
 * When a stop's tanks are in use: while it is served, from then until the day ends, or from its beginning until then.
 */
export type TankUse = 'while-there' | 'until-night' | 'from-morning'

/** Work of one period shared evenly: each group is a crew in a week, say. */
export interface Balance {
  /** Price of one full group beside an empty one, roughly, in the unit of travel. */
  readonly weight: number
  readonly groups: readonly { readonly period: number; readonly capacity: number }[]
}

/** Where and at what cost a stop may go, cheapest first. */
export interface StopOptions {
  readonly vehicles: Int32Array
  /** Price of each, in the unit of travel, rising: lateness, preference, stability. */
  readonly costs: Float32Array
  /** Minutes on site with each. */
  readonly service: Float64Array
}

export interface Stop {
  readonly location: number
  readonly demand: number
  /** Service may begin from here and until there, minutes of the day. */
  readonly ready: number
  readonly due: number
  readonly options: StopOptions
  /** Price of leaving it out; high for what must be done. */
  readonly unplacedCost: number
  /** Its usual day, for choosing what is near in time. */
  readonly when: number
  /** Tanks it needs, and when; none where left out. */
  readonly tank?: number
  readonly tankUse?: TankUse
}

/** Days that must lie between two stops. */
export interface Link {
  readonly before: number
  readonly after: number
  readonly minDays: number
  readonly maxDays: number
  /** The later one makes no sense without the earlier one. */
  readonly requires: boolean
  /** Two legs of one piece of work: the same crew, and both or neither. */
  readonly leg?: boolean
}

export interface RoutingProblem {
  /** Number of locations; `travel` holds a row for each. */
  readonly locations: number
  /** Minutes from each location to each other, row by row. */
  readonly travel: Float64Array
  readonly vehicles: readonly Vehicle[]
  readonly stops: readonly Stop[]
  readonly links: readonly Link[]
  /** Worth of a day's distance in minutes of travel, when looking for stops that lie near each other. */
  readonly dayWeight: number
  /** Price of a minute of overtime. */
  readonly overtimeRate?: number
  readonly balance?: Balance
}

export interface RoutingSolution {
  /** Stops in order for each vehicle. */
  readonly routes: readonly (readonly number[])[]
  readonly unplaced: readonly number[]
  readonly cost: number
  readonly travel: number
}

/** @throws {DomainError} sizes that do not fit, or figures that are no numbers */
export function assertProblem({ locations, travel, vehicles, stops, links }: RoutingProblem): void {
  if (travel.length !== locations * locations)
    throw new DomainError('travel', travel.length, `${locations} × ${locations} figures`)
  if (travel.some((t) => !(t >= 0))) throw new DomainError('travel', 'a figure below zero or none', 'minutes from 0')
  vehicles.forEach((v, i) => {
    assertInRange(`vehicles.${i}.depot`, v.depot, [0, locations - 1])
    if (v.overtimeFrom !== undefined && !(v.overtimeFrom <= v.end))
      throw new DomainError(`vehicles.${i}.overtimeFrom`, v.overtimeFrom, `at or before its end ${v.end}`)
    if (!(v.end >= v.start)) throw new DomainError(`vehicles.${i}.end`, v.end, `at or after its start ${v.start}`)
  })
  stops.forEach((s, i) => {
    assertInRange(`stops.${i}.location`, s.location, [0, locations - 1])
    if (!(s.due >= s.ready)) throw new DomainError(`stops.${i}.due`, s.due, `at or after ready ${s.ready}`)
    if (!(s.demand >= 0)) throw new DomainError(`stops.${i}.demand`, s.demand, '0 or more')
    if (!(s.unplacedCost >= 0)) throw new DomainError(`stops.${i}.unplacedCost`, s.unplacedCost, '0 or more')
  })
  links.forEach((l, i) => {
    assertInRange(`links.${i}.before`, l.before, [0, stops.length - 1])
    assertInRange(`links.${i}.after`, l.after, [0, stops.length - 1])
    if (!(l.maxDays >= l.minDays)) throw new DomainError(`links.${i}.maxDays`, l.maxDays, `at least ${l.minDays}`)
  })
}
