import type { ReadingKindName } from '@/core/water/readings'
import type { PondId } from '@/domain/ids'
import { badField, notFound, ProblemError } from '@/domain/problems'
import { readingsProblem } from '@/domain/step-check'
import type { LogReadingsInput } from '@/domain/visit'
import { assertMay, type Actor } from '@/server/auth/actor'
import { inFirm } from '@/server/db/firm-transaction'
import { findPond } from '@/server/db/pond-repository'
import { closeAnsweredFollowUps } from '@/server/db/follow-up-repository'
import { insertReadings } from '@/server/db/reading-repository'
import { todayIn } from '@/server/today'

/** Puts readings on a pond that were taken outside a planned visit. */
export async function logReadings(actor: Actor, pondId: PondId, input: LogReadingsInput, now: Date = new Date()): Promise<void> {
  assertMay(actor, 'visits.log')
  const wrong = readingsProblem(input.readings, input.confirmedUnlikely)
  if (wrong) throw new ProblemError({ kind: 'bad-input', ...wrong })
  if (Date.parse(input.at) > now.getTime() + 3_600_000) throw badField('at', 'This time is still to come. Enter when the water was tested.')
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findPond(trx, pondId))) throw notFound('That pond')
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
    await closeAnsweredFollowUps(trx, pondId, Object.keys(input.readings), todayIn(actor.timeZone, new Date(input.at)), input.at)
  })
}
