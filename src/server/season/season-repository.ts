import type { Knex } from 'knex'
import { weekOf, yearOf, type IsoDate } from '@/core/numeric/calendar'
import type { Calibration } from '@/core/season/calibrate'
import { seasonFromOf, type SeasonFrom } from '@/core/season/season-year'
import type { Season } from '@/core/season/windows'
import type { JobWindow } from '@/core/season/job-window'
import type { FirmId, PondId } from '@/domain/shared/ids'
import type { PondWindows } from '@/domain/season/season-dates'
import type { WeatherStation } from '@/server/platform/gateways/weather'

declare module '@/server/platform/db/column-types' {
  interface ColumnTypes {
    pond_seasons: {
      season_from: SeasonFrom
      weekly_c: readonly number[]
      windows: readonly WindowBrief[]
      season: Season
      live: Season
      live_weekly_c: readonly number[]
      live_windows: readonly WindowBrief[]
      calibration: KeptCalibration
    }
  }
}

/** What the season view needs of a window: the year is the reader's. */
export type WindowBrief = Pick<JobWindow, 'job' | 'kind' | 'earliest' | 'best' | 'latest'>

export interface SeasonBrief {
  readonly pondId: PondId
  readonly inputHash: string
  readonly from: SeasonFrom
  readonly weeklyC: readonly number[]
  readonly windows: readonly WindowBrief[]
}

/** A pond's year as it goes: worked out with the weather known on a day. */
export interface LiveSeason {
  readonly year: number
  readonly hash: string
  readonly season: Season
  readonly weeklyC: readonly number[]
  readonly windows: readonly WindowBrief[]
  readonly at: string
}

export async function storeSeason(
  trx: Knex.Transaction,
  firmId: FirmId,
  brief: SeasonBrief,
  season: Season,
): Promise<void> {
  const row = {
    pond_id: brief.pondId,
    firm_id: firmId,
    input_hash: brief.inputHash,
    season_from: brief.from,
    weekly_c: JSON.stringify(brief.weeklyC),
    windows: JSON.stringify(brief.windows),
    season: JSON.stringify(season),
  }
  await trx('pond_seasons').insert(row).onConflict('pond_id').merge()
}

export async function findSeason(
  trx: Knex.Transaction,
  pondId: PondId,
  inputHash: string,
): Promise<Season | undefined> {
  const row = await trx('pond_seasons').where({ pond_id: pondId, input_hash: inputHash }).first('season')
  return row?.season
}

/** The year of another pond of the firm, worked out from the very same: as deep, as shaded, as high, as near. */
export async function findTwinSeason(trx: Knex.Transaction, inputHash: string): Promise<Season | undefined> {
  return (await trx('pond_seasons').where({ input_hash: inputHash }).first('season'))?.season
}

/** This year of another pond, worked out from the very same. */
export async function findTwinLiveSeason(trx: Knex.Transaction, hash: string): Promise<Season | undefined> {
  return (await trx('pond_seasons').where({ live_hash: hash }).first('live'))?.live ?? undefined
}

/** Keeps this year's season beside the one of any year. */
export async function storeLiveSeason(trx: Knex.Transaction, pondId: PondId, live: LiveSeason): Promise<void> {
  await trx('pond_seasons')
    .where({ pond_id: pondId })
    .update({
      live_year: live.year,
      live_hash: live.hash,
      live: JSON.stringify(live.season),
      live_windows: JSON.stringify(live.windows),
      live_weekly_c: JSON.stringify(live.weeklyC),
      live_at: live.at,
    })
}

export async function findLiveSeason(trx: Knex.Transaction, pondId: PondId): Promise<LiveSeason | null> {
  const row = await trx('pond_seasons').where({ pond_id: pondId }).whereNotNull('live_year').first()
  if (!row) return null
  const {
    live_year: year,
    live_hash: hash,
    live: season,
    live_weekly_c: weeklyC,
    live_windows: windows,
    live_at: at,
  } = row
  // written together
  if (year === null || hash === null || season === null || weeklyC === null || windows === null || at === null)
    return null
  return { year, hash, season, weeklyC, windows, at: at.toISOString() }
}

export async function liveHashOf(trx: Knex.Transaction, pondId: PondId): Promise<string | null> {
  const row = await trx('pond_seasons').where({ pond_id: pondId }).first('live_hash')
  return row?.live_hash ?? null
}

/** When the season years of most of the firm's ponds begin; by the firm's first station where no pond has one yet. */
export async function firmSeasonFrom(trx: Knex.Transaction, stations: readonly WeatherStation[]): Promise<SeasonFrom> {
  const most = await trx('pond_seasons')
    .groupBy('season_from')
    .orderByRaw('count(*) desc, season_from')
    .first('season_from')
  return most?.season_from ?? (stations[0] ? seasonFromOf(stations[0].normals) : 1)
}

/** What a pond's readings have taught, with what it was learnt from. */
export interface KeptCalibration extends Calibration {
  readonly key: string
}

export async function findCalibration(trx: Knex.Transaction, pondId: PondId): Promise<KeptCalibration | null> {
  const row = await trx('pond_seasons').where({ pond_id: pondId }).first('calibration')
  return row?.calibration ?? null
}

export async function storeCalibration(
  trx: Knex.Transaction,
  pondId: PondId,
  calibration: KeptCalibration,
): Promise<void> {
  await trx('pond_seasons')
    .where({ pond_id: pondId })
    .update({ calibration: JSON.stringify(calibration) })
}

export interface PondWeek {
  readonly pondId: PondId
  /** Expected water of the day's week, °C. */
  readonly waterC: number
  readonly windows: PondWindows<WindowBrief>
}

/** A day's water and one job's windows for every pond: only what the morning needs of 52 weeks and all windows. */
export async function listPondWeeks(
  trx: Knex.Transaction,
  today: IsoDate,
  job: WindowBrief['job'],
): Promise<PondWeek[]> {
  const { rows } = await trx.raw(
    `select q.pond_id, (case when q.live_year = ?::int - (case when q.season_from > ?::int then 1 else 0 end) then q.live_weekly_c else q.weekly_c end->>?::int)::double precision as water_c, w as any_year,
            q.live_year, l as live
     from pond_seasons q
     left join lateral jsonb_array_elements(q.windows) w on w->>'job' = ?
     left join lateral jsonb_array_elements(q.live_windows) l on l->>'job' = ?`,
    [yearOf(today), Number(today.slice(5, 7)), weekOf(today), job, job],
  )
  return rows.map(
    (r: {
      pond_id: PondId
      water_c: number
      any_year: WindowBrief | null
      live_year: number | null
      live: WindowBrief | null
    }) => ({
      pondId: r.pond_id,
      waterC: r.water_c,
      windows: {
        anyYear: r.any_year ? [r.any_year] : [],
        live: r.live_year ? { year: r.live_year, windows: r.live ? [r.live] : [] } : null,
      },
    }),
  )
}
