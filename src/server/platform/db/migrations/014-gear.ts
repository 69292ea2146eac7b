import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

/** What stands on each pond for the season, and what is stored where. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('gear', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('pond_id').notNullable().references('ponds.id').onDelete('CASCADE').index()
    t.text('kind').notNullable()
    t.text('name').notNullable()
    t.text('state').notNullable()
    t.text('place').notNullable().defaultTo('')
    // the moment of the log line that said so: a line that comes in late does not undo a newer one
    t.timestamp('since', { useTz: true }).notNullable()
  })
  await ownFirmOnly(knex, ['gear'])
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTableIfExists('gear')
}
