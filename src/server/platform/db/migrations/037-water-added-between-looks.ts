import type { Knex } from 'knex'

/** A level log tells what was added between the looks: until now nothing was asked, and nothing is taken for none. */
export const up = (knex: Knex): Promise<void> =>
  knex.schema.alterTable('level_logs', (t) => t.double('added_m3').notNullable().defaultTo(0))

export const down = (knex: Knex): Promise<void> => knex.schema.alterTable('level_logs', (t) => t.dropColumn('added_m3'))
