import type { Knex } from 'knex'

/** A line of a kept price book, as migrations know it. */
export interface KeptItem {
  readonly key: string
  readonly name: string
  readonly costMinor: number
}
interface Row {
  readonly firm_id: string
  readonly book: { readonly items: readonly KeptItem[] }
}

/** Puts lines in the place of each line of every firm's price book, for migrations. */
export async function rewriteItems(knex: Knex, each: (item: KeptItem) => KeptItem[]): Promise<void> {
  const { rows } = await knex.raw<{ rows: Row[] }>('select firm_id, book from price_books')
  for (const { firm_id, book } of rows)
    await knex.raw('update price_books set book = ?::jsonb where firm_id = ?', [
      JSON.stringify({ ...book, items: book.items.flatMap(each) }),
      firm_id,
    ])
}
