import type { Knex } from 'knex'

/** A pond's season year begins in January or, where December is high summer, in July. Kept ones began in January. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('pond_seasons', (t) => t.smallint('season_from').notNullable().defaultTo(1))
  await knex.raw(`update pond_seasons set season = jsonb_set(season, '{from}', '1'),
    live = case when live is null then null else jsonb_set(live, '{from}', '1') end`)
  await knex.schema.alterTable('pond_seasons', (t) => t.smallint('season_from').notNullable().alter())
}

export const down = (knex: Knex): Promise<void> =>
  knex.schema.alterTable('pond_seasons', (t) => t.dropColumn('season_from'))
