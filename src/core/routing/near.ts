import type { RoutingProblem } from './problem'

const MAX_NEAR = 80
const NEAR_PLACES = 60

/** For each stop the stops that lie near it in place and day, nearest first, itself included. */
export function nearStops({ stops, travel, locations, dayWeight }: RoutingProblem): Int32Array[] {
  const byLocation: number[][] = Array.from({ length: locations }, () => [])
  stops.forEach((stop, i) => byLocation[stop.location]!.push(i))
  const used = [...byLocation.keys()].filter((l) => byLocation[l]!.length > 0)
  const around = new Map(
    used.map((l) => [
      l,
      [...used].sort((a, b) => travel[l * locations + a]! - travel[l * locations + b]!).slice(0, NEAR_PLACES),
    ]),
  )
  return stops.map((stop) => {
    const found: { other: number; far: number }[] = []
    for (const place of around.get(stop.location)!)
      for (const other of byLocation[place]!)
        found.push({
          other,
          far: travel[stop.location * locations + place]! + dayWeight * Math.abs(stops[other]!.when - stop.when),
        })
    found.sort((a, b) => a.far - b.far || a.other - b.other)
    return Int32Array.from(found.slice(0, MAX_NEAR), (f) => f.other)
  })
}
