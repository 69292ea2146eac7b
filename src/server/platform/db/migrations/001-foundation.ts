import type { Knex } from 'knex'
import { FIRM_OF_TRANSACTION, ownFirmOnly } from '../own-firm-only'

/** Every business table: firm_id, and rows of other firms invisible to the app's role. */
const FIRM_TABLES = [
  'users',
  'crews',
  'customers',
  'sites',
  'ponds',
  'pond_seasons',
  'designs',
  'visits',
  'visit_entries',
  'photos',
  'readings',
  'follow_ups',
] as const

export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('firms', (t) => {
    t.uuid('id').primary()
    t.text('name').notNullable()
    t.text('time_zone').notNullable()
    t.jsonb('practice').notNullable()
    t.integer('version').notNullable().defaultTo(1)
    t.timestamp('created_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
  })
  const firmTable = async (name: string, columns: (t: Knex.CreateTableBuilder) => void) =>
    knex.schema.createTable(name, (t) => {
      t.uuid('id').primary()
      t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE')
      columns(t)
      t.timestamp('created_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
      t.index(['firm_id'])
    })

  await firmTable('crews', (t) => {
    t.text('name').notNullable()
    t.unique(['firm_id', 'name'])
  })
  await firmTable('users', (t) => {
    t.text('email').notNullable().unique()
    t.text('name').notNullable()
    t.text('role').notNullable()
    t.text('password_hash').notNullable()
    t.uuid('crew_id').references('crews.id')
    t.jsonb('preferences').notNullable().defaultTo('{}')
  })
  // sessions and attempts are read before a firm is known, through the functions below only
  await knex.schema.createTable('sessions', (t) => {
    t.text('token_hash').primary()
    t.uuid('user_id').notNullable().references('users.id').onDelete('CASCADE').index()
    t.timestamp('created_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    t.timestamp('expires_at', { useTz: true }).notNullable()
  })
  await knex.schema.createTable('sign_in_attempts', (t) => {
    t.text('subject').notNullable()
    t.timestamp('at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    t.index(['subject', 'at'])
  })
  await firmTable('customers', (t) => {
    t.text('name').notNullable()
    t.text('email').notNullable().defaultTo('')
    t.text('phone').notNullable().defaultTo('')
    t.integer('version').notNullable().defaultTo(1)
  })
  await firmTable('sites', (t) => {
    t.uuid('customer_id').notNullable().references('customers.id').index()
    t.text('name').notNullable()
    t.text('address').notNullable().defaultTo('')
    t.text('town').notNullable().defaultTo('')
    t.text('access_notes').notNullable().defaultTo('')
    t.text('station_id').notNullable()
    t.integer('version').notNullable().defaultTo(1)
  })
  await firmTable('ponds', (t) => {
    t.uuid('site_id').notNullable().references('sites.id').index()
    t.text('name').notNullable()
    t.jsonb('survey').notNullable()
    t.specificType('volume_m3', 'double precision').notNullable()
    t.specificType('area_m2', 'double precision').notNullable()
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.schema.createTable('pond_seasons', (t) => {
    t.uuid('pond_id').primary().references('ponds.id').onDelete('CASCADE')
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.text('input_hash').notNullable()
    t.jsonb('weekly_c').notNullable()
    t.jsonb('windows').notNullable()
    t.jsonb('season').notNullable()
  })
  await firmTable('designs', (t) => {
    t.uuid('pond_id').notNullable().references('ponds.id').index()
    t.integer('number').notNullable()
    t.text('name').notNullable()
    t.jsonb('bed').notNullable()
    t.text('override_reason').notNullable().defaultTo('')
    t.specificType('area_m2', 'double precision').notNullable()
    t.specificType('flow_m3_per_h', 'double precision').notNullable()
    t.uuid('saved_by').notNullable().references('users.id')
    t.timestamp('saved_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    t.integer('version').notNullable().defaultTo(1)
    t.unique(['pond_id', 'number'])
  })
  await firmTable('visits', (t) => {
    t.uuid('pond_id').notNullable().references('ponds.id').index()
    t.uuid('crew_id').notNullable().references('crews.id')
    t.text('state').notNullable()
    t.date('day').notNullable()
    t.text('start_time').notNullable()
    t.integer('planned_minutes').notNullable()
    // beside the copied steps, so that lists over many visits need not open them
    t.text('job_key').notNullable()
    t.text('job_name').notNullable()
    t.jsonb('job').notNullable()
    t.jsonb('quantities').notNullable()
    t.jsonb('duration').notNullable()
    t.text('note').notNullable().defaultTo('')
    t.timestamp('started_at', { useTz: true })
    t.timestamp('finished_at', { useTz: true })
    t.integer('version').notNullable().defaultTo(1)
    t.index(['firm_id', 'day'])
  })
  await firmTable('visit_entries', (t) => {
    t.uuid('visit_id').notNullable().references('visits.id').index()
    t.jsonb('entry').notNullable()
    t.uuid('by_id').notNullable().references('users.id')
    t.timestamp('received_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
  })
  await firmTable('photos', (t) => {
    t.uuid('visit_id').notNullable().references('visits.id').index()
    t.text('step_key').notNullable()
    t.integer('width').notNullable()
    t.integer('height').notNullable()
    t.binary('image').notNullable()
    t.binary('thumbnail').notNullable()
    t.timestamp('taken_at', { useTz: true }).notNullable()
  })
  await firmTable('readings', (t) => {
    t.uuid('pond_id').notNullable().references('ponds.id')
    t.uuid('visit_id').references('visits.id').index()
    t.text('kind').notNullable()
    t.specificType('value', 'double precision').notNullable()
    t.boolean('below_step').notNullable().defaultTo(false)
    t.text('method').notNullable().defaultTo('')
    t.timestamp('taken_at', { useTz: true }).notNullable()
    t.uuid('by_id').notNullable().references('users.id')
    t.index(['pond_id', 'kind', 'taken_at'])
    t.index(['firm_id', 'taken_at'])
  })
  await firmTable('follow_ups', (t) => {
    t.uuid('pond_id').notNullable().references('ponds.id')
    t.uuid('visit_id').references('visits.id')
    t.text('title').notNullable()
    t.jsonb('readings').notNullable()
    t.date('due_from').notNullable()
    t.date('due_to').notNullable()
    t.timestamp('done_at', { useTz: true })
    t.index(['firm_id', 'due_from'])
  })
  // weather belongs to no firm
  await knex.schema.createTable('weather_stations', (t) => {
    t.text('id').primary()
    t.text('name').notNullable()
    t.jsonb('normals').notNullable()
    t.timestamp('fetched_at', { useTz: true }).notNullable()
  })

  await ownFirmOnly(knex, FIRM_TABLES)
  await knex.raw('alter table firms enable row level security')
  await knex.raw(
    `create policy own_firm on firms using (id = ${FIRM_OF_TRANSACTION}) with check (id = ${FIRM_OF_TRANSACTION})`,
  )

  await knex.raw(DOOR_FUNCTIONS)
}

/**
 * What may be asked before a firm is known. They run as the owner of the tables, so each does one narrow thing.
 */
const DOOR_FUNCTIONS = `
create function door_user_by_email(wanted text) returns table (id uuid, firm_id uuid, password_hash text)
  language sql security definer set search_path = public as
  $$ select id, firm_id, password_hash from users where email = wanted $$;

create function door_session(wanted text) returns table (user_id uuid, firm_id uuid, name text, email text, role text, crew_id uuid, preferences jsonb, firm_name text, time_zone text)
  language sql security definer set search_path = public as
  $$ select u.id, u.firm_id, u.name, u.email, u.role, u.crew_id, u.preferences, f.name, f.time_zone
     from sessions s join users u on u.id = s.user_id join firms f on f.id = u.firm_id
     where s.token_hash = wanted and s.expires_at > now() $$;

create function door_has_firms() returns boolean
  language sql security definer set search_path = public as $$ select exists (select 1 from firms) $$;
`

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function if exists door_user_by_email, door_session, door_has_firms')
  for (const table of [
    'weather_stations',
    'follow_ups',
    'readings',
    'photos',
    'visit_entries',
    'visits',
    'designs',
    'pond_seasons',
    'ponds',
    'sites',
    'customers',
    'sign_in_attempts',
    'sessions',
    'users',
    'crews',
    'firms',
  ])
    await knex.schema.dropTableIfExists(table)
}
