import type { PondId } from '@/domain/ids'
import type { PlanningPond } from '@/server/db/planning-repository'
import type { MapPoint } from '@/server/gateways/roads'

/** The yard first, in the middle of all sites that are on the map; then one place for each site. */
export function locate(ponds: readonly PlanningPond[]) {
  const onMap = ponds.filter((p) => p.lat !== null && p.lon !== null)
  const mean = (of: (p: PlanningPond) => number) => (onMap.length === 0 ? 0 : onMap.reduce((sum, p) => sum + of(p), 0) / onMap.length)
  const points: MapPoint[] = [{ lat: mean((p) => p.lat!), lon: mean((p) => p.lon!) }]
  const at = new Map<string, number>()
  for (const pond of onMap)
    if (!at.has(pond.siteId)) {
      at.set(pond.siteId, points.length)
      points.push({ lat: pond.lat!, lon: pond.lon! })
    }
  const siteOf = new Map(ponds.map((p) => [p.pondId, p.siteId]))
  return {
    points,
    of: (pondId: PondId): number => at.get(siteOf.get(pondId) ?? '') ?? 0,
    missing: [...new Set(ponds.filter((p) => !at.has(p.siteId)).map((p) => p.siteName))],
  }
}
