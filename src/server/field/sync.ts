import { storable } from '@/domain/shared/clean-text'
import { clockOffset, type LineOutcome } from '@/domain/field/field-log'
import type { SyncInput } from '@/domain/field/sync-input'
import type { VisitId } from '@/domain/shared/ids'
import { ProblemError, refused } from '@/domain/shared/problems'
import { EntryInput } from '@/domain/visits/visit'
import { assertMay, type Actor } from '@/server/platform/auth/actor'
import { problemBody, zodFields } from '@/messages/problem-body'
import { isDatabaseLost } from '@/server/platform/db/connection'
import { logger } from '@/server/platform/logger'
import { logEntry } from './log'
import { said } from '@/domain/shared/said'
import { firmTexts } from '@/messages/texts'

/**
 * Takes the lines a device has kept while it had no signal, in their order. Each is answered for itself: one that
 * cannot be logged is
 * refused with the reason and holds up no other; what was logged before is answered as that. Lines are dated by this
 * clock: what the
 * device's own says as it sends tells by how much.
 * @throws when the database is lost: the device sends the same lines again, and nothing is doubled
 */
export async function syncField(
  actor: Actor,
  { userId, lines, sentAt }: SyncInput,
  now: Date = new Date(),
): Promise<{ results: LineOutcome[]; clockOffsetMs: number }> {
  assertMay(actor, 'visits.log')
  if (userId !== actor.userId) throw refused(said('field.problems.linesWereWrittenSomeoneElse'))
  const clockOffsetMs = clockOffset(sentAt, now.getTime())
  const results: LineOutcome[] = []
  for (const { visitId, entry } of lines) results.push(await oneLine(actor, visitId, entry, clockOffsetMs, now))
  return { results, clockOffsetMs }
}

async function oneLine(
  actor: Actor,
  visitId: VisitId,
  raw: SyncInput['lines'][number]['entry'],
  offsetMs: number,
  now: Date,
): Promise<LineOutcome> {
  const parsed = EntryInput.safeParse(storable(raw))
  if (!parsed.success) {
    const fields = zodFields(parsed.error, firmTexts())
    return {
      id: raw.id,
      outcome: 'refused',
      problem: { title: fields[0]!.message, status: 422, kind: 'bad-input', fields },
    }
  }
  try {
    const at = new Date(Date.parse(parsed.data.at) + offsetMs).toISOString()
    return { id: raw.id, outcome: await logEntry(actor, visitId, { ...parsed.data, at }, now) }
  } catch (error) {
    if (error instanceof ProblemError)
      return { id: raw.id, outcome: 'refused', problem: problemBody(error.problem, firmTexts()) }
    if (isDatabaseLost(error)) throw error
    // whatever is wrong with one line, the others are logged; it stays on the device and can be sent again
    logger.error({ err: error, line: raw.id }, 'a line of a log could not be taken')
    return {
      id: raw.id,
      outcome: 'refused',
      problem: {
        title: firmTexts()('kit.problems.lineNotTaken'),
        status: 500,
        kind: 'unexpected',
      },
    }
  }
}
