import type { Knex } from 'knex'

/** What lies around a pond; nothing is marked to begin with. */
const NOTHING = JSON.stringify({ northDeg: 0, windFromDeg: null, objects: [] })

export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('ponds', (t) => t.jsonb('site_survey').notNullable().defaultTo(NOTHING))
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('ponds', (t) => t.dropColumn('site_survey'))
}
