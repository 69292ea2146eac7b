import { worriesOf, worryOf } from '@/domain/forecasts/forecast'
import type { FirmId, ForecastRunId, PondId } from '@/domain/shared/ids'
import { database } from '@/server/platform/db/connection'
import { findFirm } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { beatForecastRun, claimForecastRun, finishForecastRun, requeueForecastRun, storeForecast, wasAsked } from '@/server/forecasts/forecast-repository'
import { findPond, listPonds } from '@/server/ponds/pond-repository'
import { listStations } from '@/server/season/weather-repository'
import { logger } from '@/server/platform/logger'
import { todayIn } from '@/server/platform/today'
import { forecastTask, keptFilter } from '@/server/forecasts/forecast-task'
import { weather } from '@/server/season/weather'
import { forecastPool, type ForecastPool } from './forecast-pool'
import { lostRows } from '@/server/platform/queue/lost'
import { sendJobIn } from '@/server/platform/queue/queue'

const THREADS = 2
const BEAT_MS = 1000
/** A run not heard of for so long has lost its worker. */
const STALE_S = 12

/** Runs under way in this process, to be put back when it is told to end. */
const running = new Map<ForecastRunId, { firmId: FirmId; stop: () => void }>()

/**
 * Forecasts every pond of a firm: claims the run, then pond by pond reads, works out in a thread, and keeps.
 * What is kept stays kept: a run whose worker died is taken up again, and ponds that were worked out before it died are only brought forward from what was kept.
 */
export async function forecastPonds(firmId: FirmId, runId: ForecastRunId): Promise<void> {
  const ponds = await inFirm(firmId, listPonds)
  if (!(await inFirm(firmId, (trx) => claimForecastRun(trx, runId, ponds.length)))) return
  const pool = forecastPool(THREADS)
  let [done, asked, handedBack] = [0, false, false]
  running.set(runId, {
    firmId,
    stop: () => {
      handedBack = true
      void pool.end()
    },
  })
  const beat = setInterval(() => {
    inFirm(firmId, (trx) => beatForecastRun(trx, runId, done)).then(
      (stop) => (asked ||= stop),
      (error: unknown) => logger.warn({ reason: (error as Error).message }, 'a forecast could not beat'),
    )
  }, BEAT_MS)
  try {
    await weather()
    const stations = await listStations(database())
    const left = ponds.map((p) => p.id)
    // as many hands as threads: each reads its next pond while the other computes
    await Promise.all(
      Array.from({ length: THREADS }, async () => {
        for (let id = left.shift(); id && !asked && !handedBack; id = left.shift()) {
          await onePond(firmId, id, stations, pool)
          done++
        }
      }),
    )
    if (handedBack) return
    await inFirm(firmId, (trx) => beatForecastRun(trx, runId, done))
    await inFirm(firmId, (trx) => finishForecastRun(trx, runId, asked ? 'stopped' : 'done'))
  } catch (error) {
    if (handedBack) return
    logger.error({ reason: (error as Error).message, runId }, 'a forecast failed')
    await inFirm(firmId, (trx) => finishForecastRun(trx, runId, 'failed', 'The forecast broke off. What was worked out before is kept; try again.'))
  } finally {
    clearInterval(beat)
    running.delete(runId)
    await pool.end()
  }
}

async function onePond(firmId: FirmId, id: PondId, stations: Awaited<ReturnType<typeof listStations>>, pool: ForecastPool): Promise<void> {
  const read = await inFirm(firmId, async (trx) => {
    const pond = await findPond(trx, id)
    const { timeZone } = await findFirm(trx)
    const task = pond && (await forecastTask(trx, pond, { firmId, timeZone, stations, today: todayIn(timeZone) }))
    return pond && task ? { pond, ...task } : null
  })
  if (!read) return
  try {
    const { filter, scores, outlook } = await pool.run(read.task)
    const worries = worriesOf(outlook, read.pond)
    await inFirm(firmId, (trx) =>
      storeForecast(trx, firmId, {
        pondId: id,
        pondHash: read.pondHash,
        filter: keptFilter(filter),
        scores,
        outlook,
        worries,
        worry: worryOf(worries),
      }),
    )
  } catch (error) {
    // one pond that cannot be worked out does not keep the others from it
    logger.warn({ reason: (error as Error).message, pondId: id }, 'a pond could not be forecast')
  }
}

const backToQueue = (firmId: FirmId, runId: ForecastRunId): Promise<void> =>
  inFirm(firmId, async (trx) => {
    if (await requeueForecastRun(trx, runId)) await sendJobIn(trx, (await wasAsked(trx, runId)) ? 'forecast-asked' : 'forecast-ponds', { firmId, runId })
  })

/** Puts runs whose worker died, or whose job was lost, back into the queue. */
export async function reviveStaleForecasts(olderThanS = STALE_S): Promise<number> {
  const lost = await lostRows<ForecastRunId>('forecast_runs', olderThanS)
  for (const { id, firmId } of lost) await backToQueue(firmId, id)
  return lost.length
}

/** Hands everything under way back to the queue, for another worker. */
export async function handBackForecasts(): Promise<void> {
  for (const [runId, { firmId, stop }] of [...running]) {
    stop()
    await backToQueue(firmId, runId)
  }
}
