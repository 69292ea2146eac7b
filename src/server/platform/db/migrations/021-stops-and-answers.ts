import type { Knex } from 'knex'

/**
 * Customers say when what they ask for is urgent. Why a version with an open stop was approved, built or offered all
 * the same; one version approved at a time; accepting a proposal
 * closes the others of its pond.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('designs', (t) => {
    t.text('stop_reason').notNullable().defaultTo('')
    t.jsonb('stops').notNullable().defaultTo('[]')
  })
  await knex.schema.alterTable('proposals', (t) => t.text('stop_reason').notNullable().defaultTo(''))
  await knex.schema.alterTable('follow_ups', (t) => t.boolean('urgent').notNullable().defaultTo(false))
  // several approved versions of one pond: the newest is the one that counts
  await knex.raw(
    `update designs d set state = 'open' where state = 'approved' and exists
       (select 1 from designs n where n.pond_id = d.pond_id and n.state = 'approved' and n.number > d.number)`,
  )
  await knex.raw(`drop function door_answer_proposal(text, text, text, int, text, date)`)
  await knex.raw(ANSWER)
}

/** The customer's answer, once; one that is accepted closes its siblings: nobody accepts two filters for one pond. */
const ANSWER = `
create function door_answer_proposal(wanted text, new_state text, who text, chosen int, remark text, today date) returns boolean
  language sql security definer set search_path = public, pg_temp as
  $$ with answered as (
       update proposals set state = new_state, answer_name = who, answer_option = chosen, answer_note = remark, answered_at = now()
       where token_hash = wanted and state = 'sent' and valid_until >= today and new_state in ('accepted', 'declined') returning id, pond_id),
     closed as (
       update proposals p set state = 'withdrawn' from answered a
       where new_state = 'accepted' and p.pond_id = a.pond_id and p.id <> a.id and p.state = 'sent' returning 1)
     select exists (select 1 from answered) $$;
`

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('designs', (t) => t.dropColumns('stop_reason', 'stops'))
  await knex.schema.alterTable('proposals', (t) => t.dropColumn('stop_reason'))
  await knex.schema.alterTable('follow_ups', (t) => t.dropColumn('urgent'))
}
