import type { Knex } from 'knex'
import type { JobWindow, Season } from '@/core/season/windows'
import type { FirmId, PondId } from '@/domain/ids'

/** What the season view needs of a window: month and day count, the year is the reader's. */
export type WindowBrief = Pick<JobWindow, 'job' | 'kind' | 'earliest' | 'best' | 'latest'>

export interface SeasonBrief {
  readonly pondId: PondId
  readonly inputHash: string
  readonly weeklyC: readonly number[]
  readonly windows: readonly WindowBrief[]
}

export async function storeSeason(trx: Knex.Transaction, firmId: FirmId, brief: SeasonBrief, season: Season): Promise<void> {
  const row = {
    pond_id: brief.pondId,
    firm_id: firmId,
    input_hash: brief.inputHash,
    weekly_c: JSON.stringify(brief.weeklyC),
    windows: JSON.stringify(brief.windows),
    season: JSON.stringify(season),
  }
  await trx('pond_seasons').insert(row).onConflict('pond_id').merge()
}

export async function findSeason(trx: Knex.Transaction, pondId: PondId, inputHash: string): Promise<Season | undefined> {
  const row = await trx('pond_seasons').where({ pond_id: pondId, input_hash: inputHash }).first('season')
  return row?.season
}

export async function listSeasonBriefs(trx: Knex.Transaction): Promise<SeasonBrief[]> {
  const rows = await trx('pond_seasons').select('pond_id', 'input_hash', 'weekly_c', 'windows')
  return rows.map((r) => ({ pondId: r.pond_id, inputHash: r.input_hash, weeklyC: r.weekly_c, windows: r.windows }))
}

export interface PondWeek {
  readonly pondId: PondId
  /** Expected water of the asked week, °C. */
  readonly waterC: number
  readonly window: Pick<WindowBrief, 'earliest' | 'best' | 'latest'> | null
}

/** One week's water and one job's window for every pond: only what the morning needs of 52 weeks and all windows. */
export async function listPondWeeks(trx: Knex.Transaction, week: number, job: WindowBrief['job']): Promise<PondWeek[]> {
  const { rows } = await trx.raw(
    `select q.pond_id, (q.weekly_c->>?::int)::double precision as water_c, w->>'earliest' as earliest, w->>'best' as best, w->>'latest' as latest
     from pond_seasons q left join lateral jsonb_array_elements(q.windows) w on w->>'job' = ?`,
    [week, job],
  )
  return rows.map((r: Record<string, string> & { water_c: number }) => ({
    pondId: r.pond_id as PondId,
    waterC: r.water_c,
    window: r.earliest ? { earliest: r.earliest, best: r.best, latest: r.latest } : null,
  }))
}
