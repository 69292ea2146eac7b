import { patchesNow, withLines, type PatchNow, type PlantEvent } from '@/domain/plants/plants'
import type { VisitView } from '@/ui/field/device/device-view'

/** Groups of plants as they stand with what this visit has said of them, sent or not. */
export function plantsAtHand(view: Pick<VisitView, 'plants' | 'log' | 'visit'>, timeZone: string): PatchNow[] {
  const heard = new Set(view.plants.flatMap((p) => p.history.map((line) => line.id)))
  const unheard = view.log.flatMap((e): (PlantEvent & { place: PatchNow['place']; species: string })[] =>
    e.kind === 'plant' && !heard.has(e.id) ? [{ ...e, patchId: e.patchId ?? e.id, visitId: view.visit.id }] : [],
  )
  const known = new Set(view.plants.map((p) => p.id))
  const fresh = unheard.filter(
    ({ patchId }, i) => !known.has(patchId) && unheard.findIndex((e) => e.patchId === patchId) === i,
  )
  const groups = fresh.map(({ patchId, place, species }) => ({
    id: patchId,
    pondId: view.visit.pondId,
    place,
    species,
    xM: null,
    yM: null,
    plantedOn: null,
    version: 1,
  }))
  return withLines([...view.plants, ...patchesNow(groups, [], timeZone)], unheard, timeZone)
}
