import { DomainError } from '../../errors'
import { dayNumber, mondayOf, type IsoDate } from '../../numeric/calendar'
import type { Balance, Link, RoutingProblem, Stop, StopOptions, Vehicle } from '../../routing/problem'
import { beginsAt, crewHours } from './crew-hours'
import { heldMinutes } from './held-minutes'
import { standingRoutes } from './standing-routes'
import { hasAll, PLAN_RANGE, type PlanCrew, type PlanInput, type PlanVisit, type Placement } from './plan-input'

/** A crew on a working day. */
export interface CrewDay {
  readonly crew: PlanCrew
  readonly day: IsoDate
}

export interface PlanRouting {
  readonly problem: RoutingProblem
  readonly crewDays: readonly CrewDay[]
  /** Published routes, as far as they still can be driven one by one. */
  readonly start: readonly (readonly number[])[]
  readonly locked: readonly number[]
  /** Crew-days that somebody laid out against the rules. */
  readonly overlong: readonly number[]
  /** Published stops that have a place at their crew and day, and stay there unless moving one gains much. */
  readonly standing: readonly number[]
  /** What the plan has to find a place for. */
  readonly open: readonly number[]
}

/** Worth of a day's distance in minutes of travel, when the search looks for visits near each other. */
const DAY_WEIGHT = 3

/**
 * The plan as routes: every crew on every working day is one vehicle, and a visit may go where window, skills, kit
 * and site allow.
 * @throws {DomainError} more than PLAN_RANGE allows, an id twice, or a visit after one that is not there
 */
// eslint-disable-next-line max-lines-per-function -- mostly the problem, part by part
export function toRouting(input: PlanInput, resume: ReadonlyMap<string, Placement> = new Map()): PlanRouting {
  assertPlan(input)
  const { days, crews, visits, weights } = input
  const crewDays = days.flatMap((day) =>
    crews.filter((crew) => !crew.daysOff.includes(day)).map((crew) => ({ crew, day })),
  )
  const numbers = new Map(days.map((day) => [day, dayNumber(day)]))
  const { balance, groupOf } = crewWeeks(input, crewDays)
  const crewIndex = new Map(crews.map((crew, i) => [crew.id, i]))
  const vehicles = crewDays.map(({ crew, day }, kind): Writable<Vehicle> => {
    const { startMin, endMin, latestMin } = crewHours(input, crew, day)
    return {
      start: startMin,
      end: latestMin,
      depot: crew.depot,
      capacity: crew.capacity,
      day: numbers.get(day)!,
      kind,
      ...(latestMin > endMin ? { overtimeFrom: endMin } : {}),
      group: groupOf[kind],
      crew: crewIndex.get(crew.id)!,
      tank: crew.tankM3,
      from: beginsAt(input, crew, day),
    }
  })
  const byDay = crewDaysByDay(crewDays)
  const index = new Map(visits.map((visit, i) => [visit.id, i]))
  const stops = visits.map((visit): Writable<Stop> => ({
    location: visit.location,
    demand: visit.load,
    ...hoursOf(visit),
    options: optionsOf(visit, input, crewDays, byDay),
    unplacedCost: weights.unplaced * visit.value,
    when: dayNumber(visit.published?.day ?? visit.best),
    tank: visit.tankM3,
    tankUse: visit.tankUse,
  }))
  const links = visits.flatMap((visit, after): Link[] =>
    visit.after.map(({ visit: before, minDays, maxDays, requires, leg }) => ({
      before: index.get(before)!,
      after,
      minDays,
      maxDays,
      requires,
      leg,
    })),
  )
  for (const link of links) if (link.leg) keepDaysOfBoth(stops, vehicles, link)
  const problem = {
    locations: input.locations,
    travel: input.travel,
    vehicles,
    stops,
    links,
    dayWeight: DAY_WEIGHT,
    overtimeRate: weights.overtimePerMin,
    balance,
  }
  const overlong = asTheyStand(input, crewDays, problem, vehicles, stops)
  // a plan that mostly stands is searched in seconds: it begins anew rather than take a half-done search for what was
  // published
  const stands = visits.some((visit) => visit.published && !visit.free && !visit.locked)
  const plan = standingRoutes(input, stands ? new Map() : resume, crewDays, problem)
  // what cannot stay is looked at for any hour of the site
  for (const stop of plan.open)
    Object.assign(stops[stop]!, { ready: visits[stop]!.opensMin, due: visits[stop]!.closesMin })
  return { problem, crewDays, overlong, ...plan }
}

