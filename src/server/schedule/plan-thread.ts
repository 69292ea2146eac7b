import { parentPort, workerData } from 'node:worker_threads'
import { makePlan, type MakePlanOptions } from '@/core/schedule/plan/make-plan'
import type { PlanInput } from '@/core/schedule/plan/plan-input'
import { seededRandom } from '@/core/numeric/random'

/** The best so far is handed out at once and then this often, so that a dead worker costs no more than this. */
const KEEP_EVERY_MS = 3000

export type PlanStart = NonNullable<MakePlanOptions['resume']>

export interface PlanThreadData {
  readonly input: PlanInput
  readonly iterations: number
  readonly seed: number
  /** One number: 1 when the search should end with what it has. */
  readonly stop: SharedArrayBuffer
  /** Where an earlier worker had got to. */
  readonly resume: PlanStart
}

/** The search in a thread of its own, so that the worker can go on beating, listening and taking other jobs. */
const { input, iterations, seed, stop, resume } = workerData as PlanThreadData
const flag = new Int32Array(stop)
let told = 0
let kept = 0
const outcome = makePlan(input, {
  random: seededRandom(seed),
  iterations,
  shouldStop: () => Atomics.load(flag, 0) === 1,
  resume,
  onBest: (best) => {
    if (Date.now() - kept < KEEP_EVERY_MS) return
    kept = Date.now()
    parentPort!.postMessage({
      kind: 'best',
      best: best().map(({ visit, crew, day, startMin }) => ({ visit, crew, day, startMin })),
    })
  },
  onProgress: ({ share }) => {
    if (share - told < 0.01) return
    told = share
    parentPort!.postMessage({ kind: 'progress', share })
  },
})
parentPort!.postMessage({ kind: 'done', outcome })
