import { addDays, type IsoDate } from '../../numeric/calendar'
import { seededRandom } from '../../numeric/random'
import { findPlace, linksAllow, newPlace } from '../../routing/insertion'
import { NOWHERE, RoutingState } from '../../routing/state'
import { crewHours } from './crew-hours'
import { backFrom } from './held-minutes'
import { hasAll, minutesWith, type PlanInput, type PlanVisit } from './plan-input'
import { crewDaysByDay, optionsOf, type PlanRouting } from './to-routing'

/** What keeps a visit from being planned. */
export type BlockedBy =
  | { readonly code: 'no-crew-skill'; readonly skills: readonly string[] }
  | { readonly code: 'no-crew-kit'; readonly kit: readonly string[] }
  | { readonly code: 'no-crew-tank'; readonly needsM3: number; readonly hasM3: number }
  | { readonly code: 'no-working-day' }
  | { readonly code: 'site-closed' }
  | { readonly code: 'too-long'; readonly minutes: number; readonly dayMinutes: number }
  | { readonly code: 'waits-for'; readonly visit: string }
  | { readonly code: 'spacing' }
  /** Its second day finds no place with the same crew. */
  | { readonly code: 'next-day-full'; readonly visit: string }
  | { readonly code: 'days-full' }

/** The least that would have to give way. */
export type Relaxation =
  | { readonly code: 'longer-window'; readonly days: number; readonly day: IsoDate; readonly crew: string }
  | { readonly code: 'longer-day'; readonly minutes: number; readonly day: IsoDate; readonly crew: string }
  | { readonly code: 'open-site'; readonly day: IsoDate; readonly crew: string }

export interface UnplacedVisit {
  readonly visit: string
  readonly reasons: readonly BlockedBy[]
  readonly relaxations: readonly Relaxation[]
}

const LONGER_DAYS = [3, 7, 14, 28] as const
const LONGER_MINUTES = [30, 60, 120] as const
/** Relaxations are looked for this many times at most: each tries the visit on the whole plan. */
const MAX_EXPLAINED = 200

/**
 * For each visit that found no place: the constraints that block it, and the smallest relaxations that would let it
 * in as the plan stands.
 */
export function whyUnplaced(
  input: PlanInput,
  routing: PlanRouting,
  routes: readonly (readonly number[])[],
  unplaced: readonly number[],
): UnplacedVisit[] {
  const tries = unplaced.length === 0 ? null : new RelaxedPlan(input, routing, routes)
  const state = stateOf(routing.problem, routes)
  return unplaced.map((stop, i) => ({
    visit: input.visits[stop]!.id,
    reasons: blockedBy(input, routing, state, stop),
    relaxations: tries && i < MAX_EXPLAINED ? relaxationsOf(tries, input.visits[stop]!, stop) : [],
  }))
}

