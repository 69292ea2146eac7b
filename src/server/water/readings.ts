import type { ReadingKindName } from '@/core/water/readings'
import type { PondId } from '@/domain/shared/ids'
import { badField, notFound, ProblemError } from '@/domain/shared/problems'
import { readingsProblem } from '@/domain/visits/step-check'
import type { LogReadingsInput } from '@/domain/visits/visit'
import { answerRefused } from '@/server/visits/answer-refused'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPond } from '@/server/ponds/pond-repository'
import { closeAnsweredFollowUps } from '@/server/visits/follow-up-repository'
import { insertReadings } from '@/server/water/reading-repository'
import { todayIn } from '@/server/platform/today'
import { said } from '@/domain/shared/said'

/** Puts readings on a pond that were taken outside a planned visit. */
export async function logReadings(
  actor: Actor,
  pondId: PondId,
  input: LogReadingsInput,
  now: Date = new Date(),
): Promise<void> {
  assertMay(actor, 'visits.log')
  const wrong = readingsProblem(input.readings, input.confirmedUnlikely)
  if (wrong) throw new ProblemError(answerRefused(wrong))
  if (Date.parse(input.at) > now.getTime() + 3_600_000)
    throw badField('at', said('water.problems.timeStillComeEnterWhen'))
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, pondId))) throw notFound('pond')
    const readings = Object.entries(input.readings) as [ReadingKindName, { value: number; belowStep: boolean }][]
    await insertReadings(
      trx,
      actor.firmId,
      readings.map(([kind, r]) => ({
        pondId,
        visitId: null,
        kind,
        value: r.value,
        belowStep: r.belowStep,
        method: input.method,
        takenAt: input.at,
        byId: actor.userId,
      })),
    )
    await closeAnsweredFollowUps(
      trx,
      pondId,
      Object.keys(input.readings),
      todayIn(actor.timeZone, new Date(input.at)),
      input.at,
    )
  })
}
