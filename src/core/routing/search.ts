import type { Random } from '../numeric/random'
import { findPlace, insertAt, newPlace } from './insertion'
import { nearStops } from './near'
import { assertProblem, type RoutingProblem, type RoutingSolution } from './problem'
import { ruin } from './ruin'
import { NOWHERE, RoutingState } from './state'

/** Share of places overlooked while putting stops back. @source Christiaens & Vanden Berghe 2020 */
const BLINK = 0.01
/** Unplaced stops tried again in one step beside those just taken out. */
const RETRIED = 5
const CHECK_EVERY = 64
/** Where the second of two legs finds no place, so many other places are tried for the first. */
const OTHER_DAYS_TRIED = 8
/** Annealing temperatures as shares of the mean leg. */
const HOT = 1.2
const COLD = 0.012

interface SearchProgress {
  readonly share: number
  readonly cost: number
  readonly unplaced: number
  /** The best routes so far; good until the search goes on. */
  readonly routes: () => readonly (readonly number[])[]
}

export interface SearchOptions {
  readonly random: Random
  readonly iterations: number
  /** Share of the budget that is spent, 0..1, when it is not counted in iterations (wall time). */
  readonly spent?: () => number
  readonly shouldStop?: () => boolean
  readonly onProgress?: (progress: SearchProgress) => void
  /** A plan to begin from, such as the published one; stops that no longer fit are left out and put back. */
  readonly start?: readonly (readonly number[])[]
  /** Stops that stay where `start` has them. */
  readonly locked?: readonly number[]
  /**
   * Stops of `start` that people were told of: at most so many of them may stand elsewhere in the end, and none
   * nowhere.
   */
  readonly standing?: { readonly stops: readonly number[]; readonly maxMoved: number }
  /** Stops that the search is about; all where it is left out. */
  readonly around?: readonly number[]
}

export interface SearchOutcome extends RoutingSolution {
  readonly status: 'finished' | 'stopped'
  readonly iterations: number
}

/**
 * Routes and days for stops: greedy insertion, then ruin and recreate under simulated annealing. Anytime: the best so
 * far is given back.
 * Deterministic for a seed and a number of iterations.
 * @throws {DomainError} a problem that does not hold together
 * @source Christiaens & Vanden Berghe 2020 (string removals, blinks); Schrimpf et al. 2000 (ruin and recreate)
 */
// eslint-disable-next-line max-lines-per-function -- one loop over state that its steps share
export function searchRoutes(problem: RoutingProblem, options: SearchOptions): SearchOutcome {
  assertProblem(problem)
  const { random, shouldStop, onProgress } = options
  // a firm with nothing to do has its plan at once
  const iterations = problem.stops.length === 0 ? 0 : options.iterations
  const state = new RoutingState(problem)
  const movable = new Uint8Array(problem.stops.length).fill(1)
  for (const stop of options.locked ?? []) movable[stop] = 0
  options.start?.forEach((route, vehicle) => route.length > 0 && state.setRoute(vehicle, route))
  if (options.standing) state.settle(options.standing.stops)
  const maxMoved = options.standing?.maxMoved ?? Infinity
  const around = options.around ?? []
  state.mark()
  const near = nearStops(problem)
  const place = newPlace()
  const out: number[] = []
  const putBack = (stops: number[], blink: number) => {
    for (const stop of stops) {
      if (state.at[stop] !== NOWHERE) continue
      findPlace(state, stop, place, blink, random)
      if (place.vehicle !== NOWHERE && place.cost < problem.stops[stop]!.unplacedCost) insertAt(state, stop, place)
    }
  }
  /** Of two legs of one piece of work both are placed or neither is. */
  const keepLegsTogether = (stops: readonly number[], blink: number) => {
    for (const stop of stops)
      for (const { leg, before, after } of state.linksOf[stop]!) {
        if (!leg || state.at[before] === NOWHERE || state.at[after] !== NOWHERE) continue
        putBack([after], blink)
        if (state.at[after] !== NOWHERE || movable[before] !== 1) continue
        const barred = new Set<number>()
        while (state.at[after] === NOWHERE) {
          barred.add(state.at[before]!)
          state.remove(before)
          if (barred.size > OTHER_DAYS_TRIED) break
          findPlace(state, before, place, blink, random, barred)
          if (place.vehicle === NOWHERE || place.cost >= problem.stops[before]!.unplacedCost) break
          insertAt(state, before, place)
          putBack([after], blink)
        }
      }
  }
  const everything = [...problem.stops.keys()].filter((s) => state.at[s] === NOWHERE && movable[s] === 1)
  putBack(byUrgency(problem, everything), 0)
  // what waited for something placed after it
  putBack(everything, 0)
  keepLegsTogether(everything, 0)

  const best = new BestSoFar(state)
  const routes = () => best.solution().routes
  const hot = HOT * meanLeg(problem)
  const cold = COLD * meanLeg(problem)
  let share = 0
  let done = 0
  let stopped = false
  for (; done < iterations; done++) {
    if (done % CHECK_EVERY === 0) {
      share = options.spent ? options.spent() : done / iterations
      if (share >= 1) break
      if (shouldStop?.()) {
        stopped = true
        break
      }
      onProgress?.({ share, cost: best.cost, unplaced: best.unplaced, routes })
    }
    const before = state.cost
    state.mark()
    out.length = 0
    ruin(state, near, movable, around, random, out)
    if (state.unplaced > out.length) retryUnplaced(state, movable, random, out)
    sortRemoved(problem, out, random)
    putBack(out, BLINK)
    keepLegsTogether(out, BLINK)
    const temperature = hot * (cold / hot) ** share
    const accepted = state.cost <= before - temperature * Math.log(random())
    if (!accepted || state.away > maxMoved) state.undo()
    else best.update()
  }
  return { ...best.solution(), status: stopped ? 'stopped' : 'finished', iterations: done }
}

