import type { WindowJob } from '@/core/season/house-rules'
import type { CrunchWeek } from '@/domain/schedule/plan-run'
import { addDays } from '@/core/numeric/calendar'
import { may } from '@/domain/people/roles'
import { seasonBegins, seasonEnds, seasonYearOf } from '@/core/season/season-year'
import { windowsBetween } from '@/domain/season/season-dates'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { findFirm } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { latestCrunch } from '@/server/schedule/plan-run-repository'
import { findPond } from '@/server/ponds/pond-repository'
import {
  listSeasonRows,
  listSeasonVisits,
  type SeasonRowRecord,
  type SeasonVisit,
} from '@/server/season/season-row-repository'
import { todayIn } from '@/server/platform/today'
import { seasonOf } from './season'
import { firmSeasonFrom } from './season-repository'
import { weather } from './weather'

/** Ponds without a season that are worked out while the page waits; the others follow from the worker. */
const MAX_AT_ONCE = 40

export interface SeasonRow {
  readonly id: string
  readonly name: string
  readonly siteName: string
  readonly town: string
  readonly customerName: string
  readonly weeklyC: readonly number[] | null
  /** The job's window in this year. */
  readonly window: { readonly earliest: string; readonly best: string; readonly latest: string } | null
  readonly agreed: boolean
  readonly visits: readonly SeasonVisit[]
}

/** The season year is nearly over: from then on people plan for the next one. */
const NEXT_FROM_DAYS = 61

/**
 * All ponds over the weeks of one season year, with one job's windows: the water, what is planned, what is done.
 * @param asked calendar year in which the season year begins; left out, the one that people plan for today
 */
export async function seasonPage(actor: Actor, asked: number | null, job: WindowJob) {
  assertMay(actor, 'visits.read')
  const weatherState = await weather()
  return inFirm(actor.firmId, async (trx) => {
    const seasonFrom = await firmSeasonFrom(trx, weatherState.stations)
    const today = todayIn(actor.timeZone)
    const year = asked ?? seasonYearOf(addDays(today, NEXT_FROM_DAYS), seasonFrom)
    const [first, last] = [seasonBegins(year, seasonFrom), seasonEnds(year, seasonFrom)]
    let rows = await listSeasonRows(trx, year, job)
    const missing = rows.filter((row) => row.weeklyC === null).slice(0, MAX_AT_ONCE)
    if (missing.length > 0 && weatherState.stations.length > 0) {
      const { rules } = await findFirm(trx)
      for (const row of missing)
        await seasonOf(trx, actor.firmId, (await findPond(trx, row.id))!, rules, weatherState.stations)
      rows = await listSeasonRows(trx, year, job)
    }
    const byPond = await listSeasonVisits(trx, first, last)
    const mayPlan = may(actor.role, 'visits.plan')
    return {
      year,
      seasonFrom,
      job,
      today,
      weather: {
        fetchedAt: weatherState.fetchedAt,
        reachable: weatherState.reachable,
        forecastIssued: weatherState.forecastIssued,
      },
      mayPlan,
      crunch: mayPlan ? crunchIn(first, last, await latestCrunch(trx)) : [],
      rows: rows.map((row): SeasonRow => ({
        id: row.id,
        name: row.name,
        siteName: row.siteName,
        town: row.town,
        customerName: row.customerName,
        weeklyC: row.weeklyC?.map((c) => Math.round(c * 10) / 10) ?? null,
        window: windowOf(row, first, last),
        agreed: row.agreed,
        visits: byPond.get(row.id) ?? [],
      })),
    }
  })
}
export type SeasonPageData = Awaited<ReturnType<typeof seasonPage>>

function windowOf({ anyYear, live, liveYear }: SeasonRowRecord, first: string, last: string): SeasonRow['window'] {
  const [window] = windowsBetween(
    {
      anyYear: anyYear ? [anyYear] : [],
      live: liveYear === null ? null : { year: liveYear, windows: live ? [live] : [] },
    },
    first,
    last,
  )
  return window ? { earliest: window.earliest, best: window.best, latest: window.latest } : null
}

const crunchIn = (first: string, last: string, weeks: readonly CrunchWeek[]): CrunchWeek[] =>
  weeks.filter(({ monday }) => monday >= first && monday <= last)
