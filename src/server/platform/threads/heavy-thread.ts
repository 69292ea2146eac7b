import { parentPort } from 'node:worker_threads'
import { doHeavy, type HeavyTask } from './heavy-tasks'

/** Does what requests ask to be computed or read, one after the other. */
parentPort!.postMessage({ ready: true })
parentPort!.on('message', ({ task }: { task: HeavyTask }) => {
  doHeavy(task).then(
    (made) => parentPort!.postMessage({ made }),
    (error: unknown) => parentPort!.postMessage({ problem: (error as Error).message }),
  )
})
