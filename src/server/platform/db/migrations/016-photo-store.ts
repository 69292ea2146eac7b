import type { Knex } from 'knex'

/**
 * Images may lie in a store outside; their thumbnails stay here, so that lists are quick and a backup shows what
 * there was.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('photos', (t) => {
    t.text('stored_as')
    t.setNullable('image')
  })
  await knex.raw('alter table photos add constraint photo_somewhere check (image is not null or stored_as is not null)')
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('alter table photos drop constraint photo_somewhere')
  await knex.schema.alterTable('photos', (t) => t.dropColumns('stored_as'))
}
