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
  const row = { pond_id: brief.pondId, firm_id: firmId, input_hash: brief.inputHash, weekly_c: JSON.stringify(brief.weeklyC), windows: JSON.stringify(brief.windows), season: JSON.stringify(season) }
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
