import { addDays, weekOf } from '@/core/numeric/calendar'
import { planRescue, type RescuePlan } from '@/core/visits/rescue-plan'
import type { PondId } from '@/domain/shared/ids'
import { workingDay } from '@/domain/firm/firm-period'
import { savedPondFacts } from '@/domain/ponds/pond-facts'
import { badField, notFound, ProblemError } from '@/domain/shared/problems'
import type { RescueInput } from '@/domain/visits/rescue'
import { systemVolumeOf } from '@/domain/ponds/system-volume'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listDesigns } from '@/server/design/design-repository'
import { listFirmPeriods } from '@/server/firm/firm-period-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { insertFollowUp } from '@/server/visits/follow-up-repository'
import { listCrews } from '@/server/people/people-repository'
import { listPlanningPonds } from '@/server/schedule/planning-repository'
import { findPond } from '@/server/ponds/pond-repository'
import { listLastReadings } from '@/server/water/reading-repository'
import { todayIn } from '@/server/platform/today'
import { planVisit } from './visit-planning'
import { said } from '@/domain/shared/said'
import { firmTexts } from '@/messages/texts'
import { stageNote } from '@/messages/visits/rescue-words'

/** A full day is passed over; looked for so many days. */
const MAX_DAYS_ON = 14

/** What a rescue is planned from: the pond, its last tests, the crews, days on which nobody works. */
export async function rescuePage(actor: Actor, pondId: PondId) {
  assertMay(actor, 'visits.plan')
  const today = todayIn(actor.timeZone)
  return inFirm(actor.firmId, async (trx) => {
    const pond = await findPond(trx, pondId)
    if (!pond) throw notFound('pond')
    return {
      pond,
      today,
      systemM3: systemVolumeOf(pond, savedPondFacts(pond).adopted.volumeM3, await listDesigns(trx, pondId)).totalM3,
      readings: (await listLastReadings(trx, [pondId])).get(pondId)!,
      crews: (await listCrews(trx)).map(({ id, name }) => ({ id, name })),
      periods: await listFirmPeriods(trx, today),
      /** Expected water of the weeks of the year, °C; null while no season is known. */
      weeklyC: (await listPlanningPonds(trx, [pondId]))[0]!.weeklyC,
    }
  })
}
export type RescuePageData = Awaited<ReturnType<typeof rescuePage>>

/** Plans a rescue's visits, each with what it is to do and what stops it, and the two tests that end it. */
export async function startRescue(
  actor: Actor,
  pondId: PondId,
  input: RescueInput,
): Promise<{ visits: number; first: string; last: string }> {
  const { pond, systemM3, periods, today, weeklyC } = await rescuePage(actor, pondId)
  if (input.first < today) throw badField('first', said('visits.problems.dayPast'))
  const { first, crewId, startTime, ...tests } = input
  const plan: RescuePlan = planRescue(
    { ...tests, systemM3, hasFish: pond.fish.length > 0 },
    first,
    workingDay(periods),
    (day) => weeklyC?.[weekOf(day)] ?? null,
  )
  const t = firmTexts()
  let before = ''
  const days: string[] = []
  for (const [i, stage] of plan.stages.entries()) {
    let day = stage.day > before ? stage.day : workingDay(periods)(addDays(before, 1))
    for (let tries = 0; ; tries++) {
      try {
        await planVisit(actor, {
          pondId,
          visitType: stage.jobKey,
          day,
          startTime,
          crewId,
          note: stageNote(stage, i, plan.stages.length, t),
        })
        break
      } catch (error) {
        // the crew is elsewhere at that hour: the next working day
        const taken =
          error instanceof ProblemError &&
          error.problem.kind === 'bad-input' &&
          error.problem.fields[0]?.path === 'startTime'
        if (!taken || tries >= MAX_DAYS_ON) throw error
        day = workingDay(periods)(addDays(day, 1))
      }
    }
    days.push(day)
    before = day
  }
  await inFirm(actor.firmId, async (trx) => {
    for (const [i, due] of plan.finalTests.entries())
      await insertFollowUp(trx, actor.firmId, {
        pondId,
        visitId: null,
        title: t('visits.rescueStage.finalTest', { test: i + 1, of: plan.finalTests.length }),
        readings: ['tan', 'nitrite'],
        dueFrom: due,
        dueTo: addDays(due, 3),
      })
  })
  return { visits: days.length, first: days[0]!, last: days[days.length - 1]! }
}
