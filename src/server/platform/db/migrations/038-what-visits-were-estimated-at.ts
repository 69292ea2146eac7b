import type { Knex } from 'knex'

/**
 * A visit keeps what it was estimated at before anything learnt, handwork and machines apart, and the minutes kept
 * free after it, and between what its length was said to be. Of earlier visits the estimate follows from what was
 * planned, nothing was kept free, and nothing was said.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('visits', (t) => {
    t.double('hands_min').notNullable().defaultTo(0)
    t.double('machine_min').notNullable().defaultTo(0)
    t.integer('spare_min').notNullable().defaultTo(0)
    t.double('low_min')
    t.double('high_min')
  })
  await knex.raw(`
    update visits set machine_min = least(planned_minutes, (
      select coalesce(sum((part->>'minutes')::float), 0)
      from jsonb_array_elements(duration->'parts') part
      where part->>'by' = 'machine'
    ))`)
  await knex.raw(
    `update visits set hands_min = (planned_minutes - machine_min) / learnt_factor where learnt_factor > 0`,
  )
}

export const down = (knex: Knex): Promise<void> =>
  knex.schema.alterTable('visits', (t) => t.dropColumns('hands_min', 'machine_min', 'spare_min', 'low_min', 'high_min'))
