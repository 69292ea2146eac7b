import { figuresOf } from '@/domain/schedule/plan-summary'
import type { FirmId, PlanRunId } from '@/domain/shared/ids'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findFirm } from '@/server/firm/firm-repository'
import { bestSoFar, findPlanRun } from '@/server/schedule/plan-run-repository'
import { todayIn } from '@/server/platform/today'
import { travelTable } from '@/server/platform/gateways/roads'
import { gatherPlan, planPoints } from '@/server/schedule/gather'
import { proposalOf } from '@/server/schedule/propose'
import { runMachine, type RunEnd, type RunUnderWay } from '@/server/platform/queue/run-machine'
import { sendJobIn } from '@/server/platform/queue/queue'
import { searchPlan } from './search-plan'
import { firmTexts } from '@/messages/texts'

const SEED = 20270301

export const planRuns = runMachine<PlanRunId>({
  table: 'plan_runs',
  send: (trx, firmId, runId) => sendJobIn(trx, 'plan-season', { firmId, runId }),
  brokeOff: firmTexts()('schedule.runs.brokeOff'),
})

/** Works one plan out: reads everything, searches in a thread, writes what it found. Safe to be called twice. */
export const planSeason = (firmId: FirmId, runId: PlanRunId): Promise<void> =>
  planRuns.perform(firmId, runId, (run) => searchFor(firmId, runId, run))

async function searchFor(firmId: FirmId, runId: PlanRunId, run: RunUnderWay): Promise<RunEnd> {
  const points = await inFirm(firmId, async (trx) => planPoints(trx, (await findPlanRun(trx, runId))!.wish))
  const travel = await travelTable(points, process.env.ROADS_URL)
  const { context, best, wish } = await inFirm(firmId, async (trx) => {
    const { timeZone } = await findFirm(trx)
    const { wish } = (await findPlanRun(trx, runId))!
    const context = await gatherPlan(trx, wish, todayIn(timeZone), travel, new Date())
    return { context, wish, best: await bestSoFar(trx, runId) }
  })
  const search = searchPlan(context.input, SEED, best)
  run.reports(() => {
    const found = search.takeBest()
    return { share: search.share(), ...(found ? { best: JSON.stringify(found) } : {}) }
  })
  // asked to stop while everything was still being read: what is known so far counts
  if (run.stop.aborted) search.stop()
  run.stop.addEventListener('abort', search.stop)
  run.handBack.addEventListener('abort', search.abandon)
  if (run.handBack.aborted) search.abandon()
  const outcome = await search.outcome
  if (!outcome.feasible)
    throw new Error(`The checker refused the plan: ${outcome.violations.map((v) => v.code).join(', ')}`)
  const result = proposalOf(context, outcome, wish.to)
  return {
    state: outcome.status === 'stopped' ? 'stopped' : 'done',
    columns: { share: 1, best: null, result: JSON.stringify(result), summary: JSON.stringify(figuresOf(result)) },
  }
}
