import type { Knex } from 'knex'

/** The one vessel that firms had a price for was the usual barrel of 60 cm; now each size has a line of its own. */
const renamed = (from: string, to: string): string => `
  update price_books set book = jsonb_set(book, '{items}', (
    select jsonb_agg(case when item->>'key' = '${from}' then jsonb_set(item, '{key}', '"${to}"') else item end order by place)
    from jsonb_array_elements(book->'items') with ordinality as items(item, place)
  ))
  where book->'items' @> '[{"key": "${from}"}]'`

export async function up(knex: Knex): Promise<void> {
  await knex.raw(renamed('vessel', 'vessel:60'))
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw(renamed('vessel:60', 'vessel'))
}
