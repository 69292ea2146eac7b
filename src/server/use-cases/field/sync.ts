import type { LineOutcome, SyncInput } from '@/domain/field-log'
import { ProblemError, refused } from '@/domain/problems'
import { EntryInput } from '@/domain/visit'
import { assertMay, type Actor } from '@/server/auth/actor'
import { problemBody, zodFields } from '@/domain/problem-body'
import { logEntry } from './log'

/**
 * Takes the lines a device has kept while it had no signal, in their order. Each is answered for itself: one that cannot be logged is
 * refused with the reason and holds up no other; what was logged before is answered as that.
 * @throws when the database is lost: the device sends the same lines again, and nothing is doubled
 */
export async function syncField(actor: Actor, { userId, lines }: SyncInput, now: Date = new Date()): Promise<{ results: LineOutcome[] }> {
  assertMay(actor, 'visits.log')
  if (userId !== actor.userId) throw refused('These lines were written by someone else. They wait until that person signs in.')
  const results: LineOutcome[] = []
  for (const { visitId, entry } of lines) {
    const parsed = EntryInput.safeParse(entry)
    if (!parsed.success) {
      const fields = zodFields(parsed.error)
      results.push({ id: entry.id, outcome: 'refused', problem: { title: fields[0].message, status: 422, kind: 'bad-input', fields } })
      continue
    }
    try {
      results.push({ id: entry.id, outcome: await logEntry(actor, visitId, parsed.data, now) })
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error
      results.push({ id: entry.id, outcome: 'refused', problem: problemBody(error.problem) })
    }
  }
  return { results }
}
