import { addDays } from '@/core/numeric/calendar'
import type { CrewId } from '@/domain/shared/ids'
import { notFound, ProblemError } from '@/domain/shared/problems'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { removeBusy, replaceBusy } from '@/server/rounds/busy-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findCrew } from '@/server/people/people-repository'
import { heavy } from '@/server/platform/threads/heavy'
import { todayIn } from '@/server/platform/today'
import { saidWords } from '@/messages/said'
import { firmTexts } from '@/messages/texts'

/** Busy times are read this far ahead. */
const LOOK_AHEAD_DAYS = 400

/** Reads a crew's busy times out of an .ics file; the same calendar read again replaces what it said before. */
export async function importBusy(actor: Actor, crewId: CrewId, source: string, text: string) {
  assertMay(actor, 'visits.plan')
  const today = todayIn(actor.timeZone)
  const { busy, problems } = await heavy('busy-times', {
    text,
    from: today,
    to: addDays(today, LOOK_AHEAD_DAYS),
    timeZone: actor.timeZone,
  })
  if (busy.length === 0 && problems.length > 0)
    throw new ProblemError({
      kind: 'bad-input',
      message: problems[0]!,
      fields: [{ path: 'file', message: problems[0]! }],
    })
  await inFirm(actor.firmId, async (trx) => {
    if (!(await findCrew(trx, crewId))) throw notFound('crew')
    await replaceBusy(trx, actor.firmId, crewId, source.slice(0, 80) || 'calendar', busy)
  })
  return { times: busy.length, problems: problems.map((problem) => saidWords(problem, firmTexts())) }
}

export async function forgetBusy(actor: Actor, crewId: CrewId, source: string): Promise<void> {
  assertMay(actor, 'visits.plan')
  await inFirm(actor.firmId, async (trx) => {
    if ((await removeBusy(trx, crewId, source)) === 0) throw notFound('calendar')
  })
}
