import type { Knex } from 'knex'
import type { BenchDraft } from '@/domain/design/bench-draft'
import type { FirmId, PondId, UserId } from '@/domain/shared/ids'

/** What someone left on a pond's bench without saving a version. */
export async function findBenchDraft(trx: Knex.Transaction, pondId: PondId, userId: UserId): Promise<(BenchDraft & { keptAt: string }) | null> {
  const row = await trx('bench_drafts').where({ pond_id: pondId, user_id: userId }).first()
  return row ? { fromVersion: row.from_version, draft: row.draft, keptAt: (row.kept_at as Date).toISOString() } : null
}

export async function storeBenchDraft(
  trx: Knex.Transaction,
  firmId: FirmId,
  pondId: PondId,
  userId: UserId,
  { fromVersion, draft }: BenchDraft,
): Promise<void> {
  const row = { firm_id: firmId, pond_id: pondId, user_id: userId, from_version: fromVersion, draft: JSON.stringify(draft), kept_at: trx.fn.now() }
  await trx('bench_drafts').insert(row).onConflict(['pond_id', 'user_id']).merge()
}

export async function dropBenchDraft(trx: Knex.Transaction, pondId: PondId, userId: UserId): Promise<void> {
  await trx('bench_drafts').where({ pond_id: pondId, user_id: userId }).delete()
}
