import type { Knex } from 'knex'
import type { FirmId } from '@/domain/shared/ids'
import { database } from './connection'

/**
 * Runs work in one transaction that sees only one firm's rows.
 * A refusal must be thrown (ProblemError) so that nothing half-done is kept.
 */
export async function inFirm<Value>(firmId: FirmId, work: (trx: Knex.Transaction) => Promise<Value>): Promise<Value> {
  return database().transaction(async (trx) => {
    await trx.raw(`select set_config('app.firm_id', ?, true)`, [firmId])
    return work(trx)
  })
}