/** The best routes so far; only what changed since is copied. */
class BestSoFar {
  private routes: number[][]
  cost: number
  unplaced: number
  travel: number
  constructor(private readonly state: RoutingState) {
    this.routes = state.routes.map((r) => [...r])
    this.cost = state.cost
    this.unplaced = state.unplaced
    this.travel = state.travelSum
    state.touched.clear()
  }
  update(): void {
    const { state } = this
    if (state.cost >= this.cost - 1e-7) return
    for (const vehicle of state.touched) this.routes[vehicle] = [...state.routes[vehicle]!]
    state.touched.clear()
    this.cost = state.cost
    this.unplaced = state.unplaced
    this.travel = state.travelSum
  }
  solution(): RoutingSolution {
    const placed = new Set(this.routes.flat())
    return {
      routes: this.routes,
      unplaced: [...this.state.at.keys()].filter((s) => !placed.has(s)),
      cost: this.cost,
      travel: this.travel,
    }
  }
}

function retryUnplaced(state: RoutingState, movable: Uint8Array, random: Random, out: number[]): void {
  const taken = new Set(out)
  const from = Math.floor(random() * state.at.length)
  for (let i = 0, found = 0; i < state.at.length && found < RETRIED; i++) {
    const stop = (from + i) % state.at.length
    if (state.at[stop] === NOWHERE && movable[stop] === 1 && !taken.has(stop)) {
      out.push(stop)
      found++
    }
  }
}

/** Fewest ways first, then what is dear to leave out. */
const byUrgency = ({ stops }: RoutingProblem, which: number[]): number[] =>
  [...which].sort(
    (a, b) =>
      stops[b]!.unplacedCost / stops[b]!.options.vehicles.length -
        stops[a]!.unplacedCost / stops[a]!.options.vehicles.length || a - b,
  )

/** Random, by demand, by narrow window, early or late first: each now and then. */
function sortRemoved({ stops, vehicles }: RoutingProblem, out: number[], random: Random): void {
  const turn = Math.floor(random() * 6)
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[out[i], out[j]] = [out[j]!, out[i]!]
  }
  const depot = vehicles[0]?.depot ?? 0
  if (turn === 1) out.sort((a, b) => stops[b]!.demand - stops[a]!.demand)
  else if (turn === 2) out.sort((a, b) => stops[a]!.due - stops[a]!.ready - (stops[b]!.due - stops[b]!.ready))
  else if (turn === 3) out.sort((a, b) => stops[a]!.ready - stops[b]!.ready)
  else if (turn === 4) out.sort((a, b) => stops[b]!.options.service[0]! - stops[a]!.options.service[0]!)
  else if (turn === 5) out.sort((a, b) => Math.abs(stops[b]!.location - depot) - Math.abs(stops[a]!.location - depot))
}

function meanLeg({ travel, locations, stops }: RoutingProblem): number {
  const places = [...new Set(stops.map((s) => s.location))]
  let sum = 0
  let n = 0
  for (let i = 0; i < places.length; i += Math.max(1, Math.floor(places.length / 60)))
    for (let j = 0; j < places.length; j += Math.max(1, Math.floor(places.length / 60)))
      if (i !== j) {
        sum += travel[places[i]! * locations + places[j]!]!
        n++
      }
  return n === 0 ? 1 : Math.max(1e-6, sum / n)
}
