import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

/** A customer's own page behind a private link, what they ask for there, and letters with the report of a visit. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('customer_links', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('customer_id').notNullable().references('customers.id').onDelete('CASCADE').index()
    // as it is, since letters carry it; it opens one customer's page and nothing else
    t.text('token').notNullable().unique()
    t.uuid('made_by').notNullable().references('users.id')
    t.timestamp('created_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    t.timestamp('opened_at', { useTz: true })
    t.timestamp('revoked_at', { useTz: true })
  })
  await knex.schema.alterTable('follow_ups', (t) => t.boolean('asked_by_customer').notNullable().defaultTo(false))
  await ownFirmOnly(knex, ['customer_links'])
  await knex.raw(DOOR_FUNCTION)
}

/** A customer holds no account: the link's secret says whose page it opens. */
const DOOR_FUNCTION = `
create function door_customer_link(wanted text) returns table (firm_id uuid, customer_id uuid)
  language sql security definer set search_path = public as
  $$ update customer_links set opened_at = now() where token = wanted and revoked_at is null returning firm_id, customer_id $$;
`

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function if exists door_customer_link')
  await knex.schema.alterTable('follow_ups', (t) => t.dropColumn('asked_by_customer'))
  await knex.schema.dropTableIfExists('customer_links')
}
