import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

/** Drops of a pond's level, from which evaporation and leaks are told apart. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('level_logs', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('pond_id').notNullable().references('ponds.id').index()
    t.date('day').notNullable()
    t.specificType('hours', 'double precision').notNullable()
    t.specificType('drop_mm', 'double precision').notNullable()
    t.specificType('bucket_drop_mm', 'double precision')
    t.boolean('pump_on').notNullable()
    t.uuid('by_id').notNullable().references('users.id')
    t.timestamp('created_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
  })
  await ownFirmOnly(knex, ['level_logs'])
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTableIfExists('level_logs')
}
