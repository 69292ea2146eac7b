import type { Knex } from 'knex'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { randomUUID } from 'node:crypto'
import { accuracyOf, reliabilityOf } from '@/core/assimilation/accuracy'
import { addDays } from '@/core/numeric/calendar'
import type { ForecastRun } from '@/domain/forecasts/forecast'
import type { FirmId, ForecastRunId, PondId } from '@/domain/shared/ids'
import { notFound } from '@/domain/shared/problems'
import { may } from '@/domain/people/roles'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { findFirm } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import {
  askedNow,
  countForecasts,
  findFilter,
  findForecast,
  findForecastRun,
  insertForecastRun,
  latestForecastRun,
  listRisks,
} from '@/server/forecasts/forecast-repository'
import { countScores, listSaid, listScoreSums } from '@/server/forecasts/accuracy-repository'
import { countPonds, findPond } from '@/server/ponds/pond-repository'
import { sendJobIn } from '@/server/platform/queue/queue'
import { cancelRun } from '@/server/platform/queue/run-rows'
import { todayIn } from '@/server/platform/today'
import { DAY_MS } from '@/core/numeric/time'

/** A forecast older than this no longer says how the coming weeks will be. */
const COUNTS_DAYS = 3
const MAX_LINES = 60

export const forecastsSince = (now: Date = new Date()): Date => new Date(now.getTime() - COUNTS_DAYS * DAY_MS)

/** The forecasts page: ponds by risk, and how forecasts have done. */
export async function forecastsPage(actor: Actor) {
  assertMay(actor, 'ponds.read')
  return inFirm(actor.firmId, async (trx) => {
    return {
      today: todayIn(actor.timeZone),
      run: await latestForecastRun(trx),
      lines: await listRisks(trx, forecastsSince(), MAX_LINES),
      accuracy: await accuracyIn(trx, todayIn(actor.timeZone)),
      ponds: await countForecasts(trx),
      mayPlan: may(actor.role, 'visits.plan'),
      mayRun: may(actor.role, 'ponds.write'),
    }
  })
}
export type ForecastsPageData = Awaited<ReturnType<typeof forecastsPage>>

/** Older scores tell of an older model. */
const SCORES_DAYS = 2 * 366

/** How forecasts did against the tests that came after, of one pond or of all. */
export async function accuracyIn(
  trx: Knex.Transaction,
  today: string,
  pond?: { readonly id: PondId; readonly epoch: string },
) {
  const since = addDays(today, -SCORES_DAYS)
  return {
    invented: (await findFirm(trx)).invented,
    counts: await countScores(trx, since, pond),
    kinds: accuracyOf(
      await listScoreSums(trx, since, { pondId: pond?.id }),
      await listScoreSums(trx, since, { pondId: pond?.id, withUsual: true }),
    ),
    said: reliabilityOf(await listSaid(trx, since, pond?.id)),
  }
}
export type AccuracyData = Awaited<ReturnType<typeof accuracyIn>>

/** One pond's outlook. */
export async function pondOutlook(actor: Actor, pondId: PondId) {
  assertMay(actor, 'ponds.read')
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    const epoch = (await findFilter(trx, pondId))?.pondHash ?? ''
    return {
      accuracy: await accuracyIn(trx, todayIn(actor.timeZone), { id: pondId, epoch }),
      pond: { id: pond.id, name: pond.name, siteName: pond.siteName, deepestM: savedPondFacts(pond).basin.maxDepthM },
      forecast: await findForecast(trx, pondId),
      mayPlan: may(actor.role, 'visits.plan'),
    }
  })
}
export type PondOutlookData = Awaited<ReturnType<typeof pondOutlook>>

/** Puts a forecast of all ponds into the queue. One that is under way is not begun twice. */
export async function askForecast(actor: Actor): Promise<{ id: ForecastRunId }> {
  assertMay(actor, 'ponds.write')
  return queueForecast(actor.firmId, actor)
}

async function queueForecast(firmId: FirmId, by: Actor | null): Promise<{ id: ForecastRunId }> {
  return inFirm(firmId, async (trx) => {
    const latest = await latestForecastRun(trx)
    const under = latest && (latest.state === 'queued' || latest.state === 'running') ? latest : null
    const runId = under?.id ?? (randomUUID() as ForecastRunId)
    if (!under) await insertForecastRun(trx, firmId, runId, by?.userId ?? null)
    // one of the night that still waits goes ahead of the others once somebody asks for it; a run is claimed once,
    // whichever job comes first
    if (under?.state === 'queued' && by) await askedNow(trx, runId, by.userId)
    if (!under || (under.state === 'queued' && by))
      await sendJobIn(trx, by ? 'forecast-asked' : 'forecast-ponds', { firmId, runId })
    return { id: runId }
  })
}

/** Once a day by the clock, when nobody has asked. @returns whether one was begun */
export async function nightlyForecast(firmId: FirmId, timeZone: string, now: Date = new Date()): Promise<boolean> {
  const { latest, ponds } = await inFirm(firmId, async (trx) => ({
    latest: await latestForecastRun(trx),
    ponds: await countPonds(trx),
  }))
  if (ponds === 0) return false
  if (latest && todayIn(timeZone, new Date(latest.askedAt)) === todayIn(timeZone, now)) return false
  await queueForecast(firmId, null)
  return true
}

export async function forecastRun(actor: Actor, id: ForecastRunId): Promise<ForecastRun> {
  assertMay(actor, 'ponds.read')
  return inFirm(actor.firmId, async (trx) => {
    const run = await findForecastRun(trx, id)
    if (!run) throw notFound('forecast')
    return run
  })
}

export async function stopForecast(actor: Actor, id: ForecastRunId): Promise<void> {
  assertMay(actor, 'ponds.write')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findForecastRun(trx, id))) throw notFound('forecast')
    await cancelRun(trx, 'forecast_runs', id)
  })
}
