import type { Knex } from 'knex'
import type { FirmId, PondId, UserId, WhatIfId } from '@/domain/shared/ids'
import type { WhatIfInput } from '@/domain/forecasts/what-if'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    what_ifs: { what_if: WhatIfInput }
  }
}

export interface SavedWhatIf {
  readonly id: WhatIfId
  readonly pondId: PondId
  readonly whatIf: WhatIfInput
  readonly savedByName: string
  readonly savedAt: string
}

export async function insertWhatIf(
  trx: Knex.Transaction,
  firmId: FirmId,
  id: WhatIfId,
  pondId: PondId,
  by: UserId,
  whatIf: WhatIfInput,
): Promise<void> {
  await trx('what_ifs').insert({ id, firm_id: firmId, pond_id: pondId, saved_by: by, what_if: JSON.stringify(whatIf) })
}

/** The newest first. */
export async function listWhatIfs(trx: Knex.Transaction, pondId: PondId): Promise<SavedWhatIf[]> {
  const rows = await trx('what_ifs as w')
    .join('users as u', 'u.id', 'w.saved_by')
    .where('w.pond_id', pondId)
    .orderBy('w.saved_at', 'desc')
    .select('w.id', 'w.pond_id', 'w.what_if', 'w.saved_at', 'u.name as by_name')
  return rows.map((r) => ({
    id: r.id,
    pondId: r.pond_id,
    whatIf: r.what_if,
    savedByName: r.by_name,
    savedAt: (r.saved_at as Date).toISOString(),
  }))
}

/** One of a pond's. */
export async function findWhatIf(
  trx: Knex.Transaction,
  id: WhatIfId,
  pondId: PondId,
): Promise<WhatIfInput | undefined> {
  const row = await trx('what_ifs').where({ id, pond_id: pondId }).first('what_if')
  return row?.what_if
}

/** @returns whether there was one */
export async function deleteWhatIf(trx: Knex.Transaction, id: WhatIfId): Promise<boolean> {
  return (await trx('what_ifs').where({ id }).delete()) > 0
}