type Writable<T> = { -readonly [K in keyof T]: T[K] }

/**
 * Days that a person laid out longer, later or fuller than the rules have it stand as they were put: nothing is added
 * to them, and nothing is
 * moved for a rule that somebody knew better than.
 * @returns those days
 */
function asTheyStand(
  { visits, out }: PlanInput,
  crewDays: readonly CrewDay[],
  { travel, locations }: RoutingProblem,
  vehicles: Writable<Vehicle>[],
  stops: Writable<Stop>[],
): number[] {
  const at = new Map(crewDays.map(({ crew, day }, v) => [`${crew.id} ${day}`, v]))
  const routes: { stop: number; startMin: number }[][] = crewDays.map(() => [])
  visits.forEach(({ published: stands, free, urgent }, stop) => {
    const vehicle = stands && !free && !urgent ? at.get(`${stands.crew} ${stands.day}`) : undefined
    if (vehicle !== undefined && stops[stop]!.options.vehicles.includes(vehicle))
      routes[vehicle]!.push({ stop, startMin: stands!.startMin })
  })
  return routes.flatMap((route, v) => {
    const vehicle = vehicles[v]!
    // of a day that has begun only what still can be done stays
    if (out?.[crewDays[v]!.crew.id]?.day === crewDays[v]!.day) return []
    let clock = vehicle.start
    let here = vehicle.from ?? vehicle.depot
    let load = 0
    let over = false
    for (const { stop } of route.sort((a, b) => a.startMin - b.startMin)) {
      const s = stops[stop]!
      clock = Math.max(clock + travel[here * locations + s.location]!, s.ready)
      over ||= clock > s.due
      s.due = Math.max(s.due, clock)
      clock += s.options.service[s.options.vehicles.indexOf(v)]!
      load += s.demand
      here = s.location
    }
    if (route.length === 0) return []
    const home = clock + travel[here * locations + vehicle.depot]!
    over ||= home > vehicle.end || load > vehicle.capacity
    vehicle.end = Math.max(vehicle.end, home)
    vehicle.capacity = Math.max(vehicle.capacity, load)
    return over ? [v] : []
  })
}

/** Of two legs each keeps only the days on which the other can follow, or come before, with the same crew. */
function keepDaysOfBoth(
  stops: Writable<Stop>[],
  vehicles: readonly Vehicle[],
  { before, after, minDays, maxDays }: Link,
): void {
  const days = (stop: number) =>
    new Set([...stops[stop]!.options.vehicles].map((v) => `${vehicles[v]!.crew} ${vehicles[v]!.day}`))
  const gaps = Array.from({ length: maxDays - minDays + 1 }, (_, i) => minDays + i)
  const keep = (stop: number, other: ReadonlySet<string>, sign: 1 | -1) => {
    const { options } = stops[stop]!
    const kept = [...options.vehicles.keys()].filter((o) => {
      const { crew, day } = vehicles[options.vehicles[o]!]!
      return gaps.some((gap) => other.has(`${crew} ${day + sign * gap}`))
    })
    stops[stop]!.options = {
      vehicles: Int32Array.from(kept, (o) => options.vehicles[o]!),
      costs: Float32Array.from(kept, (o) => options.costs[o]!),
      service: Float64Array.from(kept, (o) => options.service[o]!),
    }
  }
  keep(before, days(after), 1)
  keep(after, days(before), -1)
}

/** Each crew's week, with the minutes it has: what work is shared over. */
function crewWeeks(input: PlanInput, crewDays: readonly CrewDay[]): { balance: Balance; groupOf: number[] } {
  const weeks = new Map<string, number>()
  const index = new Map<string, number>()
  const groups: { period: number; capacity: number }[] = []
  const groupOf = crewDays.map(({ crew, day }) => {
    const week = mondayOf(day)
    if (!weeks.has(week)) weeks.set(week, weeks.size)
    const key = `${crew.id} ${week}`
    if (!index.has(key)) index.set(key, groups.push({ period: weeks.get(week)!, capacity: 0 }) - 1)
    const group = index.get(key)!
    const { startMin, endMin } = crewHours(input, crew, day)
    groups[group]! = { ...groups[group]!, capacity: groups[group]!.capacity + endMin - startMin }
    return group
  })
  return { balance: { weight: input.weights.unfair, groups }, groupOf }
}

