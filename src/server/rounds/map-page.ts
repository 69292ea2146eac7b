import { listCrews } from '@/server/people/people-repository'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { routeShape } from '@/server/platform/gateways/roads'
import { mapTiles } from '@/server/platform/gateways/tiles'
import { todayIn } from '@/server/platform/today'
import { pondList } from '@/server/ponds/ponds'
import { locate } from '@/server/schedule/places'
import { listVisitLines } from '@/server/visits/visit-line-repository'

/** Every crew's day on the map: stops in their order, the way between them, and how all other ponds stand. */
export async function mapPage(actor: Actor, asked: string | null) {
  assertMay(actor, 'visits.read')
  const today = todayIn(actor.timeZone)
  const day = asked ?? today
  const ponds = await pondList(actor)
  const read = await inFirm(actor.firmId, async (trx) => {
    const places = new Map(ponds.map((p) => [p.id, { ...p, pondId: p.id }]))
    const visits = await listVisitLines(trx, { from: day, to: day })
    const crews = await listCrews(trx)
    const { points, yardOf } = locate([...places.values()], crews)
    const rounds = crews.map((crew) => ({
      crew: { id: crew.id, name: crew.name },
      yard: { ...points[yardOf(crew.id)]!, own: crew.setup.yard !== null },
      stops: visits
        .filter((v) => v.crewId === crew.id)
        .flatMap((v) => {
          const place = places.get(v.pondId)
          if (!place || place.lat === null || place.lon === null) return []
          return [{ ...v, siteId: place.siteId, lat: place.lat, lon: place.lon }]
        }),
    }))
    return { today, day, ponds, rounds, tiles: mapTiles() }
  })
  // roads are asked when the database is free again, all rounds at once
  const wayOf = ({ yard, stops }: (typeof read.rounds)[number]) =>
    stops.length === 0 ? [] : routeShape([yard, ...stops, yard], process.env.ROADS_URL)
  return {
    ...read,
    rounds: await Promise.all(read.rounds.map(async (round) => ({ ...round, way: await wayOf(round) }))),
  }
}
export type MapPageData = Awaited<ReturnType<typeof mapPage>>
