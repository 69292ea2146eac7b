import type { Knex } from 'knex'

/** Columns of a run's progress or result that only its own noun knows; values as the driver takes them. */
export type RunColumns = Readonly<Record<string, string | number | null>>

/**
 * The states of long work, in any table of runs: `id`, `state`, `cancel`, `heartbeat`, `waits_since`, `problem`,
 * `finished_at`.
 * Queued → running → done, stopped or failed; a run whose worker vanished goes back to queued. Each step is taken
 * once, whoever tries it twice.
 */

/** Takes a queued run on. @returns false when it is no longer queued: stopped, or another worker has it */
export async function claimRun(trx: Knex.Transaction, table: string, id: string): Promise<boolean> {
  return (await trx(table).where({ id, state: 'queued' }).update({ state: 'running', heartbeat: trx.fn.now() })) > 0
}

/**
 * A sign of life, with how far it has got.
 * @returns whether the run shall stop: it was asked to, or is no longer this worker's
 */
export async function beatRun(
  trx: Knex.Transaction,
  table: string,
  id: string,
  progress: RunColumns,
): Promise<boolean> {
  const rows = await trx(table)
    .where({ id, state: 'running' })
    .update({ ...progress, heartbeat: trx.fn.now() })
    .returning('cancel')
  return rows.length === 0 || rows[0].cancel
}

export async function finishRun(
  trx: Knex.Transaction,
  table: string,
  id: string,
  state: 'done' | 'stopped' | 'failed',
  columns: RunColumns = {},
  problem = '',
): Promise<void> {
  await trx(table)
    .where({ id, state: 'running' })
    .update({ ...columns, state, problem, finished_at: trx.fn.now() })
}

/** Asks a run to stop; a queued one never starts. */
export async function cancelRun(trx: Knex.Transaction, table: string, id: string): Promise<void> {
  await trx(table).where({ id, state: 'running' }).update({ cancel: true })
  await trx(table).where({ id, state: 'queued' }).update({ state: 'stopped', finished_at: trx.fn.now() })
}

/** @returns false when the run is over, so that no job is needed */
export async function requeueRun(trx: Knex.Transaction, table: string, id: string): Promise<boolean> {
  return (
    (await trx(table)
      .where({ id })
      .whereIn('state', ['running', 'queued'])
      .update({ state: 'queued', waits_since: trx.fn.now() })) > 0
  )
}
