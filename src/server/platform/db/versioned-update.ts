import type { Knex } from 'knex'
import { ProblemError } from '@/domain/shared/problems'
import { said } from '@/domain/shared/said'

/**
 * Changes a record only if nobody has since the caller read it.
 * @param current reads what stands now, for the answer to a stale save
 * @throws {ProblemError} 'conflict' when the version has moved on
 */
export async function updateVersioned(
  trx: Knex.Transaction,
  table: string,
  id: string,
  version: number,
  changes: Record<string, unknown>,
  current: () => Promise<unknown>,
): Promise<void> {
  const changed = await trx(table)
    .where({ id, version })
    .update({ ...changes, version: version + 1 })
  if (changed === 0)
    throw new ProblemError({
      kind: 'conflict',
      message: said('kit.problems.someoneElseSavedWhileYou'),
      current: await current(),
    })
}
