import type { FirmId, PlanRunId } from '@/domain/ids'
import { inFirm } from '@/server/db/firm-transaction'
import { findFirm } from '@/server/db/firm-repository'
import { beatPlanRun, claimPlanRun, findPlanRun, finishPlanRun, requeuePlanRun, stalePlanRuns } from '@/server/db/plan-run-repository'
import { logger } from '@/server/logger'
import { todayIn } from '@/server/today'
import { gatherPlan } from '@/server/use-cases/planning/gather'
import { proposalOf } from '@/server/use-cases/planning/propose'
import { sendJob } from './queue'
import { searchPlan, type RunningSearch } from './search-plan'

const BEAT_MS = 1000
/** A run not heard of for so long has lost its worker. */
const STALE_S = 12
const SEED = 20270301

/** Searches under way in this process, to be put back when it is told to end. */
const running = new Map<PlanRunId, { firmId: FirmId; search: RunningSearch }>()

/** Works one plan out: claims it, reads everything, searches in a thread while beating, writes what it found. Safe to be called twice. */
export async function planSeason(firmId: FirmId, runId: PlanRunId): Promise<void> {
  const context = await inFirm(firmId, async (trx) => {
    if (!(await claimPlanRun(trx, runId))) return null
    const { timeZone } = await findFirm(trx)
    const run = (await findPlanRun(trx, runId))!
    return gatherPlan(trx, run.wish, todayIn(timeZone), process.env.ROADS_URL)
  })
  if (!context) return
  const search = searchPlan(context.input, SEED)
  running.set(runId, { firmId, search })
  let asked = false
  const beat = setInterval(() => {
    inFirm(firmId, (trx) => beatPlanRun(trx, runId, search.share())).then(
      (stop) => {
        if (stop && !asked) {
          asked = true
          search.stop()
        }
      },
      (error: unknown) => logger.warn({ reason: (error as Error).message }, 'a plan could not beat'),
    )
  }, BEAT_MS)
  try {
    const outcome = await search.outcome
    if (!outcome.feasible) throw new Error(`The checker refused the plan: ${outcome.violations.map((v) => v.code).join(', ')}`)
    await inFirm(firmId, (trx) => finishPlanRun(trx, runId, outcome.status === 'stopped' ? 'stopped' : 'done', proposalOf(context, outcome)))
  } catch (error) {
    if (!running.has(runId)) return
    logger.error({ reason: (error as Error).message, runId }, 'a plan failed')
    await inFirm(firmId, (trx) => finishPlanRun(trx, runId, 'failed', null, 'The plan could not be worked out. Nothing was changed; try again.'))
  } finally {
    clearInterval(beat)
    running.delete(runId)
  }
}

/** Puts runs whose worker died back into the queue. */
export async function reviveStalePlans(olderThanS = STALE_S): Promise<number> {
  const stale = await stalePlanRuns(olderThanS)
  for (const { id, firmId } of stale) if (await inFirm(firmId, (trx) => requeuePlanRun(trx, id))) await sendJob('plan-season', { firmId, runId: id })
  return stale.length
}

/** Hands everything under way back to the queue, for another worker. */
export async function handBackPlans(): Promise<void> {
  for (const [runId, { firmId, search }] of [...running]) {
    running.delete(runId)
    search.abandon()
    if (await inFirm(firmId, (trx) => requeuePlanRun(trx, runId))) await sendJob('plan-season', { firmId, runId })
  }
}
