import type { Knex } from 'knex'
import type { CareTask, CareYear } from '@/core/plants/care-rules'
import { USUAL_WEEKS } from '@/core/season/usual-water'
import type { PondId } from '@/domain/shared/ids'
import { careOf, careYear, patchesNow, type PatchNow } from '@/domain/plants/plants'
import { listPatches, listPlantEvents } from '@/server/plants/plant-repository'
import { listPlanningPonds, type PlanningPond } from '@/server/schedule/planning-repository'

/** A day, in the firm's time zone. */
export interface DayHere {
  readonly today: string
  readonly timeZone: string
}

export interface PondPlants {
  readonly pond: PlanningPond
  readonly patches: readonly PatchNow[]
  readonly year: CareYear
  readonly tasks: readonly CareTask[]
}

/** Plants of ponds as they stand, with what they ask for this year; of some ponds, or of all that have any. */
export async function plantsOf(
  trx: Knex.Transaction,
  { today, timeZone }: DayHere,
  ponds?: readonly PlanningPond[],
): Promise<PondPlants[]> {
  const pondIds = ponds?.map((p) => p.pondId)
  const patches = patchesNow(await listPatches(trx, pondIds), await listPlantEvents(trx, pondIds), timeZone)
  const of = new Map<PondId, PatchNow[]>()
  for (const patch of patches) of.set(patch.pondId, [...(of.get(patch.pondId) ?? []), patch])
  return (ponds ?? (await listPlanningPonds(trx, [...of.keys()]))).map((pond) => {
    const here = of.get(pond.pondId) ?? []
    const year = careYear(today, pond.weeklyC ?? USUAL_WEEKS, pond.windows, pond.seasonFrom)
    return { pond, patches: here, year, tasks: careOf(here, year) }
  })
}
