import type { Knex } from 'knex'

/** Whose proposal a link opens, so that its author can be told of the answer in the same breath as it is kept. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`create function door_proposal_place(wanted text) returns table (firm_id uuid, proposal_id uuid)
    language sql stable security definer set search_path = public, pg_temp as
    $$ select firm_id, id from proposals where token_hash = wanted $$`)
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function if exists door_proposal_place')
}
