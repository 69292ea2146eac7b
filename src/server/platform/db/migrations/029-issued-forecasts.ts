import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

const FIRM_TABLES = ['issued_forecasts', 'forecast_scores'] as const

/**
 * Forecasts as they were given out, and how they did against the tests that came after. The sums that stood with each
 * pond's filter were of runs through weather that had come since: they say nothing of a forecast and are not carried
 * along.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('issued_forecasts', (t) => {
    t.uuid('pond_id').notNullable().references('ponds.id').onDelete('CASCADE')
    t.date('issued_on').notNullable()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    // what the pond was when it was forecast: fish, filter, survey
    t.text('epoch').notNullable()
    t.jsonb('forecast').notNullable()
    t.primary(['pond_id', 'issued_on'])
  })
  await knex.schema.createTable('forecast_scores', (t) => {
    t.uuid('pond_id').notNullable().references('ponds.id').onDelete('CASCADE')
    t.text('kind').notNullable()
    t.date('day').notNullable()
    t.text('lead').notNullable()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.text('epoch').notNullable()
    t.date('issued_on').notNullable()
    // worked out later, from what was known on its day
    t.boolean('looked_back').notNullable()
    t.integer('lead_days').notNullable()
    t.double('low').notNullable()
    t.double('middle').notNullable()
    t.double('high').notNullable()
    t.double('read').notNullable()
    t.double('last')
    t.double('usual')
    t.double('off').notNullable()
    t.double('last_off')
    t.double('usual_off')
    t.double('past')
    t.boolean('crossed')
    t.primary(['pond_id', 'kind', 'day', 'lead'])
  })
  await ownFirmOnly(knex, FIRM_TABLES)
  // its ponds and their water are made up: what is said of skill there is no proof of any
  await knex.schema.alterTable('firms', (t) => t.boolean('invented').notNullable().defaultTo(false))
  await knex.schema.alterTable('pond_forecasts', (t) => t.dropColumn('scores'))
  // a filter that begins anew looks back over the tests on file
  await knex('pond_forecasts').update({ pond_hash: '' })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('pond_forecasts', (t) => t.jsonb('scores').notNullable().defaultTo('{}'))
  await knex.schema.alterTable('firms', (t) => t.dropColumn('invented'))
  for (const table of [...FIRM_TABLES].reverse()) await knex.schema.dropTableIfExists(table)
}
