import type { RowOf } from '@/server/platform/db/column-types'
import type { Knex } from 'knex'
import type { EnsembleFilter } from '@/core/assimilation/ensemble-filter'
import type { ForecastRun, ForecastRisks, PondForecast, Risk } from '@/domain/forecasts/forecast'
import type { FirmId, ForecastRunId, PondId, UserId } from '@/domain/shared/ids'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    forecast_runs: { state: ForecastRun['state'] }
    pond_forecasts: {
      filter: EnsembleFilter
      outlook: PondForecast['outlook']
      risks: readonly Risk[]
    }
  }
}

const toRun = (r: RowOf<'forecast_runs'>): ForecastRun => ({
  id: r.id,
  state: r.state,
  done: r.done,
  ponds: r.ponds,
  problem: r.problem,
  askedAt: r.asked_at.toISOString(),
  finishedAt: r.finished_at?.toISOString() ?? null,
})

export async function insertForecastRun(
  trx: Knex.Transaction,
  firmId: FirmId,
  id: ForecastRunId,
  by: UserId | null,
): Promise<void> {
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
  readonly filter: EnsembleFilter
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
  made: Omit<PondForecast, 'madeAt'> & { readonly pondHash: string; readonly filter: unknown; readonly risk: number },
): Promise<void> {
  await trx('pond_forecasts')
    .insert({
      pond_id: made.pondId,
      firm_id: firmId,
      pond_hash: made.pondHash,
      filter: JSON.stringify(made.filter),
      outlook: JSON.stringify(made.outlook),
      risk: made.risk,
      risks: JSON.stringify(made.risks),
      made_at: trx.fn.now(),
    })
    .onConflict('pond_id')
    .merge()
}

export async function findForecast(trx: Knex.Transaction, pondId: PondId): Promise<PondForecast | null> {
  const r = await trx('pond_forecasts').where({ pond_id: pondId }).first('pond_id', 'outlook', 'risks', 'made_at')
  return r ? { pondId: r.pond_id, outlook: r.outlook, risks: r.risks, madeAt: r.made_at.toISOString() } : null
}

export interface RiskLine {
  readonly pondId: PondId
  readonly pondName: string
  readonly siteName: string
  readonly risks: readonly Risk[]
  readonly risk: number
}

/** Ponds at risk, the most first. @param since older forecasts say nothing any more */
export async function listRisks(trx: Knex.Transaction, since: Date, max: number): Promise<RiskLine[]> {
  const rows = await trx('pond_forecasts as f')
    .join('ponds as p', 'p.id', 'f.pond_id')
    .join('sites as s', 's.id', 'p.site_id')
    .where('f.made_at', '>=', since)
    .where('f.risk', '>', 0)
    .orderBy('f.risk', 'desc')
    .limit(max)
    .select('f.pond_id', 'f.risk', 'f.risks', 'p.name as pond_name', 's.name as site_name')
  return rows.map((r) => ({
    pondId: r.pond_id,
    pondName: r.pond_name,
    siteName: r.site_name,
    risks: r.risks,
    risk: r.risk,
  }))
}

/** The risks that forecasts of some ponds name, by pond. @param since older forecasts say nothing any more */
export async function listForecastRisks(
  trx: Knex.Transaction,
  pondIds: readonly PondId[],
  since: Date,
): Promise<Map<PondId, ForecastRisks>> {
  const rows = await trx('pond_forecasts')
    .whereIn('pond_id', pondIds)
    .where('made_at', '>=', since)
    .where('risk', '>', 0)
    .select('pond_id', 'risks', 'made_at')
  return new Map(rows.map((r) => [r.pond_id, { madeAt: r.made_at.toISOString(), risks: r.risks }]))
}

export async function countForecasts(trx: Knex.Transaction): Promise<number> {
  const [row] = await trx('pond_forecasts').count({ ponds: '*' })
  return Number(row?.ponds ?? 0)
}
