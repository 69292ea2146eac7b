import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

const FIRM_TABLES = [
  'equipment',
  'notices',
  'notice_templates',
  'calendar_feeds',
  'crew_busy',
  'duration_resets',
] as const

/**
 * Visits for several jobs and tasks, equipment with due dates, notices to customers, calendar feeds, busy times, and
 * when learnt durations begin anew.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('visits', (t) => {
    // job keys done on the same visit, and tasks taken along
    t.jsonb('also').notNullable().defaultTo('[]')
    t.jsonb('tasks').notNullable().defaultTo('[]')
    // what logged visits had taught when it was planned; planned minutes divided by it are the plain estimate
    t.specificType('learnt_factor', 'double precision').notNullable().defaultTo(1)
    t.timestamp('changed_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
  })
  await knex.schema.alterTable('sites', (t) => {
    // days on which the customer wants nobody: [{from, to, note}]
    t.jsonb('blackouts').notNullable().defaultTo('[]')
  })
  await knex.schema.alterTable('follow_ups', (t) => t.integer('minutes').notNullable().defaultTo(10))
  await knex.schema.alterTable('plan_runs', (t) => {
    // assignments of the best plan so far, for another worker to go on from
    t.jsonb('best')
    // the few figures of a result that lists read; a large firm's result is megabytes
    t.jsonb('summary')
  })
  const firmTable = async (name: string, columns: (t: Knex.CreateTableBuilder) => void) =>
    knex.schema.createTable(name, (t) => {
      t.uuid('id').primary()
      t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
      columns(t)
      t.timestamp('created_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    })
  await firmTable('equipment', (t) => {
    t.uuid('pond_id').notNullable().references('ponds.id').onDelete('CASCADE').index()
    t.text('kind').notNullable()
    t.text('name').notNullable()
    t.date('fitted_on').notNullable()
    t.integer('every_days').notNullable()
    t.date('done_on')
    t.boolean('retired').notNullable().defaultTo(false)
    t.integer('version').notNullable().defaultTo(1)
  })
  await firmTable('notices', (t) => {
    t.uuid('visit_id').notNullable().references('visits.id').onDelete('CASCADE').index()
    t.text('kind').notNullable()
    t.text('recipient').notNullable()
    t.text('subject').notNullable()
    t.text('body').notNullable()
    // the day and hour that the customer was told
    t.date('day').notNullable()
    t.text('start_time').notNullable()
    // queued, sending, sent or failed
    t.text('state').notNullable()
    t.text('problem').notNullable().defaultTo('')
    t.timestamp('sent_at', { useTz: true })
    t.index(['visit_id', 'created_at'])
  })
  await firmTable('calendar_feeds', (t) => {
    // only a hash of the link's secret is kept
    t.text('token_hash').notNullable().unique()
    t.text('scope').notNullable()
    t.uuid('crew_id').references('crews.id').onDelete('CASCADE')
    t.uuid('customer_id').references('customers.id').onDelete('CASCADE')
    t.uuid('made_by').notNullable().references('users.id')
    t.timestamp('read_at', { useTz: true })
    t.timestamp('revoked_at', { useTz: true })
  })
  await firmTable('crew_busy', (t) => {
    t.uuid('crew_id').notNullable().references('crews.id').onDelete('CASCADE')
    t.text('source').notNullable()
    t.text('uid').notNullable()
    t.date('day').notNullable()
    t.integer('start_min').notNullable()
    t.integer('end_min').notNullable()
    t.text('title').notNullable().defaultTo('')
    t.index(['crew_id', 'day'])
  })
  await firmTable('duration_resets', (t) => {
    t.text('job_key').notNullable()
    t.timestamp('from', { useTz: true }).notNullable()
    t.unique(['firm_id', 'job_key'])
  })
  await knex.schema.createTable('notice_templates', (t) => {
    t.uuid('firm_id').primary().references('firms.id').onDelete('CASCADE')
    t.jsonb('templates').notNullable()
    t.integer('version').notNullable().defaultTo(1)
  })
  await ownFirmOnly(knex, FIRM_TABLES)
  await knex.raw(DOOR_FUNCTION)
}

/** A calendar program signs in with nothing but its link. */
const DOOR_FUNCTION = `
create function door_calendar_feed(wanted text) returns table (id uuid, firm_id uuid, scope text, crew_id uuid, customer_id uuid)
  language sql security definer set search_path = public as
  $$ update calendar_feeds set read_at = now() where token_hash = wanted and revoked_at is null returning id, firm_id, scope, crew_id, customer_id $$;
`

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function if exists door_calendar_feed')
  for (const table of FIRM_TABLES) await knex.schema.dropTableIfExists(table)
  await knex.schema.alterTable('plan_runs', (t) => t.dropColumns('best', 'summary'))
  await knex.schema.alterTable('follow_ups', (t) => t.dropColumn('minutes'))
  await knex.schema.alterTable('sites', (t) => t.dropColumn('blackouts'))
  await knex.schema.alterTable('visits', (t) => t.dropColumns('also', 'tasks', 'learnt_factor', 'changed_at'))
}
