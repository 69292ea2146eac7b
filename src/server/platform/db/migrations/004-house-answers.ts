import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

const FIRM_TABLES = ['house_tables', 'bench_drafts'] as const

/**
 * Where a pond goes another way than the house, the firm's fittings and pipes, designs as built, and work on the
 * bench that is not saved yet.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('ponds', (t) => t.jsonb('own_practice').notNullable().defaultTo('{}'))
  await knex.schema.alterTable('designs', (t) => t.jsonb('built_bed'))
  await knex.schema.createTable('house_tables', (t) => {
    t.uuid('firm_id').primary().references('firms.id').onDelete('CASCADE')
    t.jsonb('tables').notNullable()
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.schema.createTable('bench_drafts', (t) => {
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('pond_id').notNullable().references('ponds.id').onDelete('CASCADE')
    t.uuid('user_id').notNullable().references('users.id').onDelete('CASCADE')
    t.integer('from_version')
    t.jsonb('draft').notNullable()
    t.timestamp('kept_at', { useTz: true }).notNullable()
    t.primary(['pond_id', 'user_id'])
  })
  await ownFirmOnly(knex, FIRM_TABLES)
}

export async function down(knex: Knex): Promise<void> {
  for (const table of FIRM_TABLES) await knex.schema.dropTableIfExists(table)
  await knex.schema.alterTable('designs', (t) => t.dropColumn('built_bed'))
  await knex.schema.alterTable('ponds', (t) => t.dropColumn('own_practice'))
}
