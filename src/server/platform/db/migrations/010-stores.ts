import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

const FIRM_TABLES = ['product_books', 'stock_items', 'stock_moves'] as const

/** The firm's products with their label rates, and what is in its stores. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('product_books', (t) => {
    t.uuid('firm_id').primary().references('firms.id').onDelete('CASCADE')
    t.jsonb('products').notNullable()
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.schema.createTable('stock_items', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.text('name').notNullable()
    t.text('kind').notNullable()
    t.text('unit').notNullable()
    t.specificType('least', 'double precision').notNullable().defaultTo(0)
    t.text('product_key')
    t.text('equipment_kind')
    t.text('place').notNullable().defaultTo('')
    t.integer('version').notNullable().defaultTo(1)
    t.timestamp('created_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    t.unique(['firm_id', 'name'])
  })
  await knex.schema.createTable('stock_moves', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('item_id').notNullable().references('stock_items.id').onDelete('CASCADE').index()
    // what comes in is above zero, what goes out below
    t.specificType('amount', 'double precision').notNullable()
    t.text('move').notNullable()
    t.text('note').notNullable().defaultTo('')
    t.uuid('visit_id').references('visits.id').index()
    t.uuid('by_id').notNullable().references('users.id')
    t.timestamp('created_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
  })
  await ownFirmOnly(knex, FIRM_TABLES)
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['stock_moves', 'stock_items', 'product_books']) await knex.schema.dropTableIfExists(table)
}
