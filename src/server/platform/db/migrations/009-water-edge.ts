import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

const FIRM_TABLES = ['findings'] as const

/**
 * How visits end, what was found on them, counterparts and sketches among photos, gates seen otherwise on a device,
 * and devices that hold a session.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('visits', (t) => {
    t.text('ending')
    t.text('ending_reason').notNullable().defaultTo('')
  })
  await knex.schema.alterTable('visit_entries', (t) => t.jsonb('disputed'))
  await knex.schema.alterTable('photos', (t) => {
    t.uuid('pair_of')
    t.uuid('sketch_of')
  })
  await knex.schema.alterTable('equipment', (t) => t.date('warranty_until'))
  await knex.schema.createTable('findings', (t) => {
    // the id of the log line it was written in
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('pond_id').notNullable().references('ponds.id').onDelete('CASCADE').index()
    t.uuid('visit_id').references('visits.id')
    t.text('becomes').notNullable()
    t.text('text').notNullable()
    t.date('found_on').notNullable()
    t.timestamp('settled_at', { useTz: true })
    t.timestamp('created_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
  })
  // devices that are signed in, so that a lost one can be shut out
  await knex.schema.alterTable('sessions', (t) => {
    t.uuid('id').notNullable().defaultTo(knex.raw('gen_random_uuid()')).unique()
    t.text('device').notNullable().defaultTo('')
    t.timestamp('seen_at', { useTz: true })
    t.timestamp('revoked_at', { useTz: true })
  })
  await ownFirmOnly(knex, FIRM_TABLES)
  await knex.raw('drop function door_session(text)')
  await knex.raw(DOOR_SESSION)
}

/** A revoked session answers still, so that its device can be told to forget what it holds. */
const DOOR_SESSION = `
create function door_session(wanted text) returns table (user_id uuid, firm_id uuid, name text, email text, role text, crew_id uuid, preferences jsonb, firm_name text, time_zone text, revoked boolean)
  language sql security definer set search_path = public as
  $$ update sessions s set seen_at = case when s.seen_at is null or s.seen_at < now() - interval '5 minutes' then now() else s.seen_at end
     from users u, firms f
     where u.id = s.user_id and f.id = u.firm_id and s.token_hash = wanted and s.expires_at > now()
     returning u.id, u.firm_id, u.name, u.email, u.role, u.crew_id, u.preferences, f.name, f.time_zone, s.revoked_at is not null $$;
`

const DOOR_SESSION_BEFORE = `
create function door_session(wanted text) returns table (user_id uuid, firm_id uuid, name text, email text, role text, crew_id uuid, preferences jsonb, firm_name text, time_zone text)
  language sql security definer set search_path = public as
  $$ select u.id, u.firm_id, u.name, u.email, u.role, u.crew_id, u.preferences, f.name, f.time_zone
     from sessions s join users u on u.id = s.user_id join firms f on f.id = u.firm_id
     where s.token_hash = wanted and s.expires_at > now() $$;
`

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function if exists door_session(text)')
  await knex.raw(DOOR_SESSION_BEFORE)
  await knex.schema.alterTable('sessions', (t) => t.dropColumns('id', 'device', 'seen_at', 'revoked_at'))
  await knex.schema.dropTableIfExists('findings')
  await knex.schema.alterTable('equipment', (t) => t.dropColumn('warranty_until'))
  await knex.schema.alterTable('photos', (t) => t.dropColumns('pair_of', 'sketch_of'))
  await knex.schema.alterTable('visit_entries', (t) => t.dropColumn('disputed'))
  await knex.schema.alterTable('visits', (t) => t.dropColumns('ending', 'ending_reason'))
}
