import { availableParallelism } from 'node:os'
import { ProblemError } from '@/domain/shared/problems'
import type { HeavyInput, HeavyKind, HeavyResult, HeavyTask } from './heavy-tasks'
import { threadProgram } from './programs'
import { PoolFull, ThreadPool, TookTooLong } from './thread-pool'
import { inWords, said } from '@/domain/shared/said'

/** A request waits no longer than this for what it asked to be computed. */
const DEADLINE_MS = 3000
/** Seasons are played through several years, what-ifs through twenty runs of each option: they get longer. */
const LONGER_MS: Partial<Record<HeavyKind, number>> = { 'frozen-comparison': 30_000, 'trainer-season': 15_000 }
const MAX_WAITING = 24
const LIMITS = { maxOldGenerationSizeMb: 384 }

type Made = { value: unknown } | { domain: { message: string; parameter: string } }
type Pool = ThreadPool<HeavyTask, Made>

/** One pool for the whole server, however many times its bundler has put this module into it. */
const held = globalThis as typeof globalThis & { slowReedHeavy?: Pool }

const pool = (): Pool =>
  (held.slowReedHeavy ??= new ThreadPool({
    size: Math.max(1, Math.min(3, availableParallelism() - 1)),
    deadlineMs: DEADLINE_MS,
    maxWaiting: MAX_WAITING,
    program: threadProgram('heavy-thread'),
    resourceLimits: LIMITS,
  }))

/**
 * Has something computed or read in a thread of its own, within a deadline and limits of memory.
 * @throws {ProblemError} bad input, too much to do in time, or too much waiting already
 */
export async function heavy<Kind extends HeavyKind>(kind: Kind, input: HeavyInput<Kind>): Promise<HeavyResult<Kind>> {
  const deadlineMs = LONGER_MS[kind] ?? DEADLINE_MS
  try {
    const made = await pool().run({ kind, input }, deadlineMs)
    if ('value' in made) return made.value as HeavyResult<Kind>
    const { parameter } = made.domain
    const message = inWords(made.domain.message)
    throw new ProblemError({ kind: 'bad-input', message, fields: [{ path: parameter, message }] })
  } catch (error) {
    if (error instanceof PoolFull)
      throw new ProblemError({
        kind: 'busy',
        message: said('kit.problems.muchBeingWorkedOutMoment'),
        retryAfterS: DEADLINE_MS / 1000,
      })
    if (!(error instanceof TookTooLong)) throw error
    const message = said('kit.problems.tooMuchAtOnce', { seconds: deadlineMs / 1000 })
    throw new ProblemError({ kind: 'bad-input', message, fields: [] })
  }
}

/** Ends the threads, as tests do. */
export async function endHeavy(): Promise<void> {
  await held.slowReedHeavy?.end()
  held.slowReedHeavy = undefined
}
