import type { Knex } from 'knex'
import type { HouseTables, KeptTables } from '@/domain/house-rules/house-tables'
import type { FirmId } from '@/domain/shared/ids'
import { ProblemError } from '@/domain/shared/problems'
import { said } from '@/domain/shared/said'
import { firmTexts } from '@/messages/texts'
import { usualTables } from '@/messages/house-rules/usual-tables'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    house_tables: { tables: HouseTables }
  }
}

/** The firm's fittings and pipes, or the defaults until it has its own. */
export async function findHouseTables(trx: Knex.Transaction): Promise<KeptTables> {
  const row = await trx('house_tables').first()
  return row ? { tables: row.tables, version: row.version } : { tables: usualTables(firmTexts()), version: 0 }
}

/** @throws {ProblemError} 'conflict' when someone else saved first */
export async function storeHouseTables(
  trx: Knex.Transaction,
  firmId: FirmId,
  tables: HouseTables,
  version: number,
): Promise<void> {
  const row = { firm_id: firmId, tables: JSON.stringify(tables), version: version + 1 }
  const changed =
    version === 0
      ? (await trx('house_tables').insert(row).onConflict('firm_id').ignore().returning('firm_id')).length
      : await trx('house_tables').where({ firm_id: firmId, version }).update(row)
  if (changed === 0)
    throw new ProblemError({
      kind: 'conflict',
      message: said('houseRules.problems.someoneElseSavedTablesWhile'),
      current: await findHouseTables(trx),
    })
}
