import { badField } from '@/domain/shared/problems'
import { productCsv, readProductCsv, type ProductBook } from '@/domain/stores/product-book'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findProducts, storeProducts } from '@/server/stores/product-repository'
import { said } from '@/domain/shared/said'
import { rowProblemsInWords, type RowProblemWords } from '@/messages/problem-body'
import { firmTexts } from '@/messages/texts'

/** Changes the firm's products. One that visits were logged with stays, so that their amounts keep a name. */
export async function setProducts(actor: Actor, version: number, products: ProductBook): Promise<void> {
  assertMay(actor, 'stores.write')
  await inFirm(actor.firmId, async (trx) => {
    const kept = await findProducts(trx)
    const gone = kept.products.find((p) => !products.some((now) => now.key === p.key))
    if (gone && (await trx('stock_items').where({ product_key: gone.key }).first('id')))
      throw badField('products', said('stores.problems.storesTakeOffShelfFirst', { name: gone.name }))
    await storeProducts(trx, actor.firmId, products, version)
  })
}

export async function exportProducts(actor: Actor): Promise<string> {
  assertMay(actor, 'stores.read')
  return inFirm(actor.firmId, async (trx) => productCsv((await findProducts(trx)).products))
}

/** Products from a CSV: rows that read well change or add theirs, the others are named. */
export async function importProducts(
  actor: Actor,
  csv: string,
): Promise<{ read: number; problems: RowProblemWords[] }> {
  assertMay(actor, 'stores.write')
  return inFirm(actor.firmId, async (trx) => {
    const kept = await findProducts(trx)
    const { products, read, problems } = readProductCsv(csv, kept.products)
    if (read > 0) await storeProducts(trx, actor.firmId, products, kept.version)
    return { read, problems: rowProblemsInWords(problems, firmTexts()) }
  })
}
