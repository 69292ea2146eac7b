import type { PondId } from '@/domain/shared/ids'
import type { Crew } from '@/domain/people/people'
import type { PondPlace } from '@/server/ponds/pond-repository'
import type { MapPoint } from '@/server/platform/gateways/roads'

export type Places = ReturnType<typeof locate>

/**
 * The yard first, in the middle of all sites that are on the map; then one place for each site, and one for each crew
 * with a yard of its own.
 */
export function locate(ponds: readonly PondPlace[], crews: readonly Pick<Crew, 'id' | 'setup'>[] = []) {
  const onMap = ponds.filter((p) => p.lat !== null && p.lon !== null)
  const mean = (of: (p: PondPlace) => number) =>
    onMap.length === 0 ? 0 : onMap.reduce((sum, p) => sum + of(p), 0) / onMap.length
  const points: MapPoint[] = [{ lat: mean((p) => p.lat!), lon: mean((p) => p.lon!) }]
  const at = new Map<string, number>()
  for (const pond of onMap)
    if (!at.has(pond.siteId)) {
      at.set(pond.siteId, points.length)
      points.push({ lat: pond.lat!, lon: pond.lon! })
    }
  // a crew that sets out from elsewhere has a place of its own
  const yards = new Map<string, number>()
  for (const { id, setup } of crews) if (setup.yard) yards.set(id, points.push(setup.yard) - 1)
  const siteOf = new Map(ponds.map((p) => [p.pondId, p.siteId]))
  return {
    points,
    yardOf: (crewId: string): number => yards.get(crewId) ?? 0,
    of: (pondId: PondId): number => at.get(siteOf.get(pondId) ?? '') ?? 0,
    /** The same, null where the site is not on the map. */
    known: (pondId: PondId): number | null => at.get(siteOf.get(pondId) ?? '') ?? null,
    missing: [...new Set(ponds.filter((p) => !at.has(p.siteId)).map((p) => p.siteName))],
  }
}
