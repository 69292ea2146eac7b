import type { Knex } from 'knex'

const COLUMNS = ['fill_gh', 'fill_nitrate', 'fill_phosphate', 'fill_chloramine'] as const

/** More of what runs into a site's ponds: hardness, nutrients, and how much of the chlorine is bound to ammonia. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('sites', (t) => COLUMNS.forEach((column) => t.double(column)))
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('sites', (t) => t.dropColumns(...COLUMNS))
}
