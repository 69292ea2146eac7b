import type { Knex } from 'knex'

/** A score keeps how much of its test lay inside the forecast's band, as it is worked out when it is scored. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('forecast_scores', (t) => t.double('inside').notNullable().defaultTo(0))
  await knex.raw(`update forecast_scores set inside =
    case when placed_high - placed_low < 1e-9 then (placed_low between 0.1 and 0.9)::int
         else greatest(0, least(placed_high, 0.9) - greatest(placed_low, 0.1)) / (placed_high - placed_low) end`)
  await knex.schema.alterTable('forecast_scores', (t) => t.double('inside').notNullable().alter())
}

export const down = (knex: Knex): Promise<void> =>
  knex.schema.alterTable('forecast_scores', (t) => t.dropColumn('inside'))
