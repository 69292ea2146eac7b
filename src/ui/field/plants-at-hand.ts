import { patchesNow, type Patch, type PatchNow, type PlantEvent } from '@/domain/plants'
import type { VisitView } from './device/device-view'

/** Groups of plants as they stand with what this visit has said of them, sent or not. */
export function plantsAtHand(view: Pick<VisitView, 'plants' | 'log' | 'visit'>, timeZone: string): PatchNow[] {
  const known = new Map<string, Patch>(view.plants.map((p) => [p.id, p]))
  const events: PlantEvent[] = view.plants.flatMap((p) => p.history)
  const heard = new Set(events.map((e) => e.id))
  for (const e of view.log) {
    if (e.kind !== 'plant' || heard.has(e.id)) continue
    const patchId = e.patchId ?? e.id
    if (!known.has(patchId))
      known.set(patchId, { id: patchId, pondId: view.visit.pondId, place: e.place, species: e.species, xM: null, yM: null, plantedOn: null, version: 1 })
    events.push({ ...e, patchId })
  }
  return patchesNow([...known.values()], events, timeZone)
}
