import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

const FIRM_TABLES = ['service_plans', 'plan_runs'] as const

/** Where sites are, what customers have agreed to, what crews can do, and plans being worked out. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('sites', (t) => {
    t.specificType('lat', 'double precision')
    t.specificType('lon', 'double precision')
    t.text('opens').notNullable().defaultTo('')
    t.text('closes').notNullable().defaultTo('')
    t.jsonb('closed_days').notNullable().defaultTo('[]')
  })
  await knex.schema.alterTable('crews', (t) => {
    t.jsonb('setup').notNullable().defaultTo('{}')
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.schema.alterTable('visits', (t) => t.boolean('locked').notNullable().defaultTo(false))
  await knex.schema.createTable('service_plans', (t) => {
    t.uuid('pond_id').primary().references('ponds.id').onDelete('CASCADE')
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.jsonb('lines').notNullable()
    // before this day nothing was agreed, so nothing can have been missed
    t.date('since').notNullable().defaultTo(knex.raw('current_date'))
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.schema.createTable('plan_runs', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE')
    t.text('state').notNullable()
    t.jsonb('wish').notNullable()
    t.specificType('share', 'double precision').notNullable().defaultTo(0)
    t.boolean('cancel').notNullable().defaultTo(false)
    t.timestamp('heartbeat', { useTz: true })
    // visits proposed, moved and unplaced; null until there is something to show
    t.jsonb('result')
    t.text('problem').notNullable().defaultTo('')
    t.uuid('asked_by').notNullable().references('users.id')
    t.timestamp('asked_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    t.timestamp('finished_at', { useTz: true })
    t.index(['firm_id', 'asked_at'])
  })
  await ownFirmOnly(knex, FIRM_TABLES)
  await knex.raw(DOOR_FUNCTION)
}

/** A worker looks over all firms for runs whose worker has died; it learns nothing but which they are. */
const DOOR_FUNCTION = `
create function door_stale_plan_runs(older_than interval) returns table (id uuid, firm_id uuid)
  language sql security definer set search_path = public as
  $$ select id, firm_id from plan_runs where state = 'running' and heartbeat < now() - older_than $$;
`

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function if exists door_stale_plan_runs')
  for (const table of FIRM_TABLES) await knex.schema.dropTableIfExists(table)
  await knex.schema.alterTable('visits', (t) => t.dropColumn('locked'))
  await knex.schema.alterTable('crews', (t) => t.dropColumns('setup', 'version'))
  await knex.schema.alterTable('sites', (t) => t.dropColumns('lat', 'lon', 'opens', 'closes', 'closed_days'))
}
