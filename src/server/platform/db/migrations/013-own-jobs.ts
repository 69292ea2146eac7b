import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

/** A firm's own copies of kinds of visits; every version is kept, and a visit keeps the copy it was planned with. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('own_jobs', (t) => {
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE')
    t.text('key').notNullable()
    t.integer('version').notNullable()
    // null: back to the usual kind
    t.jsonb('job')
    t.uuid('saved_by').notNullable().references('users.id')
    t.timestamp('saved_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    t.primary(['firm_id', 'key', 'version'])
  })
  await ownFirmOnly(knex, ['own_jobs'])
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTableIfExists('own_jobs')
}
