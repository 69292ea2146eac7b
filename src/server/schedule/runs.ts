import { randomUUID } from 'node:crypto'
import type { PlanRunId } from '@/domain/shared/ids'
import type { PlanWish } from '@/domain/schedule/plan-run'
import { badField, notFound } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listFirmPeriods } from '@/server/firm/firm-period-repository'
import { listCrews } from '@/server/people/people-repository'
import { findPlanRun, insertPlanRun, latestPlanRun, listPlanSummaries } from '@/server/schedule/plan-run-repository'
import { listPonds } from '@/server/ponds/pond-repository'
import { sendJobIn } from '@/server/platform/queue/queue'
import { cancelRun } from '@/server/platform/queue/run-rows'
import { todayIn } from '@/server/platform/today'
import { lastTakeover } from './undo'
import { said } from '@/domain/shared/said'

/** Plans that can be laid side by side. */
const MAX_RUNS = 8

/** The planning page: the last run with what it found, and the crews it speaks of. */
export async function planningBoard(actor: Actor) {
  assertMay(actor, 'visits.plan')
  const takeover = await lastTakeover(actor)
  return inFirm(actor.firmId, async (trx) => ({
    takeover,
    today: todayIn(actor.timeZone),
    crews: await listCrews(trx),
    run: (await latestPlanRun(trx)) ?? null,
    runs: await listPlanSummaries(trx, MAX_RUNS),
    periods: await listFirmPeriods(trx, todayIn(actor.timeZone)),
    ponds: (await listPonds(trx)).map((p) => ({ id: p.id as string, name: `${p.siteName}: ${p.name}` })),
  }))
}
export type PlanningBoardData = Awaited<ReturnType<typeof planningBoard>>

export async function planRun(actor: Actor, id: PlanRunId) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const run = await findPlanRun(trx, id)
    if (!run) throw notFound('plan')
    return run
  })
}

/** Puts a plan into the queue; a worker takes it from there. */
export async function askPlan(actor: Actor, wish: PlanWish): Promise<{ id: PlanRunId }> {
  assertMay(actor, 'visits.plan')
  if (wish.to < todayIn(actor.timeZone)) throw badField('to', said('schedule.problems.daysPastChooseDaysCome'))
  const id = randomUUID() as PlanRunId
  await inFirm(actor.firmId, async (trx) => {
    const crews = await listCrews(trx)
    const strangers = [...wish.crewsAway, ...wish.withoutKit, ...wish.absent.map((a) => a.crewId)].filter(
      (id) => !crews.some((c) => c.id === id),
    )
    if (strangers.length > 0) throw notFound('crew')
    if (crews.every((crew) => wish.crewsAway.includes(crew.id)))
      throw badField('crewsAway', said('schedule.problems.crewLeftPlan'))
    await insertPlanRun(trx, actor.firmId, id, actor.userId, wish)
    await sendJobIn(trx, 'plan-season', { firmId: actor.firmId, runId: id })
  })
  return { id }
}

export async function stopPlan(actor: Actor, id: PlanRunId): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPlanRun(trx, id))) throw notFound('plan')
    await cancelRun(trx, 'plan_runs', id)
  })
}