/** Vehicles of each day. */
export function crewDaysByDay(crewDays: readonly CrewDay[]): Map<IsoDate, number[]> {
  const byDay = new Map<IsoDate, number[]>()
  crewDays.forEach(({ day }, v) => byDay.set(day, [...(byDay.get(day) ?? []), v]))
  return byDay
}

/** Days and crews a visit may go on, each with its price. A locked one has just its own. */
export function optionsOf(
  visit: PlanVisit,
  input: PlanInput,
  crewDays: readonly CrewDay[],
  byDay: ReadonlyMap<IsoDate, number[]>,
): StopOptions {
  const { days, weights } = input
  const found: { vehicle: number; cost: number; service: number }[] = []
  const pinned = visit.locked ? visit.published : null
  for (const day of days) {
    if (pinned ? day !== pinned.day : day < visit.earliest || day > visit.latest || visit.closedDays.includes(day))
      continue
    for (const vehicle of byDay.get(day) ?? []) {
      const { crew } = crewDays[vehicle]!
      if (
        pinned
          ? crew.id !== pinned.crew
          : !hasAll(visit.skills, crew.skills) || !hasAll(visit.kit, crew.kit) || visit.tankM3 > crew.tankM3
      )
        continue
      found.push({
        vehicle,
        cost: pinned ? 0 : priceOf(visit, crew, day, weights),
        service: heldMinutes(input, visit, crew, day),
      })
    }
  }
  found.sort((a, b) => a.cost - b.cost || a.vehicle - b.vehicle)
  return {
    vehicles: Int32Array.from(found, (f) => f.vehicle),
    costs: Float32Array.from(found, (f) => f.cost),
    service: Float64Array.from(found, (f) => f.service),
  }
}

/** What a crew and a day cost beside the way there, in minutes of travel. */
export function priceOf(visit: PlanVisit, crew: PlanCrew, day: IsoDate, weights: PlanInput['weights']): number {
  const off = Math.abs(dayNumber(day) - dayNumber(visit.best)) * weights.offBestPerDay
  const unlikely = (1 - (visit.likelihood[day] ?? 1)) * weights.unlikely
  const stands = visit.free ? null : visit.published
  const changes = stands
    ? (stands.day === day ? 0 : weights.movedDay) + (stands.crew === crew.id ? 0 : weights.movedCrew)
    : 0
  const moved = changes * (visit.changeWeight ?? 1)
  const other = visit.preferredCrew !== null && visit.preferredCrew !== crew.id ? weights.otherCrew : 0
  return visit.value * (off + unlikely) + moved + other
}

/**
 * When it may begin: a visit that stands keeps about the hour that its customer knows, as far as the site's hours
 * allow.
 */
function hoursOf({ published, free, slackMin, opensMin, closesMin }: PlanVisit): { ready: number; due: number } {
  if (!published || free || slackMin === undefined) return { ready: opensMin, due: closesMin }
  const [ready, due] = [
    Math.max(opensMin, published.startMin - slackMin),
    Math.min(closesMin, published.startMin + slackMin),
  ]
  return ready <= due ? { ready, due } : { ready: opensMin, due: closesMin }
}

function assertPlan({ days, crews, visits }: PlanInput): void {
  const few = (name: string, count: number, max: number) => {
    if (count > max) throw new DomainError(name, count, `at most ${max}`)
  }
  few('days', days.length, PLAN_RANGE.days)
  few('crews', crews.length, PLAN_RANGE.crews)
  few('visits', visits.length, PLAN_RANGE.visits)
  if (days.some((day, i) => i > 0 && day <= days[i - 1]!))
    throw new DomainError('days', 'a day that is not after the one before', 'rising days')
  const ids = new Set(visits.map((v) => v.id))
  if (ids.size !== visits.length) throw new DomainError('visits', 'an id twice', 'each visit once')
  if (new Set(crews.map((c) => c.id)).size !== crews.length)
    throw new DomainError('crews', 'an id twice', 'each crew once')
  visits.forEach((visit, i) => {
    if (visit.earliest > visit.latest)
      throw new DomainError(`visits.${i}.latest`, visit.latest, `not before its earliest day ${visit.earliest}`)
    const stray = visit.after.find((after) => !ids.has(after.visit))
    if (stray) throw new DomainError(`visits.${i}.after`, stray.visit, 'a visit of this plan')
  })
}
