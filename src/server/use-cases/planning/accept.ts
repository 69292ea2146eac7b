import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { composeJob } from '@/core/jobs/compose-job'
import type { JobType } from '@/core/jobs/step'
import { addDays } from '@/core/numeric/calendar'
import type { PlanRunId, VisitId } from '@/domain/ids'
import { withOtherDay, type AcceptOutcome, type PlanChange, type PlanWish } from '@/domain/plan-run'
import { notFound, refused } from '@/domain/problems'
import { assertMay, type Actor } from '@/server/auth/actor'
import { inFirm } from '@/server/db/firm-transaction'
import { listCrews } from '@/server/db/people-repository'
import { findPlanRun } from '@/server/db/plan-run-repository'
import { listPlanningVisits } from '@/server/db/planning-repository'
import { findJobAt } from '@/server/db/own-job-repository'
import { findPond } from '@/server/db/pond-repository'
import { changeVisit, findVisit, insertVisit } from '@/server/db/visit-repository'
import { estimateCleanout } from '../visit-planning'
import { sift } from './accept-sift'
import { lockCrews } from './no-overlap'

/** A plan that speaks of customers who are not there. */
const isWhatIf = ({ newCustomers }: PlanWish): boolean => newCustomers > 0

/**
 * Takes chosen changes of a plan over. What the day does not hold any more is left as it is and named: a visit changed meanwhile,
 * a job planned by someone else, or an hour that is not free because another change was not chosen.
 * @throws {ProblemError} none of the chosen ones can be taken over
 */
export async function acceptPlan(actor: Actor, id: PlanRunId, keys: readonly string[]): Promise<AcceptOutcome> {
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
    const { good, left } = sift(await listPlanningVisits(trx, firstDay(chosen)), chosen)
    if (good.length === 0) throw refused(`Nothing was taken over. ${left[0].siteName}: ${left[0].why}.`)
    for (const change of good) {
      if (change.kind !== 'new') await changePlanned(trx, change)
      else await plan(trx, actor, change, crews.get(change.crewId)?.size ?? 1)
    }
    return { taken: good.length, left }
  })
}

/** The earliest day that any of the changes has to do with. */
const firstDay = (changes: readonly PlanChange[]): string =>
  changes.flatMap((c) => [addDays(c.day, -1), c.window.earliest, ...(c.was ? [c.was.day] : [])]).reduce((a, b) => (b < a ? b : a))

/** Moves a visit that stands, and gives it what it takes along. */
async function changePlanned(trx: Knex.Transaction, change: PlanChange): Promise<void> {
  const to = { day: change.day, startTime: change.startTime, crewId: change.crewId }
  if (change.tasks.length === 0) return changeVisit(trx, change.visitId!, change.visitVersion!, to)
  const visit = (await findVisit(trx, change.visitId!))!
  await changeVisit(trx, visit.id, change.visitVersion!, {
    ...to,
    plannedMinutes: change.minutes,
    tasks: [...visit.tasks, ...change.tasks],
    job: composeJob(visit.job, [], change.tasks),
  })
}

async function plan(trx: Knex.Transaction, actor: Actor, change: PlanChange, crewSize: number): Promise<void> {
  const pond = await findPond(trx, change.pondId)
  const job = pond && (await findJobAt(trx, change.job, pond.ownPractice))
  if (!pond || !job) throw refused(`${change.siteName}: this pond or job is not here any more. Work out a new plan.`)
  const also: JobType[] = []
  for (const key of change.also) {
    const other = await findJobAt(trx, key, pond.ownPractice)
    if (other) also.push(other)
  }
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
    job: composeJob(job, also, change.tasks),
    quantities,
    duration: change.job === 'spring-cleanout' ? duration : { parts: [], totalMinutes: change.minutes },
    note: '',
    also: change.also,
    tasks: change.tasks,
  })
}