function blockedBy(
  input: PlanInput,
  { problem, crewDays }: PlanRouting,
  state: RoutingState,
  stop: number,
): BlockedBy[] {
  const visit = input.visits[stop]!
  const skilled = input.crews.filter((crew) => hasAll(visit.skills, crew.skills))
  if (skilled.length === 0)
    return [
      { code: 'no-crew-skill', skills: visit.skills.filter((s) => !input.crews.some((c) => c.skills.includes(s))) },
    ]
  const kitted = skilled.filter((crew) => hasAll(visit.kit, crew.kit))
  const able = kitted.filter((crew) => visit.tankM3 <= crew.tankM3)
  if (kitted.length > 0 && able.length === 0)
    return [{ code: 'no-crew-tank', needsM3: visit.tankM3, hasM3: Math.max(...kitted.map((c) => c.tankM3)) }]
  if (able.length === 0)
    return [{ code: 'no-crew-kit', kit: visit.kit.filter((k) => !skilled.some((c) => c.kit.includes(k))) }]
  const inWindow = crewDays.filter(
    ({ crew, day }) => able.includes(crew) && day >= visit.earliest && day <= visit.latest,
  )
  if (inWindow.length === 0) return [{ code: 'no-working-day' }]
  if (problem.stops[stop]!.options.vehicles.length === 0) {
    // with a free day of its own, it is the other day of the same work that has none
    const leg =
      optionsOf(visit, input, crewDays, crewDaysByDay(crewDays)).vehicles.length > 0
        ? state.linksOf[stop]!.find((link) => link.leg)
        : undefined
    if (!leg) return [{ code: 'site-closed' }]
    return leg.before === stop
      ? [{ code: 'next-day-full', visit: input.visits[leg.after]!.id }]
      : [{ code: 'waits-for', visit: input.visits[leg.before]!.id }]
  }
  const fits = inWindow.some(
    (on) => backFrom(input, visit, on.crew, on.day) <= crewHours(input, on.crew, on.day).latestMin,
  )
  if (!fits) {
    const { crew, day } = inWindow.reduce((a, b) =>
      backFrom(input, visit, b.crew, b.day) < backFrom(input, visit, a.crew, a.day) ? b : a,
    )
    const { startMin, latestMin } = crewHours(input, crew, day)
    return [{ code: 'too-long', minutes: minutesWith(visit, crew), dayMinutes: latestMin - startMin }]
  }
  const waiting = state.linksOf[stop]!.find(
    (link) => link.after === stop && link.requires && state.at[link.before] === NOWHERE,
  )
  if (waiting) return [{ code: 'waits-for', visit: input.visits[waiting.before]!.id }]
  const other = state.linksOf[stop]!.find(
    (link) => link.before === stop && link.leg && state.at[link.after] === NOWHERE,
  )
  if (other) return [{ code: 'next-day-full', visit: input.visits[other.after]!.id }]
  const spaced = problem.stops[stop]!.options.vehicles.some((vehicle) => linksAllow(state, stop, vehicle))
  return [spaced ? { code: 'days-full' } : { code: 'spacing' }]
}

function relaxationsOf(tries: RelaxedPlan, visit: PlanVisit, stop: number): Relaxation[] {
  const found: Relaxation[] = []
  for (const days of LONGER_DAYS) {
    const place = tries.placeFor(
      stop,
      { ...visit, earliest: addDays(visit.earliest, -days), latest: addDays(visit.latest, days) },
      0,
    )
    if (place) {
      found.push({ code: 'longer-window', days, ...place })
      break
    }
  }
  for (const minutes of LONGER_MINUTES) {
    const place = tries.placeFor(stop, visit, minutes)
    if (place) {
      found.push({ code: 'longer-day', minutes, ...place })
      break
    }
  }
  const open = visit.closedDays.length > 0 ? tries.placeFor(stop, { ...visit, closedDays: [] }, 0) : null
  if (open) found.push({ code: 'open-site', ...open })
  return found
}

/** The plan as it stands, once for each length of day, to try visits on whose rules are loosened. */
class RelaxedPlan {
  private readonly states = new Map<number, RoutingState>()
  private readonly byDay: ReturnType<typeof crewDaysByDay>
  constructor(
    private readonly input: PlanInput,
    private readonly routing: PlanRouting,
    private readonly routes: readonly (readonly number[])[],
  ) {
    this.byDay = crewDaysByDay(routing.crewDays)
  }

  placeFor(stop: number, visit: PlanVisit, longerMin: number): { crew: string; day: IsoDate } | null {
    const state = this.stateWith(longerMin)
    const stops = state.problem.stops as PlanRouting['problem']['stops'][number][]
    const own = stops[stop]!
    stops[stop]! = { ...own, options: optionsOf(visit, this.input, this.routing.crewDays, this.byDay) }
    const place = newPlace()
    findPlace(state, stop, place, 0, seededRandom(0))
    stops[stop]! = own
    if (place.vehicle === NOWHERE) return null
    const { crew, day } = this.routing.crewDays[place.vehicle]!
    return { crew: crew.id, day }
  }

  private stateWith(longerMin: number): RoutingState {
    const known = this.states.get(longerMin)
    if (known) return known
    const { problem } = this.routing
    const vehicles =
      longerMin === 0 ? problem.vehicles : problem.vehicles.map((v) => ({ ...v, end: v.end + longerMin }))
    const state = stateOf({ ...problem, vehicles, stops: [...problem.stops] }, this.routes)
    this.states.set(longerMin, state)
    return state
  }
}

function stateOf(problem: PlanRouting['problem'], routes: readonly (readonly number[])[]): RoutingState {
  const state = new RoutingState(problem)
  routes.forEach((route, vehicle) => route.length > 0 && state.setRoute(vehicle, route))
  return state
}
