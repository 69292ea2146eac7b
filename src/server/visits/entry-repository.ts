import type { Knex } from 'knex'
import type { FirmId, UserId, VisitId } from '@/domain/shared/ids'
import type { Entry, EntryInput } from '@/domain/visits/visit'

export async function appendEntry(
  trx: Knex.Transaction,
  firmId: FirmId,
  visitId: VisitId,
  by: UserId,
  entry: EntryInput,
  disputed: Entry['disputed'],
): Promise<void> {
  await trx('visit_entries').insert({
    id: entry.id,
    firm_id: firmId,
    visit_id: visitId,
    entry: JSON.stringify(entry),
    by_id: by,
    disputed: disputed ? JSON.stringify(disputed) : null,
  })
}

/** Whether a line is in a log already, be it another visit's. */
export async function hasEntry(trx: Knex.Transaction, id: string): Promise<boolean> {
  return (await trx('visit_entries').where({ id }).first('id')) !== undefined
}
