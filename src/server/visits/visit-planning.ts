import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { firstDayOf, SECOND_DAY_KEY, secondDayOf } from '@/core/visits/types/cleanout-legs'
import { addDays, daysBetween } from '@/core/numeric/calendar'
import { VISIT_TYPES } from '@/core/visits/visit-types'
import { overlapping } from '@/domain/schedule/clash'
import type { CrewId, PondId, VisitId } from '@/domain/shared/ids'
import type { Crew } from '@/domain/people/people'
import { badField, notFound, refused } from '@/domain/shared/problems'
import { proposedDays } from '@/domain/schedule/proposed-days'
import { nextWindow } from '@/domain/season/season-dates'
import { holdsHours, type PlanVisitInput, type Visit, type VisitInContext, type VisitMove } from '@/domain/visits/visit'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { findFirm } from '@/server/firm/firm-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findCrew, listCrews } from '@/server/people/people-repository'
import { findJobAt } from '@/server/visits/own-visit-type-repository'
import { findPond } from '@/server/ponds/pond-repository'
import { findLiveSeason } from '@/server/season/season-repository'
import { changeVisit, findSecondDay, findVisit, insertVisit, listVisits } from '@/server/visits/visit-repository'
import { todayIn } from '@/server/platform/today'
import { learntDurations } from './durations'
import { estimated, estimateOf, plannedOf, twoDaysOf, type Estimated } from './visit-estimates'
import { assertLegs } from '@/server/schedule/legs-hold'
import { assertNoOverlap, lockCrews } from '@/server/schedule/no-overlap'
import { seasonOf } from '@/server/season/season'
import { weather } from '@/server/season/weather'
import { said } from '@/domain/shared/said'
import { firmVisitWords } from '@/server/visits/usual-in-words'

const PROPOSALS = 8

/**
 * What the planning page offers: the window, days proposed from it, each crew's estimate, and what is already on
 * those days.
 */
export async function planningPage(actor: Actor, pondId: PondId, jobKey: string) {
  assertMay(actor, 'visits.plan')
  const { stations } = await weather()
  const today = todayIn(actor.timeZone)
  return inFirm(actor.firmId, async (trx) => {
    const job = VISIT_TYPES.find(({ key }) => key === jobKey)
    if (!job) throw notFound('kindOfJob')
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    const { rules } = await findFirm(trx)
    const season = await seasonOf(trx, actor.firmId, pond, rules, stations)
    const live = await findLiveSeason(trx, pondId)
    const window =
      season &&
      nextWindow(
        { anyYear: season.windows, live: live && { year: live.year, windows: live.season.windows } },
        job.key,
        today,
      )
    const crews = await listCrews(trx)
    const { factorOf } = await learntDurations(trx)
    return {
      pond,
      job: job.key,
      jobs: VISIT_TYPES.map(({ key }) => key),
      today,
      window,
      proposals: window ? proposedDays(window, today, PROPOSALS) : [],
      crews: crews.map((crew) => {
        const estimate = estimateOf(job.key, pond, crew.size)
        const two = twoDaysOf(job.key, estimate.duration)
        const hands = factorOf(job.key, pond.id, crew.id)
        const planned = plannedOf(estimated(estimate.duration), hands)
        return {
          ...crew,
          ...estimate,
          /** Logged visits have taught to reckon so many times the plain estimate of handwork. */
          learntFactor: hands.factor,
          plannedMinutes: planned.minutes,
          /** It takes between these in four of five cases. */
          rangeMin: [planned.lowMin, planned.highMin] as const,
          /** Minutes of each day where the work can be spread over two; null where one day does. */
          twoDays: two && {
            first: plannedOf(two.first, hands).minutes,
            second: plannedOf(two.second, factorOf(SECOND_DAY_KEY, pond.id, crew.id)).minutes,
          },
        }
      }),
      visits: (await listVisits(trx, { from: today })).filter(({ state }) => holdsHours(state)).map(brief),
    }
  })
}
export type VisitPlanningData = Awaited<ReturnType<typeof planningPage>>

const brief = (v: VisitInContext) => ({
  id: v.id,
  pondId: v.pondId,
  crewId: v.crewId,
  day: v.day,
  startTime: v.startTime,
  plannedMinutes: v.plannedMinutes,
  pondName: v.pondName,
  siteName: v.siteName,
  jobName: v.job.name,
})

