import { parentPort } from 'node:worker_threads'
import { makePlan, type MakePlanOptions, type PlanOutcome } from '@/core/schedule/plan/make-plan'
import type { PlanInput } from '@/core/schedule/plan/plan-input'
import { seededRandom } from '@/core/numeric/random'
import { threadOf } from '@/server/platform/threads/thread'

/** The best so far is handed out at once and then this often, so that a dead worker costs no more than this. */
const KEEP_EVERY_MS = 3000

export type PlanStart = NonNullable<MakePlanOptions['resume']>

export interface PlanTask {
  readonly input: PlanInput
  readonly iterations: number
  readonly seed: number
  /** One number: 1 when the search should end with what it has. */
  readonly stop: SharedArrayBuffer
  /** Where an earlier worker had got to. */
  readonly resume: PlanStart
}

/** What the search says on its way. */
export type PlanMessage =
  { readonly kind: 'best'; readonly best: PlanStart } | { readonly kind: 'progress'; readonly share: number }

const say = (message: PlanMessage) => parentPort!.postMessage(message)

/** The search in a thread of its own, so that the worker can go on beating, listening and taking other jobs. */
function search({ input, iterations, seed, stop, resume }: PlanTask): PlanOutcome {
  const flag = new Int32Array(stop)
  let told = 0
  let kept = 0
  return makePlan(input, {
    random: seededRandom(seed),
    iterations,
    shouldStop: () => Atomics.load(flag, 0) === 1,
    resume,
    onBest: (best) => {
      if (Date.now() - kept < KEEP_EVERY_MS) return
      kept = Date.now()
      say({ kind: 'best', best: best().map(({ visit, crew, day, startMin }) => ({ visit, crew, day, startMin })) })
    },
    onProgress: ({ share }) => {
      if (share - told < 0.01) return
      told = share
      say({ kind: 'progress', share })
    },
  })
}

export default threadOf(search)
