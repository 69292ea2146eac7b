import type { Knex } from 'knex'

/** Signs of life of workers: without one, letters, plans and forecasts wait, and somebody should know. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('worker_beats', (t) => {
    t.uuid('id').primary()
    t.timestamp('at', { useTz: true }).notNullable()
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTableIfExists('worker_beats')
}
