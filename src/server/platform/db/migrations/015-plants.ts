import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

/** Groups of plants on each pond, what was seen and done at them, and cuttings of a kind in the stores. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('plant_patches', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('pond_id').notNullable().references('ponds.id').onDelete('CASCADE').index()
    t.text('place').notNullable()
    t.text('species').notNullable()
    // null until somebody has put it on the plan
    t.double('x_m')
    t.double('y_m')
    t.specificType('planted_on', 'date')
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.schema.createTable('plant_events', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('patch_id').notNullable().references('plant_patches.id').onDelete('CASCADE').index()
    t.text('action').notNullable()
    t.text('condition')
    t.integer('count')
    t.integer('kept').notNullable().defaultTo(0)
    t.text('note').notNullable().defaultTo('')
    // when it was done, which may be long before it came in
    t.timestamp('at', { useTz: true }).notNullable()
    t.uuid('visit_id').references('visits.id').onDelete('SET NULL')
    t.uuid('by_id').notNullable().references('users.id')
  })
  await knex.schema.alterTable('stock_items', (t) => {
    t.text('species_key')
  })
  await ownFirmOnly(knex, ['plant_patches', 'plant_events'])
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('stock_items', (t) => t.dropColumns('species_key'))
  await knex.schema.dropTableIfExists('plant_events')
  await knex.schema.dropTableIfExists('plant_patches')
}
