import type { Knex } from 'knex'
import type { ApiKey, ApiKeyInput, KeyScope } from '@/domain/firm/api-key'
import type { FirmId, UserId } from '@/domain/shared/ids'
import { database } from '@/server/platform/db/connection'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    api_keys: { scope: KeyScope }
  }
}

export async function insertApiKey(
  trx: Knex.Transaction,
  firmId: FirmId,
  key: ApiKeyInput & { id: string; tokenHash: string; madeBy: UserId },
): Promise<void> {
  await trx('api_keys').insert({
    id: key.id,
    firm_id: firmId,
    name: key.name,
    scope: key.scope,
    token_hash: key.tokenHash,
    made_by: key.madeBy,
  })
}

/** Keys that work, newest first. */
export async function listApiKeys(trx: Knex.Transaction): Promise<ApiKey[]> {
  const rows = await trx('api_keys')
    .whereNull('revoked_at')
    .orderBy('created_at', 'desc')
    .select('id', 'name', 'scope', 'created_at', 'used_at')
  return rows.map((r) => ({
    id: r.id,
    name: r.name,
    scope: r.scope,
    madeAt: r.created_at.toISOString(),
    usedAt: r.used_at?.toISOString() ?? null,
  }))
}

/** @returns false when there is no such key, or it was revoked before */
export async function revokeApiKey(trx: Knex.Transaction, id: string): Promise<boolean> {
  return (await trx('api_keys').where({ id }).whereNull('revoked_at').update({ revoked_at: trx.fn.now() })) > 0
}

export interface OpenedKey {
  readonly id: string
  readonly firmId: FirmId
  readonly scope: KeyScope
  readonly madeBy: UserId
  /** Uses in this minute, this one among them. */
  readonly uses: number
}

/** Whose key it is; the use is counted. */
export async function openApiKey(tokenHash: string): Promise<OpenedKey | undefined> {
  const { rows } = await database().raw('select * from door_api_key(?)', [tokenHash])
  return (
    rows[0] && {
      id: rows[0].id,
      firmId: rows[0].firm_id,
      scope: rows[0].scope,
      madeBy: rows[0].made_by,
      uses: rows[0].uses,
    }
  )
}