export async function planVisit(actor: Actor, input: PlanVisitInput, now: Date = new Date()): Promise<VisitId> {
  assertMay(actor, 'visits.plan')
  if (!VISIT_TYPES.some(({ key }) => key === input.visitType))
    throw badField('jobType', said('visits.problems.kindJobKnown'))
  if (input.day < todayIn(actor.timeZone, now)) throw badField('day', said('visits.problems.dayPastChooseTodayLater'))
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, input.pondId)
    if (!pond) throw notFound('pond')
    const job = (await findJobAt(trx, input.visitType, pond.ownRules))!
    const crew = await crewOr404(trx, input.crewId)
    const { quantities, duration } = estimateOf(job.key, pond, crew.size)
    const { factorOf } = await learntDurations(trx)
    const two = input.days === 2 ? twoDaysOf(job.key, duration) : null
    if (input.days === 2 && !two) throw badField('days', said('visits.problems.visitDoneOneDay'))
    const put = async (
      leg: Pick<Visit, 'job' | 'legOf' | 'duration'>,
      day: string,
      minutes: Estimated,
    ): Promise<VisitId> => {
      const hands = factorOf(leg.job.key, pond.id, crew.id)
      const { minutes: plannedMinutes, spareMin, lowMin, highMin } = plannedOf(minutes, hands)
      await assertFree(trx, { day, startTime: input.startTime, minutes: plannedMinutes, crew })
      const id = randomUUID() as VisitId
      await insertVisit(trx, actor.firmId, {
        id,
        ...leg,
        pondId: pond.id,
        crewId: crew.id,
        state: 'planned',
        day,
        startTime: input.startTime,
        plannedMinutes,
        duration: leg.duration.parts.length > 0 ? leg.duration : { parts: [], totalMinutes: plannedMinutes },
        quantities,
        note: input.note,
        also: [],
        tasks: [],
        learntFactor: hands.factor,
        estimate: { ...minutes, spareMin, rangeMin: [lowMin, highMin] },
      })
      return id
    }
    if (!two) return put({ job, duration }, input.day, estimated(duration))
    const words = firmVisitWords()
    const unparted = { parts: [], totalMinutes: 0 }
    const first = await put({ job: firstDayOf(job, words), duration: unparted }, input.day, two.first)
    await put({ job: secondDayOf(job, words), legOf: first, duration: unparted }, addDays(input.day, 1), two.second)
    await assertLegs(trx, [first])
    return first
  })
}

export async function moveVisit(
  actor: Actor,
  id: VisitId,
  input: { day: string; startTime: string; crewId: CrewId; locked?: boolean; version: number },
): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    const visit = await findVisit(trx, id)
    if (!visit) throw notFound('visit')
    if (visit.state !== 'planned') throw refused(said('visits.problems.onlyPlannedVisitCanMoved'))
    assertNotPast(actor, visit.day, input.day)
    const crew = await crewOr404(trx, input.crewId)
    await assertFree(trx, { day: input.day, startTime: input.startTime, minutes: visit.plannedMinutes, crew }, id)
    await changeVisit(trx, id, input.version, {
      day: input.day,
      startTime: input.startTime,
      crewId: input.crewId,
      locked: input.locked,
    })
    await bringOtherDay(trx, visit, input.day, crew)
    await assertLegs(trx, [id])
  })
}

/** The other day of a cleanout goes along: as far, to the same crew, at its own hour. */
async function bringOtherDay(trx: Knex.Transaction, moved: VisitInContext, day: string, crew: Crew): Promise<void> {
  const other = moved.legOf ? await findVisit(trx, moved.legOf) : await findSecondDay(trx, moved.id)
  if (other?.state !== 'planned') return
  const to = addDays(other.day, daysBetween(moved.day, day))
  if (to === other.day && crew.id === other.crewId) return
  await assertFree(trx, { day: to, startTime: other.startTime, minutes: other.plannedMinutes, crew }, other.id)
  await changeVisit(trx, other.id, other.version, { day: to, crewId: crew.id })
}

/** A visit that was forgotten may keep its day, but none is moved to a day that is over. */
function assertNotPast(actor: Actor, was: string, day: string): void {
  if (day !== was && day < todayIn(actor.timeZone)) throw badField('day', said('visits.problems.dayPastChooseTodayDay'))
}

/**
 * Moves several visits at once, as a drag on the board does: all of them or none.
 * @throws {ProblemError} changed meanwhile, begun, or in two places
 */
export async function arrangeVisits(actor: Actor, moves: readonly VisitMove[]): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    const crews = await listCrews(trx)
    await lockCrews(
      trx,
      crews.map((c) => c.id),
    )
    for (const { id, version, ...to } of moves) {
      const visit = await findVisit(trx, id)
      if (!visit) throw notFound('visit')
      if (!crews.some((crew) => crew.id === to.crewId)) throw notFound('crew')
      if (visit.state !== 'planned')
        throw refused(said('visits.problems.onlyPlannedVisitCanMoved2', { siteName: visit.siteName }))
      assertNotPast(actor, visit.day, to.day)
      await changeVisit(trx, id, version, to)
    }
    await assertNoOverlap(trx, moves, said('visits.problems.putOneThemElsewhere'))
    await assertLegs(
      trx,
      moves.map((move) => move.id),
    )
  })
}

export async function crewOr404(trx: Knex.Transaction, id: CrewId): Promise<Crew> {
  const crew = await findCrew(trx, id)
  if (!crew) throw notFound('crew')
  return crew
}

/** A crew does one thing at a time. A long day is shown on the page but not refused: the office may know better. */
export async function assertFree(
  trx: Knex.Transaction,
  slot: { day: string; startTime: string; minutes: number; crew: Crew },
  except?: VisitId,
): Promise<void> {
  // the crew's row is locked so that two planners cannot both find the same hours free
  await trx('crews').where({ id: slot.crew.id }).forUpdate().first('id')
  const sameDay = (await listVisits(trx, { from: slot.day, to: slot.day, crewId: slot.crew.id })).filter(
    (v) => v.id !== except && holdsHours(v.state),
  )
  const [clash] = overlapping(slot, sameDay)
  if (clash)
    throw badField(
      'startTime',
      said('visits.problems.fromDayChooseAnotherTime', {
        name: slot.crew.name,
        siteName: clash.siteName,
        startTime: clash.startTime,
      }),
    )
}
