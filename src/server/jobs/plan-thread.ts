import { parentPort, workerData } from 'node:worker_threads'
import { makePlan } from '../../core/dispatch/plan/make-plan'
import type { PlanInput } from '../../core/dispatch/plan/plan-input'
import { seededRandom } from '../../core/numeric/random'

export interface PlanThreadData {
  readonly input: PlanInput
  readonly iterations: number
  readonly seed: number
  /** One number: 1 when the search should end with what it has. */
  readonly stop: SharedArrayBuffer
}

/** The search in a thread of its own, so that the worker can go on beating, listening and taking other jobs. */
const { input, iterations, seed, stop } = workerData as PlanThreadData
const flag = new Int32Array(stop)
let told = 0
const outcome = makePlan(input, {
  random: seededRandom(seed),
  iterations,
  shouldStop: () => Atomics.load(flag, 0) === 1,
  onProgress: ({ share }) => {
    if (share - told < 0.01) return
    told = share
    parentPort!.postMessage({ kind: 'progress', share })
  },
})
parentPort!.postMessage({ kind: 'done', outcome })
