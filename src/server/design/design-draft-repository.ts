import type { Knex } from 'knex'
import type { DesignDraft } from '@/domain/design/design-draft'
import type { FirmId, PondId, UserId } from '@/domain/shared/ids'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    design_drafts: { draft: DesignDraft['draft'] }
  }
}

/** What someone left on a pond's filter design without saving a version. */
export async function findDesignDraft(
  trx: Knex.Transaction,
  pondId: PondId,
  userId: UserId,
): Promise<(DesignDraft & { keptAt: string }) | null> {
  const row = await trx('design_drafts').where({ pond_id: pondId, user_id: userId }).first()
  return row ? { fromVersion: row.from_version, draft: row.draft, keptAt: row.kept_at.toISOString() } : null
}

export async function storeDesignDraft(
  trx: Knex.Transaction,
  firmId: FirmId,
  pondId: PondId,
  userId: UserId,
  { fromVersion, draft }: DesignDraft,
): Promise<void> {
  const row = {
    firm_id: firmId,
    pond_id: pondId,
    user_id: userId,
    from_version: fromVersion,
    draft: JSON.stringify(draft),
    kept_at: trx.fn.now(),
  }
  await trx('design_drafts').insert(row).onConflict(['pond_id', 'user_id']).merge()
}

export async function deleteDesignDraft(trx: Knex.Transaction, pondId: PondId, userId: UserId): Promise<void> {
  await trx('design_drafts').where({ pond_id: pondId, user_id: userId }).delete()
}
