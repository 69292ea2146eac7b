import type { Knex } from 'knex'

/**
 * People leave: they sign in no more and all their devices end, while what they wrote stays theirs. A lost password
 * is set anew by a link.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('users', (t) => t.timestamp('deactivated_at', { useTz: true }))
  await knex.schema.createTable('password_links', (t) => {
    // only a hash of the link's secret is kept
    t.text('token_hash').primary()
    t.uuid('user_id').notNullable().references('users.id').onDelete('CASCADE').index()
    t.timestamp('expires_at', { useTz: true }).notNullable()
  })
  await knex.raw('drop function door_session(text)')
  await knex.raw('drop function door_user_by_email(text)')
  await knex.raw(DOORS)
}

const DOORS = `
create function door_user_by_email(wanted text) returns table (id uuid, firm_id uuid, password_hash text)
  language sql security definer set search_path = public, pg_temp as
  $$ select id, firm_id, password_hash from users where email = wanted and deactivated_at is null $$;

create function door_session(wanted text) returns table (user_id uuid, firm_id uuid, name text, email text, role text, crew_id uuid, preferences jsonb, firm_name text, time_zone text, revoked boolean)
  language sql security definer set search_path = public, pg_temp as
  $$ update sessions s set seen_at = case when s.seen_at is null or s.seen_at < now() - interval '5 minutes' then now() else s.seen_at end
     from users u, firms f
     where u.id = s.user_id and f.id = u.firm_id and s.token_hash = wanted and s.expires_at > now()
     returning u.id, u.firm_id, u.name, u.email, u.role, u.crew_id, u.preferences, f.name, f.time_zone, s.revoked_at is not null or u.deactivated_at is not null $$;

create function door_password_link(wanted text) returns table (user_id uuid, firm_id uuid, email text)
  language sql security definer set search_path = public, pg_temp as
  $$ select u.id, u.firm_id, u.email from password_links l join users u on u.id = l.user_id
     where l.token_hash = wanted and l.expires_at > now() and u.deactivated_at is null $$;
`

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function if exists door_password_link')
  await knex.schema.dropTableIfExists('password_links')
  await knex.schema.alterTable('users', (t) => t.dropColumn('deactivated_at'))
}
