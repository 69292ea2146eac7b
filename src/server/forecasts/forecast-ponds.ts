import { risksOf, riskOf } from '@/domain/forecasts/forecast'
import type { FirmId, ForecastRunId, PondId } from '@/domain/shared/ids'
import { database } from '@/server/platform/db/connection'
import { findFirm } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { storeForecast, wasAsked } from '@/server/forecasts/forecast-repository'
import { findPond, listPonds } from '@/server/ponds/pond-repository'
import { listStations } from '@/server/season/weather-repository'
import { logger } from '@/server/platform/logger'
import { todayIn } from '@/server/platform/today'
import { forecastTask, keptFilter } from '@/server/forecasts/forecast-task'
import { weather } from '@/server/season/weather'
import { holdToAccount } from './hold-to-account'
import { forecastPool, type ForecastPool } from './forecast-pool'
import { runMachine, type RunEnd, type RunUnderWay } from '@/server/platform/queue/run-machine'
import { sendJobIn } from '@/server/platform/queue/queue'
import { firmTexts } from '@/messages/texts'

const THREADS = 2

export const forecastRuns = runMachine<ForecastRunId>({
  table: 'forecast_runs',
  send: async (trx, firmId, runId) =>
    sendJobIn(trx, (await wasAsked(trx, runId)) ? 'forecast-asked' : 'forecast-ponds', { firmId, runId }),
  brokeOff: firmTexts()('forecasts.runs.brokeOff'),
})

/**
 * Forecasts every pond of a firm: pond by pond reads, works out in a thread, and keeps.
 * What is kept stays kept: a run whose worker died is taken up again, and ponds that were worked out before it died
 * are only brought forward from what was kept.
 */
export const forecastPonds = (firmId: FirmId, runId: ForecastRunId): Promise<void> =>
  forecastRuns.perform(firmId, runId, (run) => everyPond(firmId, run))

async function everyPond(firmId: FirmId, run: RunUnderWay): Promise<RunEnd> {
  const left = (await inFirm(firmId, listPonds)).map((p) => p.id)
  const ponds = left.length
  let done = 0
  run.reports(() => ({ ponds, done }))
  const pool = forecastPool(THREADS)
  run.handBack.addEventListener('abort', () => void pool.end())
  try {
    await weather()
    const stations = await listStations(database())
    // as many hands as threads: each reads its next pond while the other computes
    await Promise.all(
      Array.from({ length: THREADS }, async () => {
        for (let id = left.shift(); id && !run.stop.aborted && !run.handBack.aborted; id = left.shift()) {
          await onePond(firmId, id, stations, pool)
          done++
        }
      }),
    )
    return { state: run.stop.aborted ? 'stopped' : 'done', columns: { ponds, done } }
  } finally {
    await pool.end()
  }
}

async function onePond(
  firmId: FirmId,
  id: PondId,
  stations: Awaited<ReturnType<typeof listStations>>,
  pool: ForecastPool,
): Promise<void> {
  const read = await inFirm(firmId, async (trx) => {
    const pond = await findPond(trx, id)
    const { timeZone } = await findFirm(trx)
    const today = todayIn(timeZone)
    const task = pond && (await forecastTask(trx, pond, { firmId, timeZone, stations, today }))
    return pond && task ? { pond, timeZone, today, ...task } : null
  })
  if (!read) return
  try {
    const { filter, outlook, ...made } = await pool.run(read.task)
    const risks = risksOf(outlook, read.pond)
    await inFirm(firmId, async (trx) => {
      await storeForecast(trx, firmId, {
        pondId: id,
        pondHash: read.pondHash,
        filter: keptFilter(filter),
        outlook,
        risks,
        risk: riskOf(risks),
      })
      const { timeZone, today, pondHash: epoch } = read
      await holdToAccount(trx, { firmId, pondId: id, epoch, today, timeZone, deepestM: read.task.deepestM }, made)
    })
  } catch (error) {
    // one pond that cannot be worked out does not keep the others from it
    logger.warn({ reason: (error as Error).message, pondId: id }, 'a pond could not be forecast')
  }
}
