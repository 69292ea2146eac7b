import type { Random } from '../numeric/random'
import { NOWHERE, type RoutingState } from './state'

/**
 * Stops taken out on average, and from one route at most.
 * @source Christiaens & Vanden Berghe 2020, their tuned values
 */
const MEAN_REMOVED = 10
const LONGEST_STRING = 10
/** Share of ruins that keep a part in the middle of the string, and how often that part grows by one. */
const SPLIT_SHARE = 0.5
const SPLIT_GROWTH = 0.01

/**
 * Takes out strings of neighbouring stops from several routes around a random one.
 * @param movable false for stops that must stay where they are
 * @param around where to look; anywhere when it is empty
 * @param out receives the stops taken out
 * @source slack induction by string removals, Christiaens & Vanden Berghe 2020
 */
export function ruin(
  state: RoutingState,
  near: readonly Int32Array[],
  movable: Uint8Array,
  around: readonly number[],
  random: Random,
  out: number[],
): void {
  const { routes, at } = state
  const seed = around.length > 0 ? around[Math.floor(random() * around.length)] : Math.floor(random() * at.length)
  let lengths = 0
  let placed = 0
  for (const other of near[seed!]!)
    if (at[other] !== NOWHERE) {
      lengths += routes[at[other]!]!.length
      placed++
    }
  const meanLength = placed === 0 ? 1 : lengths / placed
  const longest = Math.min(LONGEST_STRING, meanLength)
  const strings = Math.floor(1 + random() * ((4 * MEAN_REMOVED) / (1 + longest) - 1))
  const ruined = new Set<number>()
  for (const stop of near[seed!]!) {
    if (ruined.size >= strings) break
    const vehicle = at[stop]!
    if (vehicle === NOWHERE || ruined.has(vehicle) || movable[stop] === 0) continue
    ruined.add(vehicle)
    removeString(state, vehicle, stop, longest, movable, random, out)
  }
  // what makes no sense without a stop that was taken out goes with it
  for (let i = 0; i < out.length; i++)
    for (const link of state.linksOf[out[i]!]!)
      if (link.requires && link.before === out[i] && at[link.after] !== NOWHERE && movable[link.after] === 1) {
        state.remove(link.after)
        out.push(link.after)
      }
}

function removeString(
  state: RoutingState,
  vehicle: number,
  stop: number,
  longest: number,
  movable: Uint8Array,
  random: Random,
  out: number[],
): void {
  const route = state.routes[vehicle]!
  const max = Math.min(route.length, longest)
  const length = Math.floor(1 + random() * max)
  const split = length > 1 && length < route.length && random() < SPLIT_SHARE
  let spared = 0
  if (split) {
    spared = 1
    while (length + spared < route.length && random() > SPLIT_GROWTH) spared++
  }
  const span = Math.min(route.length, length + spared)
  const position = route.indexOf(stop)
  const first = Math.max(0, Math.min(route.length - span, position - Math.floor(random() * span)))
  const gap = spared > 0 ? first + Math.floor(random() * (span - spared + 1)) : -1
  const chosen: number[] = []
  for (let i = first; i < first + span; i++)
    if (!(gap >= 0 && i >= gap && i < gap + spared) && movable[route[i]!] === 1) chosen.push(route[i]!)
  for (const taken of chosen) {
    state.remove(taken)
    out.push(taken)
  }
}
