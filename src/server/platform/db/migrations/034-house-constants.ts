import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

/** Figures that a firm reckons with in place of the usual ones, and those of one pond. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('house_constants', (t) => {
    t.uuid('firm_id').primary().references('firms.id').onDelete('CASCADE')
    t.jsonb('constants').notNullable()
    t.integer('version').notNullable().defaultTo(1)
  })
  await ownFirmOnly(knex, ['house_constants'])
  await knex.schema.alterTable('ponds', (t) => t.jsonb('own_constants').notNullable().defaultTo('{}'))
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('ponds', (t) => t.dropColumn('own_constants'))
  await knex.schema.dropTableIfExists('house_constants')
}
