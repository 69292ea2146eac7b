import type { Knex } from 'knex'
import { upgradeEntry, upgradeVisitType, upgradeNote, upgradeSteps } from '@/domain/visits/visit-type-upgrade'

const BATCH = 500

/** Rows of a table in batches, so that a firm of many years does not have to fit into memory. */
async function inBatches<Row extends { id: string }>(
  query: (after: string) => Promise<Row[]>,
  each: (row: Row) => Promise<void>,
): Promise<void> {
  let after = '00000000-0000-0000-0000-000000000000'
  for (;;) {
    const rows = await query(after)
    for (const row of rows) await each(row)
    if (rows.length < BATCH) return
    after = rows[rows.length - 1]!.id
  }
}

/**
 * Answers of steps get codes: visits, their logs and own visit types are brought along. Sites have a file of the
 * water that fills their ponds.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('sites', (t) => {
    t.double('fill_ph')
    t.double('fill_kh')
    t.double('fill_chlorine')
  })
  await codeAnswers(knex)
}

/**
 * Brings what is stored to today's shape; again changes nothing.
 * @param own table of own visit types, as it is named by now
 */
export async function codeAnswers(knex: Knex, own = 'own_jobs'): Promise<void> {
  await inBatches(
    (after) => knex('visits').where('id', '>', after).orderBy('id').limit(BATCH).select('id', 'job'),
    async ({ id, job }) => {
      const now = upgradeVisitType(job)
      await knex('visits')
        .where({ id })
        .update({ job: JSON.stringify(now) })
      const lines = await knex('visit_entries')
        .where({ visit_id: id })
        .whereRaw(`entry->'answer'->>'choice' is not null`)
        .select('id', 'entry')
      for (const line of lines)
        await knex('visit_entries')
          .where({ id: line.id })
          .update({ entry: JSON.stringify(upgradeEntry(line.entry, now.steps)) })
    },
  )
  const ownTypes = await knex(own).whereNotNull('job').select('firm_id', 'key', 'version', 'job')
  for (const { firm_id, key, version, job } of ownTypes)
    await knex(own)
      .where({ firm_id, key, version })
      .update({
        job: JSON.stringify({
          ...job,
          customerNote: upgradeNote(job.customerNote),
          steps: upgradeSteps(key, job.steps),
        }),
      })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('sites', (t) => t.dropColumns('fill_ph', 'fill_kh', 'fill_chlorine'))
}
