import type { FirmId, PlanRunId } from '@/domain/shared/ids'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findFirm } from '@/server/firm/firm-repository'
import { beatPlanRun, bestSoFar, claimPlanRun, findPlanRun, finishPlanRun, requeuePlanRun } from '@/server/schedule/plan-run-repository'
import { logger } from '@/server/platform/logger'
import { todayIn } from '@/server/platform/today'
import { travelTable } from '@/server/platform/gateways/roads'
import { gatherPlan, planPoints } from '@/server/schedule/gather'
import { proposalOf } from '@/server/schedule/propose'
import { lostRows } from '@/server/platform/queue/lost'
import { sendJobIn } from '@/server/platform/queue/queue'
import { searchPlan, type RunningSearch } from './search-plan'

const BEAT_MS = 1000
/** A run not heard of for so long has lost its worker. */
const STALE_S = 12
const SEED = 20270301

/** Searches under way in this process, to be put back when it is told to end. */
const running = new Map<PlanRunId, { firmId: FirmId; search: RunningSearch }>()

/** Works one plan out: claims it, reads everything, searches in a thread while beating, writes what it found. Safe to be called twice. */
export async function planSeason(firmId: FirmId, runId: PlanRunId): Promise<void> {
  // claimed in a transaction of its own, so that beats are seen while a large firm is still being read
  if (!(await inFirm(firmId, (trx) => claimPlanRun(trx, runId)))) return
  let search: RunningSearch | null = null
  let asked = false
  const beat = setInterval(() => {
    inFirm(firmId, (trx) => beatPlanRun(trx, runId, search?.share() ?? 0, search?.takeBest() ?? null)).then(
      (stop) => {
        asked ||= stop
        if (asked) search?.stop()
      },
      (error: unknown) => logger.warn({ reason: (error as Error).message }, 'a plan could not beat'),
    )
  }, BEAT_MS)
  try {
    const points = await inFirm(firmId, async (trx) => planPoints(trx, (await findPlanRun(trx, runId))!.wish))
    const travel = await travelTable(points, process.env.ROADS_URL)
    const { context, best, wish } = await inFirm(firmId, async (trx) => {
      const { timeZone } = await findFirm(trx)
      const { wish } = (await findPlanRun(trx, runId))!
      const context = await gatherPlan(trx, wish, todayIn(timeZone), travel, new Date())
      return { context, wish, best: await bestSoFar(trx, runId) }
    })
    search = searchPlan(context.input, SEED, best)
    running.set(runId, { firmId, search })
    // asked to stop while everything was still being read: what is known so far counts
    if (asked) search.stop()
    const outcome = await search.outcome
    if (!outcome.feasible) throw new Error(`The checker refused the plan: ${outcome.violations.map((v) => v.code).join(', ')}`)
    await inFirm(firmId, (trx) => finishPlanRun(trx, runId, outcome.status === 'stopped' ? 'stopped' : 'done', proposalOf(context, outcome, wish.to)))
  } catch (error) {
    // handed back to the queue: the next worker answers for it
    if (search && !running.has(runId)) return
    logger.error({ reason: (error as Error).message, runId }, 'a plan failed')
    await inFirm(firmId, (trx) => finishPlanRun(trx, runId, 'failed', null, 'The plan could not be worked out. Nothing was changed; try again.'))
  } finally {
    clearInterval(beat)
    running.delete(runId)
  }
}

const backToQueue = (firmId: FirmId, runId: PlanRunId): Promise<void> =>
  inFirm(firmId, async (trx) => {
    if (await requeuePlanRun(trx, runId)) await sendJobIn(trx, 'plan-season', { firmId, runId })
  })

/** Puts runs whose worker died, or whose job was lost, back into the queue. */
export async function reviveStalePlans(olderThanS = STALE_S): Promise<number> {
  const lost = await lostRows<PlanRunId>('plan_runs', olderThanS)
  for (const { id, firmId } of lost) await backToQueue(firmId, id)
  return lost.length
}

/** Hands everything under way back to the queue, for another worker. */
export async function handBackPlans(): Promise<void> {
  for (const [runId, { firmId, search }] of [...running]) {
    running.delete(runId)
    search.abandon()
    await backToQueue(firmId, runId)
  }
}
