import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

/**
 * Days on which the firm's work is different: closed, filling restricted, school holidays; and what a site wants of
 * school holidays.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('firm_periods', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.text('name').notNullable()
    t.date('from').notNullable()
    t.date('to').notNullable()
    // closed, no-filling or school-holidays
    t.text('effect').notNullable()
    t.timestamp('created_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
  })
  await ownFirmOnly(knex, ['firm_periods'])
  await knex.schema.alterTable('sites', (t) => {
    // any, only or never: whether visits are wanted in school holidays
    t.text('school_holidays').notNullable().defaultTo('any')
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('sites', (t) => t.dropColumn('school_holidays'))
  await knex.schema.dropTableIfExists('firm_periods')
}
