import { addDays, type IsoDate } from '../../numeric/calendar'
import { seededRandom } from '../../numeric/random'
import { findPlace, linksAllow, newPlace } from '../routing/insertion'
import { NOWHERE, RoutingState } from '../routing/state'
import { hasAll, minutesWith, type PlanInput, type PlanVisit } from './plan-input'
import { toRouting, type PlanRouting } from './to-routing'

/** What keeps a visit from being planned. */
export type BlockedBy =
  | { readonly code: 'no-crew-skill'; readonly skills: readonly string[] }
  | { readonly code: 'no-crew-kit'; readonly kit: readonly string[] }
  | { readonly code: 'no-working-day' }
  | { readonly code: 'site-closed' }
  | { readonly code: 'too-long'; readonly minutes: number; readonly dayMinutes: number }
  | { readonly code: 'waits-for'; readonly visit: string }
  | { readonly code: 'spacing' }
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
const MOST_EXPLAINED = 200

/** For each visit that found no place: the constraints that block it, and the smallest relaxations that would let it in as the plan stands. */
export function whyUnplaced(input: PlanInput, routing: PlanRouting, routes: readonly (readonly number[])[], unplaced: readonly number[]): UnplacedVisit[] {
  return unplaced.map((stop, i) => {
    const visit = input.visits[stop]
    const reasons = blockedBy(input, routing, routes, stop)
    return { visit: visit.id, reasons, relaxations: i < MOST_EXPLAINED ? relaxationsOf(input, routes, routing, visit) : [] }
  })
}

function blockedBy(input: PlanInput, { problem, crewDays }: PlanRouting, routes: readonly (readonly number[])[], stop: number): BlockedBy[] {
  const visit = input.visits[stop]
  const skilled = input.crews.filter((crew) => hasAll(visit.skills, crew.skills))
  if (skilled.length === 0) return [{ code: 'no-crew-skill', skills: visit.skills.filter((s) => !input.crews.some((c) => c.skills.includes(s))) }]
  const able = skilled.filter((crew) => hasAll(visit.kit, crew.kit))
  if (able.length === 0) return [{ code: 'no-crew-kit', kit: visit.kit.filter((k) => !skilled.some((c) => c.kit.includes(k))) }]
  const inWindow = crewDays.filter(({ crew, day }) => able.includes(crew) && day >= visit.earliest && day <= visit.latest)
  if (inWindow.length === 0) return [{ code: 'no-working-day' }]
  if (problem.stops[stop].options.vehicles.length === 0) return [{ code: 'site-closed' }]
  const fits = able.some((crew) => alone(input, visit, crew) <= crew.endMin - crew.breakMin)
  if (!fits) {
    const crew = able.reduce((a, b) => (alone(input, visit, b) < alone(input, visit, a) ? b : a))
    return [{ code: 'too-long', minutes: minutesWith(visit, crew.size), dayMinutes: crew.endMin - crew.breakMin - crew.startMin }]
  }
  const placed = new Set(routes.flat())
  const waiting = visit.after.find((after) => after.requires && !placed.has(input.visits.findIndex((v) => v.id === after.visit)))
  if (waiting) return [{ code: 'waits-for', visit: waiting.visit }]
  const state = stateOf(problem, routes)
  const spaced = problem.stops[stop].options.vehicles.some((vehicle) => linksAllow(state, stop, vehicle))
  return [spaced ? { code: 'days-full' } : { code: 'spacing' }]
}

/** When a crew would be back from this visit alone, minutes of the day. */
function alone({ travel, locations }: PlanInput, visit: PlanVisit, crew: PlanInput['crews'][number]): number {
  const begin = Math.max(crew.startMin + travel[crew.depot * locations + visit.location], visit.opensMin)
  return begin + minutesWith(visit, crew.size) + travel[visit.location * locations + crew.depot]
}

function relaxationsOf(input: PlanInput, routes: readonly (readonly number[])[], routing: PlanRouting, visit: PlanVisit): Relaxation[] {
  const found: Relaxation[] = []
  const tryWith = (change: Partial<PlanVisit>, more = 0) => placeFor(input, routing, routes, { ...visit, ...change }, more)
  for (const days of LONGER_DAYS) {
    const place = tryWith({ earliest: addDays(visit.earliest, -days), latest: addDays(visit.latest, days) })
    if (place) {
      found.push({ code: 'longer-window', days, ...place })
      break
    }
  }
  for (const minutes of LONGER_MINUTES) {
    const place = tryWith({}, minutes)
    if (place) {
      found.push({ code: 'longer-day', minutes, ...place })
      break
    }
  }
  const open = visit.closedDays.length > 0 ? tryWith({ closedDays: [] }) : null
  if (open) found.push({ code: 'open-site', ...open })
  return found
}

/** Where a changed visit would go in the plan as it stands, with days longer by some minutes. */
function placeFor(input: PlanInput, routing: PlanRouting, routes: readonly (readonly number[])[], visit: PlanVisit, longerMin: number) {
  const crews = longerMin > 0 ? input.crews.map((crew) => ({ ...crew, endMin: crew.endMin + longerMin })) : input.crews
  const own = toRouting({ ...input, crews, visits: [{ ...visit, after: [] }] })
  // the visit stands at the end of the stops, with the options that its relaxed form has
  const stop = input.visits.length
  const links = routing.problem.links.flatMap((link) => {
    const at = input.visits.findIndex((v) => v.id === visit.id)
    return link.before === at ? [{ ...link, before: stop }] : link.after === at ? [{ ...link, after: stop }] : [link]
  })
  const problem = { ...routing.problem, vehicles: own.problem.vehicles, stops: [...routing.problem.stops, own.problem.stops[0]], links }
  const state = stateOf(problem, routes)
  const place = newPlace()
  findPlace(state, stop, place, 0, seededRandom(0))
  if (place.vehicle === NOWHERE) return null
  const { crew, day } = routing.crewDays[place.vehicle]
  return { crew: crew.id, day }
}

function stateOf(problem: PlanRouting['problem'], routes: readonly (readonly number[])[]): RoutingState {
  const state = new RoutingState(problem)
  routes.forEach((route, vehicle) => route.length > 0 && state.setRoute(vehicle, route))
  return state
}
