import type { RowOf } from '@/server/platform/db/column-types'
import type { Knex } from 'knex'
import type { Equipment, EquipmentInput } from '@/domain/equipment/equipment'
import type { FirmId, PondId } from '@/domain/shared/ids'
import { updateVersioned } from '@/server/platform/db/versioned-update'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    equipment: { kind: Equipment['kind'] }
  }
}

const toEquipment = (r: RowOf<'equipment'>): Equipment => ({
  id: r.id,
  pondId: r.pond_id,
  kind: r.kind,
  name: r.name,
  fittedOn: r.fitted_on,
  everyDays: r.every_days,
  doneOn: r.done_on,
  retired: r.retired,
  warrantyUntil: r.warranty_until,
  version: r.version,
})
const toRow = (input: EquipmentInput) => ({
  kind: input.kind,
  name: input.name,
  fitted_on: input.fittedOn,
  every_days: input.everyDays,
  done_on: input.doneOn,
  retired: input.retired,
  warranty_until: input.warrantyUntil,
})

export async function insertEquipment(
  trx: Knex.Transaction,
  firmId: FirmId,
  id: string,
  pondId: PondId,
  input: EquipmentInput,
): Promise<void> {
  await trx('equipment').insert({ id, firm_id: firmId, pond_id: pondId, ...toRow(input) })
}

export async function updateEquipment(
  trx: Knex.Transaction,
  id: string,
  version: number,
  input: EquipmentInput,
): Promise<void> {
  await updateVersioned(trx, 'equipment', id, version, toRow(input), async () => findEquipment(trx, id))
}

export async function findEquipment(trx: Knex.Transaction, id: string): Promise<Equipment | undefined> {
  const row = await trx('equipment').where({ id }).first()
  return row && toEquipment(row)
}

/** Equipment in use, of one pond or of all. */
export async function listEquipment(trx: Knex.Transaction, pondId?: PondId): Promise<Equipment[]> {
  const query = trx('equipment').where({ retired: false }).orderBy(['kind', 'name'])
  if (pondId) query.where({ pond_id: pondId })
  return (await query).map(toEquipment)
}

/** A new part in the old one's place: its life begins again. */
export async function renewEquipment(
  trx: Knex.Transaction,
  id: string,
  day: string,
  name: string,
  warrantyUntil: string | null,
): Promise<void> {
  await trx('equipment')
    .where({ id })
    .update({ fitted_on: day, done_on: null, name, warranty_until: warrantyUntil })
    .increment('version', 1)
}

/** Someone has seen to it on a day. */
export async function markEquipmentDone(trx: Knex.Transaction, id: string, day: string): Promise<void> {
  await trx('equipment').where({ id }).update({ done_on: day }).increment('version', 1)
}
