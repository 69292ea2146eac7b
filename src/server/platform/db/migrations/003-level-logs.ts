import type { Knex } from 'knex'

/** Drops of a pond's level, from which evaporation and leaks are told apart. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('level_logs', (t) => {
    t.uuid('id').primary()
    t.uuid('firm_id').notNullable().references('firms.id').onDelete('CASCADE').index()
    t.uuid('pond_id').notNullable().references('ponds.id').index()
    t.date('day').notNullable()
    t.specificType('hours', 'double precision').notNullable()
    t.specificType('drop_mm', 'double precision').notNullable()
    t.specificType('bucket_drop_mm', 'double precision')
    t.boolean('pump_on').notNullable()
    t.uuid('by_id').notNullable().references('users.id')
    t.timestamp('created_at', { useTz: true }).notNullable().defaultTo(knex.fn.now())
  })
  await knex.raw('alter table level_logs enable row level security')
  const own = `nullif(current_setting('app.firm_id', true), '')::uuid`
  await knex.raw(`create policy own_firm on level_logs using (firm_id = ${own}) with check (firm_id = ${own})`)
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTableIfExists('level_logs')
}
