import type { Knex } from 'knex'

/**
 * Keys that point at rows which are removed or looked through: without an index every removed row reads the whole
 * table that points at it (20,000 visits took 40 s). People are never removed.
 */
const KEYS = [
  ['calendar_feeds', 'crew_id'],
  ['calendar_feeds', 'customer_id'],
  ['findings', 'visit_id'],
  ['follow_ups', 'pond_id'],
  ['follow_ups', 'visit_id'],
  ['own_weather_days', 'station_id'],
  ['plan_takeovers', 'run_id'],
  ['plant_events', 'visit_id'],
  ['users', 'crew_id'],
  ['visits', 'crew_id'],
  ['visits', 'leg_of'],
] as const

/** What a pond's year was worked out from: ponds alike share it. */
const HASHES = ['input_hash', 'live_hash'] as const

/** Rows that others point at are removed, and years that are alike found, without reading whole tables. */
export async function up(knex: Knex): Promise<void> {
  for (const [table, column] of KEYS) await knex.schema.alterTable(table, (t) => t.index(column))
  await knex.schema.alterTable('pond_seasons', (t) => HASHES.forEach((hash) => t.index(hash)))
}

export async function down(knex: Knex): Promise<void> {
  for (const [table, column] of KEYS) await knex.schema.alterTable(table, (t) => t.dropIndex(column))
  await knex.schema.alterTable('pond_seasons', (t) => HASHES.forEach((hash) => t.dropIndex(hash)))
}
