import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

/** Keys for probes and programs, how often they are used, and readings that come only once from each probe. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('api_keys', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.text('name').notNullable()
    t.text('scope').notNullable()
    // only a hash of the secret is kept
    t.text('token_hash').notNullable().unique()
    t.uuid('made_by').notNullable().references('users.id')
    t.timestamp('created_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    t.timestamp('used_at', { useTz: true })
    t.timestamp('revoked_at', { useTz: true })
    // the minute in which it was used last, and how often
    t.timestamp('minute', { useTz: true })
    t.integer('uses').notNullable().defaultTo(0)
  })
  await ownFirmOnly(knex, ['api_keys'])
  // a probe that sends the same moment twice has sent it once
  await knex.raw(
    `create unique index readings_once_a_probe on readings (pond_id, kind, taken_at) where method = 'probe' and visit_id is null`,
  )
  await knex.raw(DOOR_FUNCTION)
}

/** A key says whose firm it is for; each use is counted by the minute. */
const DOOR_FUNCTION = `
create function door_api_key(wanted text) returns table (id uuid, firm_id uuid, scope text, made_by uuid, uses int)
  language sql security definer set search_path = public as
  $$ update api_keys k set used_at = now(), minute = date_trunc('minute', now()),
       uses = case when k.minute = date_trunc('minute', now()) then k.uses + 1 else 1 end
     where k.token_hash = wanted and k.revoked_at is null returning k.id, k.firm_id, k.scope, k.made_by, k.uses $$;
`

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function if exists door_api_key')
  await knex.raw('drop index if exists readings_once_a_probe')
  await knex.schema.dropTableIfExists('api_keys')
}
