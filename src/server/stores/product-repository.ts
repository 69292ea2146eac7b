import type { Knex } from 'knex'
import type { FirmId } from '@/domain/shared/ids'
import { ProblemError } from '@/domain/shared/problems'
import type { KeptProducts, ProductBook } from '@/domain/stores/product-book'
import { said } from '@/domain/shared/said'
import { firmTexts } from '@/messages/texts'
import { usualProducts } from '@/messages/stores/usual-products'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    product_books: { products: ProductBook }
  }
}

/** The firm's products, or the book it begins with. */
export async function findProducts(trx: Knex.Transaction): Promise<KeptProducts> {
  const row = await trx('product_books').first()
  return row ? { products: row.products, version: row.version } : { products: usualProducts(firmTexts()), version: 0 }
}

/** @throws {ProblemError} 'conflict' when someone else saved first */
export async function storeProducts(
  trx: Knex.Transaction,
  firmId: FirmId,
  products: ProductBook,
  version: number,
): Promise<void> {
  const row = { firm_id: firmId, products: JSON.stringify(products), version: version + 1 }
  const changed =
    version === 0
      ? (await trx('product_books').insert(row).onConflict('firm_id').ignore().returning('firm_id')).length
      : await trx('product_books').where({ firm_id: firmId, version }).update(row)
  if (changed === 0)
    throw new ProblemError({
      kind: 'conflict',
      message: said('stores.problems.someoneElseSavedProductBook'),
      current: await findProducts(trx),
    })
}
