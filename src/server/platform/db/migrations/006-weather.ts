import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

/** Observed and foretold weather, a firm's own weather, and what each pond's water has been seen to do. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('weather_stations', (t) => {
    t.jsonb('forecast')
    t.date('forecast_issued')
    t.jsonb('last_hour')
    t.timestamp('asked_at', { useTz: true })
  })
  // weather belongs to no firm
  await knex.schema.createTable('weather_days', (t) => {
    t.text('station_id').notNullable().references('weather_stations.id').onDelete('CASCADE')
    t.date('day').notNullable()
    t.jsonb('weather').notNullable()
    t.primary(['station_id', 'day'])
  })
  // what a firm measured or bought itself goes before the desk's
  await knex.schema.createTable('own_weather_days', (t) => {
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE')
    t.text('station_id').notNullable().references('weather_stations.id').onDelete('CASCADE')
    t.date('day').notNullable()
    t.jsonb('weather').notNullable()
    t.primary(['firm_id', 'station_id', 'day'])
  })
  await knex.schema.alterTable('pond_seasons', (t) => {
    // this calendar year with the weather known so far; null until a worker has seen to it
    t.integer('live_year')
    t.text('live_hash')
    t.jsonb('live')
    t.jsonb('live_windows')
    t.jsonb('live_weekly_c')
    t.timestamp('live_at', { useTz: true })
    t.jsonb('calibration')
  })
  await ownFirmOnly(knex, ['own_weather_days'])
  await knex.raw(DOOR_FUNCTION)
}

/** New weather concerns every firm; the worker learns their ids and nothing else. */
const DOOR_FUNCTION = `
create function door_firm_ids() returns table (id uuid)
  language sql security definer set search_path = public as $$ select id from firms $$;
`

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function if exists door_firm_ids')
  await knex.schema.alterTable('pond_seasons', (t) =>
    t.dropColumns('live_year', 'live_hash', 'live', 'live_windows', 'live_weekly_c', 'live_at', 'calibration'),
  )
  for (const table of ['own_weather_days', 'weather_days']) await knex.schema.dropTableIfExists(table)
  await knex.schema.alterTable('weather_stations', (t) =>
    t.dropColumns('forecast', 'forecast_issued', 'last_hour', 'asked_at'),
  )
}
