import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { composeJob } from '@/core/visits/compose-job'
import type { VisitType } from '@/core/visits/step'
import { firstDayOf, SECOND_DAY_KEY, secondDayOf } from '@/core/visits/types/cleanout-legs'
import { addDays } from '@/core/numeric/calendar'
import type { PlanRunId, TakeoverId, VisitId } from '@/domain/shared/ids'
import type { OwnRules } from '@/domain/house-rules/house-rules'
import type { TakenVisit } from '@/domain/schedule/takeover'
import type { AcceptOutcome, PlanChange, PlanWish } from '@/domain/schedule/plan-run'
import { notFound, refused } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listCrews } from '@/server/people/people-repository'
import { findPlanRun } from '@/server/schedule/plan-run-repository'
import { listPlanningVisits } from '@/server/schedule/planning-repository'
import { findJobAt } from '@/server/visits/own-visit-type-repository'
import { findPond } from '@/server/ponds/pond-repository'
import { insertTakeover } from '@/server/schedule/takeover-repository'
import { changeVisit, findVisit, insertVisit } from '@/server/visits/visit-repository'
import { estimateCleanout } from '@/server/visits/visit-estimates'
import { sift } from './accept-sift'
import { assertLegs } from './legs-hold'
import { lockCrews } from './no-overlap'
import { said } from '@/domain/shared/said'
import { firmVisitWords } from '@/server/visits/usual-in-words'

/** A plan that speaks of customers who are not there. */
const isWhatIf = ({ newCustomers }: PlanWish): boolean => newCustomers > 0

/**
 * Takes chosen changes of a plan over. What the day does not hold any more is left as it is and named: a visit
 * changed meanwhile,
 * a job planned by someone else, or an hour that is not free because another change was not chosen.
 * @throws {ProblemError} none of the chosen ones can be taken over
 */
export async function acceptPlan(actor: Actor, id: PlanRunId, keys: readonly string[]): Promise<AcceptOutcome> {
  assertMay(actor, 'visits.plan')
  return inFirm(actor.firmId, async (trx) => {
    const run = await findPlanRun(trx, id)
    if (!run?.result) throw notFound('plan')
    if (isWhatIf(run.wish)) throw refused(said('schedule.problems.planBuiltExtraCustomersWho'))
    const chosen = withWhatGoesAlong(run.result.changes, new Set(keys))
    if (chosen.length === 0) throw refused(said('schedule.problems.noneVisitsPlanMore'))
    const crews = new Map((await listCrews(trx)).map((crew) => [crew.id, crew]))
    await lockCrews(trx, [...crews.keys()])
    const { good, left } = sift(await listPlanningVisits(trx, firstDay(chosen)), chosen)
    if (good.length === 0)
      throw refused(
        said('schedule.problems.nothingAccepted', { siteName: left[0]!.siteName, why: { said: left[0]!.why } }),
      )
    const taken: TakenVisit[] = []
    const made = new Map<string, VisitId>()
    // the first day of a piece of work before its second
    for (const change of [...good].sort((a, b) => a.day.localeCompare(b.day))) {
      if (change.kind !== 'new') taken.push(await changePlanned(trx, change))
      else {
        const id = await plan(trx, actor, change, crews.get(change.crewId)?.size ?? 1, made)
        made.set(change.key, id)
        taken.push({ visitId: id, before: null })
      }
    }
    await assertLegs(
      trx,
      taken.map((t) => t.visitId),
    )
    await insertTakeover(trx, actor.firmId, {
      id: randomUUID() as TakeoverId,
      runId: id,
      by: actor.userId,
      visits: taken,
    })
    return { taken: good.filter((c) => c.kind !== 'shifted').length, left }
  })
}

/**
 * Chosen changes with the other day of each cleanout, and with small shifts of the same crew's days, which make room
 * for them.
 */
