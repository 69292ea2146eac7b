import type { Knex } from 'knex'
import type { PondFilter } from '@/core/assimilation/particle-filter'
import type { ForecastRun, Foretold, PondForecast, Worry } from '@/domain/forecasts/forecast'
import type { FirmId, ForecastRunId, PondId, UserId } from '@/domain/shared/ids'

const toRun = (r: Record<string, never> & { asked_at: Date; finished_at: Date | null }): ForecastRun => ({
  id: r.id,
  state: r.state,
  done: r.done,
  ponds: r.ponds,
  problem: r.problem,
  askedAt: r.asked_at.toISOString(),
  finishedAt: r.finished_at?.toISOString() ?? null,
})

export async function insertForecastRun(trx: Knex.Transaction, firmId: FirmId, id: ForecastRunId, by: UserId | null): Promise<void> {
  await trx('forecast_runs').insert({ id, firm_id: firmId, state: 'queued', asked_by: by })
}

export async function findForecastRun(trx: Knex.Transaction, id: ForecastRunId): Promise<ForecastRun | undefined> {
  const row = await trx('forecast_runs').where({ id }).first()
  return row && toRun(row)
}

export async function latestForecastRun(trx: Knex.Transaction): Promise<ForecastRun | null> {
  const row = await trx('forecast_runs').orderBy('asked_at', 'desc').first()
  return row ? toRun(row) : null
}

/** Whether somebody waits for it: those of the night were asked for by nobody. */
export async function wasAsked(trx: Knex.Transaction, id: ForecastRunId): Promise<boolean> {
  return (await trx('forecast_runs').where({ id }).first('asked_by'))?.asked_by != null
}

/** Somebody waits now for a run of the night. */
export async function askedNow(trx: Knex.Transaction, id: ForecastRunId, by: UserId): Promise<void> {
  await trx('forecast_runs').where({ id, asked_by: null }).update({ asked_by: by })
}

export interface KeptFilter {
  readonly pondHash: string
  readonly filter: PondFilter
  readonly madeAt: Date
}

/** What a pond's filter had learnt when it was last brought forward. */
export async function findFilter(trx: Knex.Transaction, pondId: PondId): Promise<KeptFilter | null> {
  const row = await trx('pond_forecasts').where({ pond_id: pondId }).first('pond_hash', 'filter', 'made_at')
  return row ? { pondHash: row.pond_hash, filter: row.filter, madeAt: row.made_at } : null
}

export async function storeForecast(
  trx: Knex.Transaction,
  firmId: FirmId,
  made: Omit<PondForecast, 'madeAt'> & { readonly pondHash: string; readonly filter: unknown; readonly worry: number },
): Promise<void> {
  await trx('pond_forecasts')
    .insert({
      pond_id: made.pondId,
      firm_id: firmId,
      pond_hash: made.pondHash,
      filter: JSON.stringify(made.filter),
      scores: JSON.stringify(made.scores),
      outlook: JSON.stringify(made.outlook),
      worry: made.worry,
      worries: JSON.stringify(made.worries),
      made_at: trx.fn.now(),
    })
    .onConflict('pond_id')
    .merge()
}

export async function findForecast(trx: Knex.Transaction, pondId: PondId): Promise<PondForecast | null> {
  const r = await trx('pond_forecasts').where({ pond_id: pondId }).first('pond_id', 'outlook', 'scores', 'worries', 'made_at')
  return r ? { pondId: r.pond_id, outlook: r.outlook, scores: r.scores, worries: r.worries, madeAt: (r.made_at as Date).toISOString() } : null
}

export interface WorryLine {
  readonly pondId: PondId
  readonly pondName: string
  readonly siteName: string
  readonly worries: readonly Worry[]
  readonly worry: number
}

/** Ponds that worry, the most first. @param since older forecasts say nothing any more */
export async function listWorries(trx: Knex.Transaction, since: Date, most: number): Promise<WorryLine[]> {
  const rows = await trx('pond_forecasts as f')
    .join('ponds as p', 'p.id', 'f.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .where('f.made_at', '>=', since)
    .where('f.worry', '>', 0)
    .orderBy('f.worry', 'desc')
    .limit(most)
    .select('f.pond_id', 'f.worry', 'f.worries', 'p.name as pond_name', 's.name as site_name')
  return rows.map((r) => ({ pondId: r.pond_id, pondName: r.pond_name, siteName: r.site_name, worries: r.worries, worry: r.worry }))
}

/** What forecasts of some ponds worry about, by pond. @param since older forecasts say nothing any more */
export async function listForetold(trx: Knex.Transaction, pondIds: readonly PondId[], since: Date): Promise<Map<PondId, Foretold>> {
  const rows = await trx('pond_forecasts')
    .whereIn('pond_id', pondIds)
    .where('made_at', '>=', since)
    .where('worry', '>', 0)
    .select('pond_id', 'worries', 'made_at')
  return new Map(rows.map((r) => [r.pond_id, { madeAt: (r.made_at as Date).toISOString(), worries: r.worries }]))
}

export async function listScores(trx: Knex.Transaction): Promise<PondForecast['scores'][]> {
  return (await trx('pond_forecasts').select('scores')).map((r) => r.scores)
}
