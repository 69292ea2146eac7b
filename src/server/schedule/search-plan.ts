import type { PlanOutcome } from '@/core/schedule/plan/make-plan'
import { planIterations, type PlanInput } from '@/core/schedule/plan/plan-input'
import { ownThread } from '@/server/platform/threads/own-thread'
import type { PlanStart, PlanThreadData } from './plan-thread'

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

type Message =
  | { readonly kind: 'best'; readonly best: PlanStart }
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'done'; readonly outcome: PlanOutcome }

/** Starts a search in its own thread. */
export function searchPlan(
  input: PlanInput,
  seed: number,
  resume: PlanStart,
  iterations = planIterations(input.visits.length),
): RunningSearch {
  const stop = new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT)
  const data: PlanThreadData = { input, iterations, seed, stop, resume }
  const thread = ownThread('plan-thread', { workerData: data })
  let share = 0
  let best: PlanStart | null = null
  const outcome = new Promise<PlanOutcome>((resolve, reject) => {
    thread.on('message', (message: Message) => {
      if (message.kind === 'progress') share = message.share
      else if (message.kind === 'best') best = message.best
      else resolve(message.outcome)
    })
    thread.on('error', reject)
    thread.on('exit', (code) => reject(new Error(`The search ended by itself (${code})`)))
  })
  return {
    outcome,
    share: () => share,
    takeBest: () => {
      const found = best
      best = null
      return found
    },
    stop: () => Atomics.store(new Int32Array(stop), 0, 1),
    abandon: () => void thread.terminate(),
  }
}
