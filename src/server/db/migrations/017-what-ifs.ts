import type { Knex } from 'knex'

/** What-ifs of ponds that somebody wants to keep or show. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('what_ifs', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('pond_id').notNullable().references('ponds.id').onDelete('CASCADE').index()
    t.jsonb('what_if').notNullable()
    t.uuid('saved_by').notNullable().references('users.id')
    t.timestamp('saved_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
  })
  const own = `nullif(current_setting('app.firm_id', true), '')::uuid`
  await knex.raw('alter table what_ifs enable row level security')
  await knex.raw(`create policy own_firm on what_ifs using (firm_id = ${own}) with check (firm_id = ${own})`)
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTableIfExists('what_ifs')
}
