import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { TASK_KEY } from '@/core/dispatch/needs/pond-work'
import { composeJob } from '@/core/jobs/compose-job'
import { jobType } from '@/core/jobs/job-types'
import { addDays } from '@/core/numeric/calendar'
import type { PlanRunId, VisitId } from '@/domain/ids'
import { SECOND_DAY_SUFFIX, SECOND_DAY_TASK, withOtherDay, type PlanChange, type PlanWish } from '@/domain/plan-run'
import { badField, notFound, refused } from '@/domain/problems'
import { assertMay, type Actor } from '@/server/auth/actor'
import { inFirm } from '@/server/db/firm-transaction'
import { listCrews } from '@/server/db/people-repository'
import { cancelPlanRun, findPlanRun, insertPlanRun, latestPlanRun, listPlanSummaries } from '@/server/db/plan-run-repository'
import { listPlanningVisits, type PlanningVisit } from '@/server/db/planning-repository'
import { findPond, listPonds } from '@/server/db/pond-repository'
import { changeVisit, findVisit, insertVisit } from '@/server/db/visit-repository'
import { sendJob } from '@/server/jobs/queue'
import { todayIn } from '@/server/today'
import { estimateCleanout } from '../visit-planning'
import { assertNoOverlap, lockCrews } from './no-overlap'

/** Plans that can be laid side by side. */
const MOST_RUNS = 8

/** A plan that speaks of customers who are not there. */
const isWhatIf = ({ newCustomers }: PlanWish): boolean => newCustomers > 0

/** The planning page: the last run with what it found, and the crews it speaks of. */
export async function planningBoard(actor: Actor) {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => ({
    today: todayIn(actor.timeZone),
    crews: await listCrews(trx),
    run: (await latestPlanRun(trx)) ?? null,
    runs: await listPlanSummaries(trx, MOST_RUNS),
    ponds: (await listPonds(trx)).map((p) => ({ id: p.id as string, name: `${p.siteName}: ${p.name}` })),
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
    const strangers = [...wish.crewsAway, ...wish.withoutKit, ...wish.absent.map((a) => a.crewId)].filter((id) => !crews.some((c) => c.id === id))
    if (strangers.length > 0) throw notFound('That crew')
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
    if (isWhatIf(run.wish)) throw refused('This was a what-if with customers that are not there. Work out a plan without them to take it over.')
    const wanted = new Set(keys.flatMap((key) => [key, withOtherDay(key)]))
    const chosen = run.result.changes.filter((change) => wanted.has(change.key))
    if (chosen.length === 0) throw refused('None of these visits is in this plan any more.')
    const crews = new Map((await listCrews(trx)).map((crew) => [crew.id, crew]))
    await lockCrews(trx, [...crews.keys()])
    // before anything is written: visits of one and the same plan may lie close
    const fresh = chosen.filter((change) => change.kind === 'new')
    if (fresh.length > 0) {
      const first = fresh.map((c) => (c.window.earliest < c.day ? c.window.earliest : c.day)).sort()[0]
      const standing = await listPlanningVisits(trx, addDays(first, -1))
      for (const change of fresh) assertNotPlanned(standing, change)
    }
    for (const change of chosen) {
      if (change.kind !== 'new') await changePlanned(trx, change)
      else await plan(trx, actor, change, crews.get(change.crewId)?.size ?? 1)
    }
    await assertNoOverlap(trx, chosen, 'Take the changes of that day over together, or leave both.')
    return { taken: chosen.length }
  })
}

/** Moves a visit that stands, and gives it what it takes along. */
async function changePlanned(trx: Knex.Transaction, change: PlanChange): Promise<void> {
  const to = { day: change.day, startTime: change.startTime, crewId: change.crewId }
  if (change.tasks.length === 0) return changeVisit(trx, change.visitId!, change.visitVersion!, to)
  const visit = await findVisit(trx, change.visitId!)
  if (visit?.state !== 'planned') throw refused(`${change.siteName}: this visit is not to come any more. Work out a new plan.`)
  await changeVisit(trx, visit.id, change.visitVersion!, {
    ...to,
    plannedMinutes: change.minutes,
    tasks: [...visit.tasks, ...change.tasks],
    job: composeJob(visit.job, [], change.tasks),
  })
}

/** @throws {ProblemError} the job has been planned by someone else since the plan was made */
function assertNotPlanned(standing: readonly PlanningVisit[], change: PlanChange): void {
  // an agreed job once in its window; a visit made only for a task, not again on the same days
  const agreed = !change.key.includes(TASK_KEY) && !change.key.endsWith(SECOND_DAY_SUFFIX)
  const [from, to] = agreed ? [change.window.earliest, change.window.latest] : [addDays(change.day, -1), addDays(change.day, 1)]
  const jobs = [change.job, ...change.also]
  const twice = standing.some(
    (v) =>
      v.pondId === change.pondId &&
      ((v.day >= from && v.day <= to && [v.job, ...v.also].some((job) => jobs.includes(job))) ||
        (v.state !== 'done' && change.tasks.some((task) => task.id !== SECOND_DAY_TASK && v.taskIds.includes(task.id)))),
  )
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
    learntFactor: change.learntFactor ?? 1,
    job: composeJob(
      job,
      change.also.flatMap((key) => jobType(key) ?? []),
      change.tasks,
    ),
    quantities,
    duration: change.job === 'spring-cleanout' ? duration : { parts: [], totalMinutes: change.minutes },
    note: '',
    also: change.also,
    tasks: change.tasks,
  })
}
