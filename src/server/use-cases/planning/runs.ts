import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { JOB_PLANNING } from '@/core/jobs/planning-facts'
import { jobType } from '@/core/jobs/job-types'
import { addDays } from '@/core/numeric/calendar'
import type { PlanRunId, VisitId } from '@/domain/ids'
import { withOtherDay, type PlanChange, type PlanWish } from '@/domain/plan-run'
import { badField, notFound, refused } from '@/domain/problems'
import { assertMay, type Actor } from '@/server/auth/actor'
import { inFirm } from '@/server/db/firm-transaction'
import { listCrews } from '@/server/db/people-repository'
import { cancelPlanRun, findPlanRun, insertPlanRun, latestPlanRun } from '@/server/db/plan-run-repository'
import { findPond } from '@/server/db/pond-repository'
import { changeVisit, insertVisit, listVisits } from '@/server/db/visit-repository'
import { sendJob } from '@/server/jobs/queue'
import { todayIn } from '@/server/today'
import { estimateCleanout } from '../visit-planning'
import { assertNoOverlap, lockCrews } from './no-overlap'

/** The planning page: the last run with what it found, and the crews it speaks of. */
export async function planningBoard(actor: Actor) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => ({
    today: todayIn(actor.timeZone),
    crews: await listCrews(trx),
    run: (await latestPlanRun(trx)) ?? null,
  }))
}

export async function planRun(actor: Actor, id: PlanRunId) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const run = await findPlanRun(trx, id)
    if (!run) throw notFound('That plan')
    return run
  })
}

/** Puts a plan into the queue; a worker takes it from there. */
export async function askPlan(actor: Actor, wish: PlanWish): Promise<{ id: PlanRunId }> {
  assertMay(actor, 'visits.plan')
  if (wish.to < todayIn(actor.timeZone)) throw badField('to', 'These days are past. Choose days to come.')
  const id = randomUUID() as PlanRunId
  await inFirm(actor.firmId, async (trx) => {
    const crews = await listCrews(trx)
    if (crews.every((crew) => wish.crewsAway.includes(crew.id))) throw badField('crewsAway', 'No crew is left to plan for.')
    await insertPlanRun(trx, actor.firmId, id, actor.userId, wish)
  })
  await sendJob('plan-season', { firmId: actor.firmId, runId: id })
  return { id }
}

export async function stopPlan(actor: Actor, id: PlanRunId): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPlanRun(trx, id))) throw notFound('That plan')
    await cancelPlanRun(trx, id)
  })
}

/**
 * Takes chosen changes of a plan over, all or none of the chosen ones.
 * @throws {ProblemError} a visit was changed meanwhile, or two would overlap because others were not chosen
 */
export async function acceptPlan(actor: Actor, id: PlanRunId, keys: readonly string[]): Promise<{ taken: number }> {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const run = await findPlanRun(trx, id)
    if (!run?.result) throw notFound('That plan')
    const wanted = new Set(keys.flatMap((key) => [key, withOtherDay(key)]))
    const chosen = run.result.changes.filter((change) => wanted.has(change.key))
    if (chosen.length === 0) throw refused('None of these visits is in this plan any more.')
    const crews = new Map((await listCrews(trx)).map((crew) => [crew.id, crew]))
    await lockCrews(trx, [...crews.keys()])
    // before anything is written: visits of one and the same plan may lie close
    for (const change of chosen) if (change.kind === 'new') await assertNotPlanned(trx, change)
    for (const change of chosen) {
      if (change.kind === 'moved')
        await changeVisit(trx, change.visitId!, change.visitVersion!, { day: change.day, startTime: change.startTime, crewId: change.crewId })
      else await plan(trx, actor, change, crews.get(change.crewId)?.size ?? 1)
    }
    await assertNoOverlap(trx, chosen, 'Take the changes of that day over together, or leave both.')
    return { taken: chosen.length }
  })
}

/** @throws {ProblemError} the job has been planned by someone else since the plan was made */
async function assertNotPlanned(trx: Knex.Transaction, change: PlanChange): Promise<void> {
  // once a year in its window; what comes round, not again on the same days
  const once = JOB_PLANNING[change.job].timing === 'window'
  const [from, to] = once ? [change.window.earliest, change.window.latest] : [addDays(change.day, -1), addDays(change.day, 1)]
  const twice = (await listVisits(trx, { pondId: change.pondId, from, to })).some((v) => v.job.key === change.job)
  if (twice) throw refused(`${change.siteName}: ${jobType(change.job)!.name.toLowerCase()} has been planned meanwhile. Work out a new plan.`)
}

async function plan(trx: Knex.Transaction, actor: Actor, change: PlanChange, crewSize: number): Promise<void> {
  const pond = await findPond(trx, change.pondId)
  const job = jobType(change.job)
  if (!pond || !job) throw refused(`${change.siteName}: this pond or job is not here any more. Work out a new plan.`)
  const { quantities, duration } = estimateCleanout(pond, crewSize)
  await insertVisit(trx, actor.firmId, {
    id: randomUUID() as VisitId,
    pondId: change.pondId,
    crewId: change.crewId,
    state: 'planned',
    day: change.day,
    startTime: change.startTime,
    plannedMinutes: change.minutes,
    job,
    quantities,
    duration: change.job === 'spring-cleanout' ? duration : { parts: [], totalMinutes: change.minutes },
    note: change.with.join('; '),
  })
}
