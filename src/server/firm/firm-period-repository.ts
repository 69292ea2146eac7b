import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { FirmPeriod, FirmPeriodInput } from '@/domain/firm/firm-period'
import type { FirmId } from '@/domain/shared/ids'

/** Periods that end on a day or later, the next first. */
export async function listFirmPeriods(trx: Knex.Transaction, from: string): Promise<FirmPeriod[]> {
  return trx('firm_periods').where('to', '>=', from).orderBy('from').select('id', 'name', 'from', 'to', 'effect')
}

export async function insertFirmPeriod(
  trx: Knex.Transaction,
  firmId: FirmId,
  period: FirmPeriodInput,
): Promise<string> {
  const id = randomUUID()
  await trx('firm_periods').insert({ id, firm_id: firmId, ...period })
  return id
}

/** @returns whether it was there */
export async function removeFirmPeriod(trx: Knex.Transaction, id: string): Promise<boolean> {
  return (await trx('firm_periods').where({ id }).delete()) > 0
}
