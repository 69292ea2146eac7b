import { wholeSteps } from '@/core/schedule/plan/plan-input'
import type { DayWays } from '@/domain/rounds/day-load'
import type { PondId } from '@/domain/shared/ids'
import { travelTable } from '@/server/platform/gateways/roads'
import type { Places } from '@/server/schedule/places'

/** A crew's day as its stops' ponds, in their order. */
export interface RoundPonds {
  readonly crewId: string
  readonly ponds: readonly PondId[]
}

/**
 * Minutes that crews drive on their rounds, all asked at once. Called outside any transaction: roads are an outside
 * service.
 */
export async function waysOfRounds(places: Places, rounds: readonly RoundPonds[]): Promise<DayWays[]> {
  // only the places that these rounds touch
  const used = new Map<number, number>()
  const indexOf = (place: number): number => {
    if (!used.has(place)) used.set(place, used.size)
    return used.get(place)!
  }
  const routes = rounds.map(({ crewId, ponds }) => ({
    yard: indexOf(places.yardOf(crewId)),
    stops: ponds.map((pond) => {
      const place = places.known(pond)
      return place === null ? null : indexOf(place)
    }),
  }))
  const points = [...used.keys()].map((place) => places.points[place]!)
  const { minutes } = await travelTable(points, process.env.ROADS_URL)
  const between = (from: number, to: number) => wholeSteps(minutes[from * points.length + to]!)
  return routes.map(({ yard, stops }) => {
    let from = yard
    const toStops = stops.map((stop) => {
      if (stop === null) return null
      const way = between(from, stop)
      from = stop
      return way
    })
    return { toStops, back: stops.at(-1) == null ? null : between(from, yard) }
  })
}

/** The same for one crew's day. */
export async function waysOfDay(places: Places, crewId: string, ponds: readonly PondId[]): Promise<DayWays> {
  return (await waysOfRounds(places, [{ crewId, ponds }]))[0]!
}
