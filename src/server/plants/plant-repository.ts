import type { RowOf } from '@/server/platform/db/column-types'
import type { Knex } from 'knex'
import type { FirmId, PondId, UserId, VisitId } from '@/domain/shared/ids'
import type { Patch, PatchInput, PlantEvent, PlantLine } from '@/domain/plants/plants'
import { updateVersioned } from '@/server/platform/db/versioned-update'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    plant_patches: { place: Patch['place']; species: Patch['species'] }
  }
}

const toPatch = (r: RowOf<'plant_patches'>): Patch => ({
  id: r.id,
  pondId: r.pond_id,
  place: r.place,
  species: r.species,
  xM: r.x_m,
  yM: r.y_m,
  plantedOn: r.planted_on,
  version: r.version,
})
const toRow = (input: PatchInput) => ({
  place: input.place,
  species: input.species,
  x_m: input.xM,
  y_m: input.yM,
  planted_on: input.plantedOn,
})

/** Writing the same group down twice changes nothing. */
export async function insertPatch(
  trx: Knex.Transaction,
  firmId: FirmId,
  id: string,
  pondId: PondId,
  input: PatchInput,
): Promise<void> {
  await trx('plant_patches')
    .insert({ id, firm_id: firmId, pond_id: pondId, ...toRow(input) })
    .onConflict('id')
    .ignore()
}

export async function updatePatch(
  trx: Knex.Transaction,
  id: string,
  version: number,
  input: PatchInput,
): Promise<void> {
  await updateVersioned(trx, 'plant_patches', id, version, toRow(input), async () => findPatch(trx, id))
}

export async function deletePatch(trx: Knex.Transaction, id: string): Promise<void> {
  await trx('plant_patches').where({ id }).delete()
}

export async function findPatch(trx: Knex.Transaction, id: string): Promise<Patch | undefined> {
  const row = await trx('plant_patches').where({ id }).first()
  return row && toPatch(row)
}

/** Of some ponds or of all. */
export async function listPatches(trx: Knex.Transaction, pondIds?: readonly PondId[]): Promise<Patch[]> {
  const query = trx('plant_patches').orderBy(['place', 'species', 'id'])
  if (pondIds) query.whereIn('pond_id', pondIds)
  return (await query).map(toPatch)
}

export interface NewPlantEvent extends PlantLine {
  readonly id: string
  readonly patchId: string
  readonly at: string
  readonly byId: UserId
  readonly visitId: VisitId | null
}

/** Lines come once each, whatever is sent twice. */
export async function insertPlantEvents(
  trx: Knex.Transaction,
  firmId: FirmId,
  events: readonly NewPlantEvent[],
): Promise<void> {
  if (events.length === 0) return
  await trx('plant_events')
    .insert(
      events.map((e) => ({
        id: e.id,
        firm_id: firmId,
        patch_id: e.patchId,
        action: e.action,
        condition: e.condition,
        count: e.count,
        kept: e.kept,
        note: e.note,
        at: e.at,
        visit_id: e.visitId,
        by_id: e.byId,
      })),
    )
    .onConflict('id')
    .ignore()
}

export async function listPlantEvents(trx: Knex.Transaction, pondIds?: readonly PondId[]): Promise<PlantEvent[]> {
  const query = trx('plant_events as e')
    .join('users as u', 'u.id', 'e.by_id')
    .select('e.*', 'u.name as by_name')
    .orderBy(['e.at', 'e.id'])
  if (pondIds) query.whereIn('e.patch_id', trx('plant_patches').whereIn('pond_id', pondIds).select('id'))
  return (await query).map((r) => ({
    id: r.id,
    patchId: r.patch_id,
    action: r.action,
    condition: r.condition,
    count: r.count,
    kept: r.kept,
    note: r.note,
    at: r.at.toISOString(),
    byName: r.by_name,
    visitId: r.visit_id,
  }))
}
