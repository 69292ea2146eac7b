import type { Knex } from 'knex'
import type { PriceBook } from '@/core/pricing/price-book'
import { tablePriceItems } from '@/domain/house-rules/house-tables'
import type { FirmId } from '@/domain/shared/ids'
import type { KeptPriceBook } from '@/domain/prices/pricing'
import { ProblemError } from '@/domain/shared/problems'
import { findHouseTables } from '@/server/house-rules/house-tables-repository'
import { said } from '@/domain/shared/said'
import { firmTexts } from '@/messages/texts'
import { usualPriceBook } from '@/messages/prices/usual-prices'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    price_books: { book: PriceBook }
  }
}

/**
 * The firm's own price book, or the defaults until it has one. Lines that are new in the program join with their
 * default.
 */
export async function findPriceBook(trx: Knex.Transaction): Promise<KeptPriceBook> {
  const row = await trx('price_books').first()
  const { tables } = await findHouseTables(trx)
  const begun = usualPriceBook(firmTexts())
  const usual = [...begun.items, ...tablePriceItems(tables, (size) => firmTexts()('prices.items.pipe', { size }))]
  if (!row) return { book: { ...begun, items: usual }, version: 0 }
  const own = row.book
  const missing = usual.filter((item) => !own.items.some((mine) => mine.key === item.key))
  return { book: { ...own, items: [...own.items, ...missing] }, version: row.version }
}

/** @throws {ProblemError} 'conflict' when someone else saved first */
export async function storePriceBook(
  trx: Knex.Transaction,
  firmId: FirmId,
  book: PriceBook,
  version: number,
): Promise<void> {
  const row = { firm_id: firmId, book: JSON.stringify(book), version: version + 1 }
  const changed =
    version === 0
      ? (await trx('price_books').insert(row).onConflict('firm_id').ignore().returning('firm_id')).length
      : await trx('price_books').where({ firm_id: firmId, version }).update(row)
  if (changed === 0)
    throw new ProblemError({
      kind: 'conflict',
      message: said('prices.problems.someoneElseSavedPriceBook'),
      current: await findPriceBook(trx),
    })
}
