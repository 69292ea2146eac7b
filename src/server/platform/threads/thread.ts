import { parentPort } from 'node:worker_threads'

/** A task on its way to a thread, with the number by which the pool knows it. */
export interface Numbered<Task> {
  readonly number: number
  readonly task: Task
}

/** A thread's work as its pool calls it: its time runs from when it is begun, not while it waits for its turn. */
export const threadOf =
  <Task, Made>(work: (task: Task) => Made) =>
  ({ number, task }: Numbered<Task>): Made => {
    parentPort!.postMessage({ begun: number })
    return work(task)
  }
