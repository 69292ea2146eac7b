import type { Knex } from 'knex'
import { keptConstants, type KeptConstants, type OwnConstants } from '@/domain/house-rules/house-constants'
import type { FirmId } from '@/domain/shared/ids'
import { ProblemError } from '@/domain/shared/problems'
import { said } from '@/domain/shared/said'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    house_constants: { constants: Readonly<Record<string, unknown>> }
  }
}

/** The firm's own figures; none until it has set one. */
export async function findHouseConstants(trx: Knex.Transaction): Promise<KeptConstants> {
  const row = await trx('house_constants').first()
  return row ? { constants: keptConstants(row.constants), version: row.version } : { constants: {}, version: 0 }
}

/** @throws {ProblemError} 'conflict' when someone else saved first */
export async function storeHouseConstants(
  trx: Knex.Transaction,
  firmId: FirmId,
  constants: OwnConstants,
  version: number,
): Promise<void> {
  const row = { firm_id: firmId, constants: JSON.stringify(constants), version: version + 1 }
  const changed =
    version === 0
      ? (await trx('house_constants').insert(row).onConflict('firm_id').ignore().returning('firm_id')).length
      : await trx('house_constants').where({ firm_id: firmId, version }).update(row)
  if (changed === 0)
    throw new ProblemError({
      kind: 'conflict',
      message: said('houseRules.problems.someoneElseSavedConstants'),
      current: await findHouseConstants(trx),
    })
}
