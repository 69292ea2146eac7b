import type { Knex } from 'knex'

/**
 * Links of customers are kept by their hash alone: who reads a copy of the database opens no garden. Links that are
 * out go on working.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('customer_links', (t) => t.text('token_hash'))
  await knex.raw(`update customer_links set token_hash = encode(sha256(convert_to(token, 'UTF8')), 'hex')`)
  await knex.raw('alter table customer_links alter column token_hash set not null')
  await knex.raw('create unique index customer_links_token_hash on customer_links (token_hash)')
  await knex.raw(`create or replace function door_customer_link(wanted text) returns table (firm_id uuid, customer_id uuid)
    language sql security definer set search_path = public, pg_temp as
    $$ update customer_links set opened_at = now()
       where token_hash = encode(sha256(convert_to(wanted, 'UTF8')), 'hex') and revoked_at is null returning firm_id, customer_id $$`)
  await knex.schema.alterTable('customer_links', (t) => t.dropColumn('token'))
}

/** Secrets that were hashed cannot be brought back: links made before stop working. */
export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('customer_links', (t) => t.text('token'))
  await knex.raw('update customer_links set token = token_hash, revoked_at = coalesce(revoked_at, now())')
  await knex.raw('alter table customer_links alter column token set not null')
  await knex.raw(`create or replace function door_customer_link(wanted text) returns table (firm_id uuid, customer_id uuid)
    language sql security definer set search_path = public, pg_temp as
    $$ update customer_links set opened_at = now() where token = wanted and revoked_at is null returning firm_id, customer_id $$`)
  await knex.schema.alterTable('customer_links', (t) => t.dropColumn('token_hash'))
}
