import { OBJECTIVES, type FoundOption, type Objectives } from './option-problem'

/** Whether one is at least as good in everything, and better in something. */
export function dominates(a: Objectives, b: Objectives): boolean {
  let better = false
  for (const objective of OBJECTIVES) {
    if (a[objective] > b[objective]) return false
    if (a[objective] < b[objective]) better = true
  }
  return better
}

const same = (a: Objectives, b: Objectives): boolean => OBJECTIVES.every((objective) => a[objective] === b[objective])

/** The options that no other beats in everything; of equals the first. */
export function paretoFront(options: readonly FoundOption[]): FoundOption[] {
  return options.filter(
    (option, i) =>
      !options.some(
        (other, k) =>
          dominates(other.objectives, option.objectives) || (k < i && same(other.objectives, option.objectives)),
      ),
  )
}

/** A front with one more option, where it belongs to it. */
export function withOption(front: readonly FoundOption[], option: FoundOption): readonly FoundOption[] {
  const { objectives } = option
  if (front.some((other) => dominates(other.objectives, objectives) || same(other.objectives, objectives))) return front
  return [...front.filter((other) => !dominates(objectives, other.objectives)), option]
}

/** How far each option stands from its neighbours on the front; the ends of each objective stand furthest. */
export function crowding(options: readonly FoundOption[]): number[] {
  const distance = options.map(() => 0)
  for (const objective of OBJECTIVES) {
    const at = (i: number): number => options[i]!.objectives[objective]
    const order = options.map((_, i) => i).sort((a, b) => at(a) - at(b))
    const [first, last] = [order[0], order[order.length - 1]]
    if (first === undefined || last === undefined) return distance
    const span = at(last) - at(first)
    distance[first] = Infinity
    distance[last] = Infinity
    if (span <= 0) continue
    for (let k = 1; k < order.length - 1; k++) distance[order[k]!]! += (at(order[k + 1]!) - at(order[k - 1]!)) / span
  }
  return distance
}

/**
 * The front cut down to so many, the most crowded left out first.
 * @source Deb et al. 2002 (NSGA-II), crowding distance
 */
export function thinned(front: readonly FoundOption[], most: number): readonly FoundOption[] {
  if (front.length <= most) return front
  const distance = crowding(front)
  return front
    .map((option, i) => ({ option, distance: distance[i]! }))
    .sort((a, b) => b.distance - a.distance)
    .slice(0, most)
    .map(({ option }) => option)
}
