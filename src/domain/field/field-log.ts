import type { ProblemBody } from '../shared/problems'
import type { EntryInput, VisitState } from '../visits/visit'

/** Clocks this close agree; the link takes its time too. */
const CLOCK_SLACK_MS = 120_000

/** How far the office's clock is ahead of a device's, ms; 0 where they agree. */
export function clockOffset(sentAt: string | undefined, nowMs: number): number {
  const offset = sentAt === undefined ? 0 : nowMs - Date.parse(sentAt)
  return Math.abs(offset) <= CLOCK_SLACK_MS ? 0 : offset
}

/** kept: logged now. already: logged before. refused: it cannot be logged, and why. */
export interface LineOutcome {
  readonly id: string
  readonly outcome: 'kept' | 'already' | 'refused'
  readonly problem?: ProblemBody
}

/** The state of a visit after a line of its log. Most lines change nothing. */
export function stateAfter(
  state: VisitState,
  entry: Pick<EntryInput, 'kind'> & { readonly ending?: string },
): VisitState {
  if (entry.kind === 'started') return state === 'done' ? 'done' : 'under-way'
  if (entry.kind === 'finished' && state !== 'done' && state !== 'planned')
    return entry.ending === 'done' ? 'done' : 'given-up'
  return state
}

/**
 * Minutes each person worked on a visit: from their first line to their leaving, or to its end; null while they are
 * there.
 */
export function timeWorked(
  log: readonly { readonly kind: string; readonly at: string; readonly byId: string; readonly byName: string }[],
): { readonly byId: string; readonly name: string; readonly minutes: number | null }[] {
  const end = log
    .filter((e) => e.kind === 'finished')
    .map((e) => Date.parse(e.at))
    .sort((a, b) => a - b)[0]
  return [...new Set(log.map((e) => e.byId))].map((byId) => {
    const own = log.filter((e) => e.byId === byId)
    const times = own.map((e) => Date.parse(e.at))
    const left = Math.max(...own.filter((e) => e.kind === 'left').map((e) => Date.parse(e.at)))
    const until = Number.isFinite(left) ? left : end
    const from = Math.min(...times)
    return { byId, name: own[0]!.byName, minutes: until === undefined ? null : Math.max(0, (until - from) / 60_000) }
  })
}