function withWhatGoesAlong(changes: readonly PlanChange[], keys: ReadonlySet<string>): PlanChange[] {
  const wanted = new Set(changes.flatMap((c) => (keys.has(c.key) ? [c.key, ...(c.pair ? [c.pair] : [])] : [])))
  const days = new Set(changes.filter((c) => wanted.has(c.key)).map((c) => `${c.crewId} ${c.day}`))
  return changes.filter((c) => wanted.has(c.key) || (c.kind === 'shifted' && days.has(`${c.crewId} ${c.day}`)))
}

/** The earliest day that any of the changes has to do with. */
const firstDay = (changes: readonly PlanChange[]): string =>
  changes
    .flatMap((c) => [addDays(c.day, -1), c.window.earliest, ...(c.was ? [c.was.day] : [])])
    .reduce((a, b) => (b < a ? b : a))

/** Moves a visit that stands, and gives it what it takes along. */
async function changePlanned(trx: Knex.Transaction, change: PlanChange): Promise<TakenVisit> {
  const to = { day: change.day, startTime: change.startTime, crewId: change.crewId }
  const visit = (await findVisit(trx, change.visitId!))!
  const { day, startTime, crewId, plannedMinutes, estimate, tasks, job } = visit
  const before = {
    visitId: visit.id,
    ...(change.kind === 'shifted' ? { shifted: true } : {}),
    before: { day, startTime, crewId, ...(change.tasks.length > 0 ? { plannedMinutes, estimate, tasks, job } : {}) },
  }
  if (change.tasks.length === 0) {
    await changeVisit(trx, visit.id, change.visitVersion!, to)
    return before
  }
  await changeVisit(trx, visit.id, change.visitVersion!, {
    ...to,
    plannedMinutes: change.minutes,
    // what it takes along is estimated with it
    estimate: { ...estimate, handsMin: estimate.handsMin + Math.max(0, change.minutes - plannedMinutes) },
    tasks: [...visit.tasks, ...change.tasks],
    job: composeJob(visit.job, [], change.tasks, firmVisitWords()),
  })
  return before
}

/** @param made visits made just before, by the keys of their changes */
async function plan(
  trx: Knex.Transaction,
  actor: Actor,
  change: PlanChange,
  crewSize: number,
  made: ReadonlyMap<string, VisitId>,
): Promise<VisitId> {
  const pond = await findPond(trx, change.pondId)
  const job = pond && (await jobOfDay(trx, change, pond.ownRules))
  if (!pond || !job) throw refused(said('schedule.problems.pondJobLongerExistsBuild', { siteName: change.siteName }))
  const also: VisitType[] = []
  for (const key of change.also) {
    const other = await findJobAt(trx, key, pond.ownRules)
    if (other) also.push(other)
  }
  const { quantities, duration } = estimateCleanout(pond, crewSize)
  const id = randomUUID() as VisitId
  await insertVisit(trx, actor.firmId, {
    id,
    legOf: change.job === SECOND_DAY_KEY && change.pair ? (made.get(change.pair) ?? null) : null,
    pondId: change.pondId,
    crewId: change.crewId,
    state: 'planned',
    day: change.day,
    startTime: change.startTime,
    plannedMinutes: change.minutes,
    learntFactor: change.learntFactor ?? 1,
    // a change that was kept from before estimates were is nothing to learn from
    estimate: change.estimate ?? { handsMin: 0, machineMin: 0, spareMin: 0, rangeMin: null },
    job: composeJob(job, also, change.tasks, firmVisitWords()),
    quantities,
    duration: change.job === 'spring-cleanout' && !change.pair ? duration : { parts: [], totalMinutes: change.minutes },
    note: '',
    also: change.also,
    tasks: change.tasks,
  })
  return id
}

/** Steps of a visit: a cleanout of two days does on each what belongs there. */
async function jobOfDay(
  trx: Knex.Transaction,
  { job, pair }: PlanChange,
  own: OwnRules,
): Promise<VisitType | undefined> {
  if (job !== SECOND_DAY_KEY) {
    const whole = await findJobAt(trx, job, own)
    return whole && pair ? firstDayOf(whole, firmVisitWords()) : whole
  }
  const whole = await findJobAt(trx, 'spring-cleanout', own)
  return whole && secondDayOf(whole, firmVisitWords())
}
