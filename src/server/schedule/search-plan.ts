import type { PlanOutcome } from '@/core/schedule/plan/make-plan'
import { planIterations, type PlanInput } from '@/core/schedule/plan/plan-input'
import { threadProgram } from '@/server/platform/threads/programs'
import { ThreadPool } from '@/server/platform/threads/thread-pool'
import type { PlanMessage, PlanStart, PlanTask } from './plan-thread'

export interface RunningSearch {
  readonly outcome: Promise<PlanOutcome>
  readonly share: () => number
  /** The newest plan so far, once; null when there is none newer. */
  readonly takeBest: () => PlanStart | null
  /** Ends the search with the best so far. */
  readonly stop: () => void
  /** Ends it at once, without a result. */
  readonly abandon: () => void
}

/** Starts a search in its own thread. */
export function searchPlan(
  input: PlanInput,
  seed: number,
  resume: PlanStart,
  iterations = planIterations(input.visits.length),
): RunningSearch {
  const stop = new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT)
  let share = 0
  let best: PlanStart | null = null
  const thread = new ThreadPool<PlanTask, PlanOutcome>({
    size: 1,
    program: threadProgram('plan-thread'),
    onMessage: (message) => {
      const said = message as PlanMessage
      if (said.kind === 'progress') share = said.share
      else best = said.best
    },
  })
  const outcome = thread.run({ input, iterations, seed, stop, resume }).finally(() => thread.end())
  return {
    outcome,
    share: () => share,
    takeBest: () => {
      const found = best
      best = null
      return found
    },
    stop: () => Atomics.store(new Int32Array(stop), 0, 1),
    abandon: () => void thread.end(),
  }
}
