import type { Knex } from 'knex'
import { ownFirmOnly } from '../own-firm-only'

const FIRM_TABLES = ['firm_pumps', 'price_books', 'proposals'] as const

/** Design states, the firm's own pumps and prices, and proposals that customers answer through a private link. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('designs', (t) => {
    t.text('state').notNullable().defaultTo('open')
    t.uuid('state_by').references('users.id')
    t.timestamp('state_at', { useTz: true })
    t.text('as_built').notNullable().defaultTo('')
  })
  const firmId = (t: Knex.CreateTableBuilder) =>
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
  await knex.schema.createTable('firm_pumps', (t) => {
    firmId(t)
    t.text('pump_id').notNullable()
    t.jsonb('pump').notNullable()
    t.primary(['firm_id', 'pump_id'])
  })
  await knex.schema.createTable('price_books', (t) => {
    t.uuid('firm_id').primary().references('firms.id').onDelete('CASCADE')
    t.jsonb('book').notNullable()
    t.integer('version').notNullable().defaultTo(1)
  })
  await knex.schema.createTable('proposals', (t) => {
    t.uuid('id').primary()
    firmId(t)
    t.uuid('pond_id').notNullable().references('ponds.id').index()
    t.integer('number').notNullable()
    t.text('state').notNullable()
    // everything the customer reads, frozen when it was made
    t.jsonb('content').notNullable()
    t.date('valid_until').notNullable()
    t.text('token_hash').notNullable().unique()
    t.uuid('made_by').notNullable().references('users.id')
    t.timestamp('made_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
    t.text('answer_name')
    t.text('answer_note')
    t.integer('answer_option')
    t.timestamp('answered_at', { useTz: true })
    t.unique(['firm_id', 'number'])
  })
  await ownFirmOnly(knex, FIRM_TABLES)
  await knex.raw(DOOR_FUNCTIONS)
}

/** A customer holds no account: the link's secret opens this one proposal, and answers it once. */
const DOOR_FUNCTIONS = `
create function door_proposal(wanted text) returns table (content jsonb, number int, state text, valid_until date, made_at timestamptz, answer_name text, answer_option int, answered_at timestamptz)
  language sql security definer set search_path = public as
  $$ select content, number, state, valid_until, made_at, answer_name, answer_option, answered_at from proposals where token_hash = wanted and state <> 'withdrawn' $$;

create function door_answer_proposal(wanted text, new_state text, who text, chosen int, remark text, today date) returns boolean
  language sql security definer set search_path = public as
  $$ with answered as (
       update proposals set state = new_state, answer_name = who, answer_option = chosen, answer_note = remark, answered_at = now()
       where token_hash = wanted and state = 'sent' and valid_until >= today and new_state in ('accepted', 'declined') returning 1)
     select exists (select 1 from answered) $$;
`

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function if exists door_proposal, door_answer_proposal')
  for (const table of [...FIRM_TABLES].reverse()) await knex.schema.dropTableIfExists(table)
  await knex.schema.alterTable('designs', (t) => t.dropColumns('state', 'state_by', 'state_at', 'as_built'))
}
