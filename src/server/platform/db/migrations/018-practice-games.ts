import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

/** Seasons that people play on the practice pond: a scenario, the year it fell into, and what was done week by week. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('practice_games', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('user_id').notNullable().references('users.id').onDelete('CASCADE').index()
    t.text('scenario').notNullable()
    t.integer('seed').notNullable()
    t.jsonb('choices').notNullable().defaultTo('[]')
    // null while it is played
    t.integer('points')
    t.integer('reeds')
    t.timestamp('started_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    t.timestamp('finished_at', { useTz: true })
  })
  // one season of a scenario at a time and person
  await knex.raw(
    'create unique index practice_games_open on practice_games (user_id, scenario) where finished_at is null',
  )
  await ownFirmOnly(knex, ['practice_games'])
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTableIfExists('practice_games')
}
