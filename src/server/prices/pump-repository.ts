import type { Knex } from 'knex'
import type { CataloguePump } from '@/core/filter/flow/pump-catalogue'
import type { FirmId } from '@/domain/shared/ids'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    firm_pumps: { pump: CataloguePump }
  }
}

export async function listFirmPumps(trx: Knex.Transaction): Promise<CataloguePump[]> {
  return (await trx('firm_pumps').orderBy('pump_id').select('pump')).map((row) => row.pump)
}

/** Adds pumps; one with the same id is replaced. */
export async function storeFirmPumps(
  trx: Knex.Transaction,
  firmId: FirmId,
  pumps: readonly CataloguePump[],
): Promise<void> {
  if (pumps.length === 0) return
  const rows = pumps.map((pump) => ({ firm_id: firmId, pump_id: pump.id, pump: JSON.stringify(pump) }))
  await trx('firm_pumps').insert(rows).onConflict(['firm_id', 'pump_id']).merge()
}

/** @returns whether there was one to remove */
export const removeFirmPump = async (trx: Knex.Transaction, pumpId: string): Promise<boolean> =>
  (await trx('firm_pumps').where({ pump_id: pumpId }).delete()) > 0
