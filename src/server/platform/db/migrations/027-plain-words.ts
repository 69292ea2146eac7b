import type { Knex } from 'knex'
import { renameKeys, type KeyNames } from '../rename-keys'

/** Results of plans are megabytes each: few at a time. */
const BATCH = 20

const TABLES = { practice_games: 'trainer_games', own_jobs: 'own_visit_types', bench_drafts: 'design_drafts' } as const
const COLUMNS = [
  ['firms', 'practice', 'rules'],
  ['ponds', 'own_practice', 'own_rules'],
  ['pond_forecasts', 'worry', 'risk'],
  ['pond_forecasts', 'worries', 'risks'],
  ['trainer_games', 'reeds', 'stars'],
] as const

/** Stored documents, with the keys that got another name. */
const DOCUMENTS: readonly (readonly [table: string, column: string, names: KeyNames])[] = [
  ['firms', 'rules', { school: 'sizingMethod' }],
  ['ponds', 'own_rules', { school: 'sizingMethod' }],
  ['designs', 'bed', { school: 'sizingMethod' }],
  ['designs', 'built_bed', { school: 'sizingMethod' }],
  ['design_drafts', 'draft', { school: 'sizingMethod' }],
  ['proposals', 'content', { school: 'sizingMethod', houseSchool: 'houseMethod', practice: 'rules', ways: 'options' }],
  ['what_ifs', 'what_if', { ways: 'options' }],
  ['plan_runs', 'result', { byLetter: 'byEmail' }],
]

/** Tables, columns and keys of stored documents get the names that the pages use. */
export async function up(knex: Knex): Promise<void> {
  for (const [was, is] of Object.entries(TABLES)) await knex.schema.renameTable(was, is)
  for (const [table, was, is] of COLUMNS) await knex.schema.alterTable(table, (t) => t.renameColumn(was, is))
  for (const [table, column, names] of DOCUMENTS) await renameInAll(knex, table, column, names)
  await knex('notices')
    .where({ state: 'told' as never })
    .update({ state: 'notified' })
  await knex('plan_runs')
    .whereRaw(`result->>'roads' = 'crow'`)
    .update({ result: knex.raw(`jsonb_set(result, '{roads}', '"straight-line"')`) })
}

/** In batches by where a row lies, so that a firm of many years does not have to fit into memory. */
async function renameInAll(knex: Knex, table: string, column: string, names: KeyNames): Promise<void> {
  const written = Object.keys(names).map((name) => `%"${name}"%`)
  let after = '(0,0)'
  for (;;) {
    const rows: { at: string; value: unknown }[] = await knex(table)
      .whereRaw('ctid > ?::tid and ??::text like any (?)', [after, column, written])
      .orderByRaw('ctid')
      .limit(BATCH)
      .select(knex.raw('ctid::text as at'), { value: column })
    for (const { at, value } of rows) {
      const now = JSON.stringify(renameKeys(value, names))
      // an old key that stands there as a value is nothing to change: writing the row would move it to the end, to be
      // found again for ever
      if (now === JSON.stringify(value)) continue
      await knex(table)
        .whereRaw('ctid = ?::tid', [at])
        .update({ [column]: now })
    }
    if (rows.length < BATCH) return
    after = rows[rows.length - 1]!.at
  }
}

export async function down(knex: Knex): Promise<void> {
  for (const [table, was, is] of [...COLUMNS].reverse())
    await knex.schema.alterTable(table, (t) => t.renameColumn(is, was))
  for (const [was, is] of Object.entries(TABLES)) await knex.schema.renameTable(is, was)
}
