import type { Knex } from 'knex'

/** The firm that a transaction is for, as it was told when it began. */
export const FIRM_OF_TRANSACTION = `nullif(current_setting('app.firm_id', true), '')::uuid`

/**
 * Row-level security for tables with a firm_id: the app sees and writes rows of the transaction's firm alone. Every
 * new one needs it.
 */
export async function ownFirmOnly(knex: Knex, tables: readonly string[]): Promise<void> {
  for (const table of tables) {
    await knex.raw('alter table ?? enable row level security', [table])
    await knex.raw(
      `create policy own_firm on ?? using (firm_id = ${FIRM_OF_TRANSACTION}) with check (firm_id = ${FIRM_OF_TRANSACTION})`,
      [table],
    )
  }
}
