import { houseRulesAt } from '@/domain/house-rules/house-rules'
import { seasonBegins, seasonEnds } from '@/core/season/season-year'
import { windowsBetween } from '@/domain/season/season-dates'
import type { PondId } from '@/domain/shared/ids'
import { notFound } from '@/domain/shared/problems'
import { findFirm } from '@/server/firm/firm-repository'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPond } from '@/server/ponds/pond-repository'
import { seasonOf } from './season'
import { findLiveSeason, firmSeasonFrom } from './season-repository'
import { weather } from './weather'

/** All windows of a pond in a season year of the firm, each with what it was taken from, and the rules behind them. */
export async function pondWindows(actor: Actor, id: PondId, year: number) {
  assertMay(actor, 'ponds.read')
  const { stations } = await weather()
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, id)
    if (!pond) throw notFound('pond')
    const { rules } = await findFirm(trx)
    const season = await seasonOf(trx, actor.firmId, pond, rules, stations)
    const live = await findLiveSeason(trx, id)
    const from = await firmSeasonFrom(trx, stations)
    const windows = season
      ? windowsBetween(
          { anyYear: season.windows, live: live && { year: live.year, windows: live.season.windows } },
          seasonBegins(year, from),
          seasonEnds(year, from),
        )
      : []
    return {
      windows: windows.map(({ job, kind, earliest, best, latest, why }) => ({
        job,
        kind,
        earliest,
        best,
        latest,
        why,
      })),
      rules: houseRulesAt(rules, pond.ownRules),
      weatherYears: season?.weatherYears ?? 0,
    }
  })
}
export type PondWindowsData = Awaited<ReturnType<typeof pondWindows>>
