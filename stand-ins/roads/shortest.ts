import { JUNCTIONS, ROAD_SPEED, ROADS } from './hask-roads'

type LonLat = readonly [number, number]

const EARTH_KM = 6371
/** Between a door and the nearest junction. */
const OFF_ROAD_KMH = 30
const OFF_ROAD_WINDING = 1.3
const radians = (deg: number) => (deg * Math.PI) / 180

/** Great-circle distance, km. @source haversine formula */
export function kmBetween([lonA, latA]: LonLat, [lonB, latB]: LonLat): number {
  const h =
    Math.sin(radians(latB - latA) / 2) ** 2 +
    Math.cos(radians(latA)) * Math.cos(radians(latB)) * Math.sin(radians(lonB - lonA) / 2) ** 2
  return 2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(h)))
}

const offRoadSeconds = (a: LonLat, b: LonLat): number => ((kmBetween(a, b) * OFF_ROAD_WINDING) / OFF_ROAD_KMH) * 3600

const names = Object.keys(JUNCTIONS)
const direct = directSeconds()
const between = junctionSeconds()

/** Seconds between junctions without passing another one: by their road, or straight across. */
function directSeconds(): number[][] {
  const seconds = names.map((a) => names.map((b) => offRoadSeconds(JUNCTIONS[a]!, JUNCTIONS[b]!)))
  for (const road of ROADS) {
    const [i, j] = [names.indexOf(road.from), names.indexOf(road.to)]
    const time =
      ((kmBetween(JUNCTIONS[road.from]!, JUNCTIONS[road.to]!) * road.winding) / ROAD_SPEED[road.class]) * 3600
    seconds[i]![j] = seconds[j]![i] = Math.min(seconds[i]![j]!, time)
  }
  return seconds
}

/** Seconds between all junctions, by road or straight across. @source Floyd 1962, Warshall 1962 */
function junctionSeconds(): number[][] {
  const seconds = direct.map((row) => [...row])
  for (let k = 0; k < names.length; k++)
    for (let i = 0; i < names.length; i++)
      for (let j = 0; j < names.length; j++)
        seconds[i]![j] = Math.min(seconds[i]![j]!, seconds[i]![k]! + seconds[k]![j]!)
  return seconds
}

/** The way along the roads between two points: which junctions it passes. */
export function drivingWay(a: LonLat, b: LonLat): LonLat[] {
  const from = names.map((name) => offRoadSeconds(a, JUNCTIONS[name]!))
  const to = names.map((name) => offRoadSeconds(b, JUNCTIONS[name]!))
  let best = { seconds: offRoadSeconds(a, b), i: -1, j: -1 }
  for (let i = 0; i < names.length; i++)
    for (let j = 0; j < names.length; j++) {
      const seconds = from[i]! + between[i]![j]! + to[j]!
      if (seconds < best.seconds) best = { seconds, i, j }
    }
  if (best.i < 0) return [a, b]
  const passed = [best.i]
  // step by step to the neighbour that lies on a shortest way
  for (let here = best.i; here !== best.j;) {
    const next = names.findIndex(
      (_, k) =>
        k !== here &&
        !passed.includes(k) &&
        direct[here]![k]! < Infinity &&
        Math.abs(direct[here]![k]! + between[k]![best.j]! - between[here]![best.j]!) < 1e-6,
    )
    if (next < 0) break
    passed.push(next)
    here = next
  }
  return [a, ...passed.map((k) => JUNCTIONS[names[k]!]!)!, b]
}

/**
 * Driving time between every two points, s: off the road to a junction, along the roads, and off again; or straight
 * across. A stop on the way never saves time.
 */
export function drivingTable(points: readonly LonLat[]): number[][] {
  const doors = points.map((point) => names.map((name) => offRoadSeconds(point, JUNCTIONS[name]!)))
  const reach = doors.map((door) =>
    names.map((_, j) => Math.min(...door.map((seconds, i) => seconds + between[i]![j]!))),
  )
  return points.map((a, x) =>
    points.map((b, y) => {
      if (x === y) return 0
      let best = offRoadSeconds(a, b)
      for (let j = 0; j < names.length; j++) best = Math.min(best, reach[x]![j]! + doors[y]![j]!)
      return best
    }),
  )
}
