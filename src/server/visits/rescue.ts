import { fishMassKg } from '@/core/fish/load'
import { addDays, weekOf } from '@/core/numeric/calendar'
import { planRescue, type RescuePlan } from '@/core/visits/rescue-plan'
import type { PondId } from '@/domain/shared/ids'
import { workingDay } from '@/domain/firm/firm-period'
import { badField, notFound, ProblemError } from '@/domain/shared/problems'
import { remedyAmounts } from '@/domain/diagnosis/remedy-doses'
import { neglectedPond, type RescueInput } from '@/domain/visits/rescue'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { listFirmPeriods } from '@/server/firm/firm-period-repository'
import { findSite, noteFillWater } from '@/server/customers/customer-repository'
import { dosingFacts } from '@/server/diagnosis/remedy-dosing'
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
import { rescueTasks, stageNote } from '@/messages/visits/rescue-words'
import { remedyAmountWords } from '@/messages/water/amount-words'

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
      dosing: await dosingFacts(trx, pond, today),
      fishKg: pond.fish.reduce((kg, { species, count, lengthM }) => kg + count * fishMassKg(species, lengthM), 0),
      fill: (await findSite(trx, pond.siteId))!.fill,
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
  const { pond, dosing, fill, fishKg, periods, today, weeklyC } = await rescuePage(actor, pondId)
  if (input.first < today) throw badField('first', said('visits.problems.dayPast'))
  const { first, crewId, startTime, ...asked } = input
  const plan: RescuePlan = planRescue(
    neglectedPond(asked, { systemM3: dosing.systemM3, fishKg, fill }),
    first,
    workingDay(periods),
    (day) => weeklyC?.[weekOf(day)] ?? null,
  )
  const t = firmTexts()
  const [binder] = remedyAmounts('binder', dosing)
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
          note: stageNote(
            stage,
            { at: i, of: plan.stages.length, binder: binder ? remedyAmountWords(binder) : null },
            t,
          ),
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
    await noteFillWater(trx, pond.siteId, {
      ...(input.fillPh === null ? {} : { ph: input.fillPh }),
      ...(input.fillKhDH === null ? {} : { khDH: input.fillKhDH }),
    })
    for (const task of rescueTasks(plan, days, binder ? remedyAmountWords(binder) : null, t))
      await insertFollowUp(trx, actor.firmId, { pondId, visitId: null, ...task })
  })
  return { visits: days.length, first: days[0]!, last: days[days.length - 1]! }
}
