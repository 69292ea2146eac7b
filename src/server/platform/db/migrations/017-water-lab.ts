import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

const FIRM_TABLES = ['what_ifs', 'pond_forecasts', 'forecast_runs', 'diagnoses'] as const

/**
 * What-ifs that somebody keeps, the outlook of every pond with what its filter has learnt, and runs that bring them
 * up to today.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('what_ifs', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('pond_id').notNullable().references('ponds.id').onDelete('CASCADE').index()
    t.jsonb('what_if').notNullable()
    t.uuid('saved_by').notNullable().references('users.id')
    t.timestamp('saved_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
  })
  await knex.schema.createTable('pond_forecasts', (t) => {
    t.uuid('pond_id').primary().references('ponds.id').onDelete('CASCADE')
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    // survey and filter the particles were made for: another one begins anew
    t.text('pond_hash').notNullable()
    t.jsonb('filter').notNullable()
    t.jsonb('scores').notNullable()
    t.jsonb('outlook').notNullable()
    // risk × consequence, for the order of the list
    t.double('worry').notNullable()
    t.jsonb('worries').notNullable()
    t.timestamp('made_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
  })
  await knex.schema.createTable('forecast_runs', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE')
    t.text('state').notNullable()
    t.integer('done').notNullable().defaultTo(0)
    t.integer('ponds').notNullable().defaultTo(0)
    t.boolean('cancel').notNullable().defaultTo(false)
    t.timestamp('heartbeat', { useTz: true })
    t.text('problem').notNullable().defaultTo('')
    // null: asked by the clock
    t.uuid('asked_by').references('users.id')
    t.timestamp('asked_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    t.timestamp('finished_at', { useTz: true })
    t.index(['firm_id', 'asked_at'])
  })
  await knex.schema.createTable('diagnoses', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('pond_id').notNullable().references('ponds.id').onDelete('CASCADE').index()
    t.text('cause').notNullable()
    t.double('likelihood').notNullable()
    t.jsonb('findings').notNullable()
    t.date('made_on').notNullable()
    // when it should look better; null when it does not by itself
    t.date('better_from')
    t.date('better_to')
    // what was seen later; null until somebody has looked
    t.text('outcome')
    t.uuid('made_by').notNullable().references('users.id')
    t.timestamp('made_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
  })
  await ownFirmOnly(knex, FIRM_TABLES)
  await knex.raw(DOOR_FUNCTION)
}

/** A worker looks over all firms for forecasts whose worker has died; it learns nothing but which they are. */
const DOOR_FUNCTION = `
create function door_stale_forecast_runs(older_than interval) returns table (id uuid, firm_id uuid)
  language sql security definer set search_path = public as
  $$ select id, firm_id from forecast_runs where state = 'running' and heartbeat < now() - older_than $$;
`

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function if exists door_stale_forecast_runs')
  for (const table of [...FIRM_TABLES].reverse()) await knex.schema.dropTableIfExists(table)
}
