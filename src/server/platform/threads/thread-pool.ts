import type { Worker } from 'node:worker_threads'

interface Job<Task, Made> {
  readonly task: Task
  readonly resolve: (made: Made) => void
  readonly reject: (error: Error) => void
}

interface Thread<Task, Made> {
  readonly worker: Worker
  /** It has loaded what it needs. */
  ready: boolean
  job: Job<Task, Made> | null
  deadline: NodeJS.Timeout | null
}

/** It did not come to an end within its time. */
export class TookTooLong extends Error {}
/** More is waiting already than will be done in time. */
export class PoolFull extends Error {}
/** The work itself could not be done. */
export class TaskFailed extends Error {}

const START_MS = 30_000
const RESTART_MS = 1000

export interface PoolOptions {
  readonly size: number
  readonly deadlineMs: number
  /** More than this waiting is turned away; without a limit where left out. */
  readonly mostWaiting?: number
  /** Its threads never keep the program from ending. */
  readonly background?: boolean
  /** A thread that says `{ ready: true }` once and then answers `{ task }` with `{ made }` or `{ problem }`. */
  readonly start: () => Worker
}

/** A few threads that do tasks; each takes the next one as soon as it is free. One that dies or hangs is replaced. */
export class ThreadPool<Task, Made> {
  private readonly threads: Thread<Task, Made>[] = []
  private readonly queue: Job<Task, Made>[] = []
  private ended = false

  constructor(private readonly options: PoolOptions) {
    for (let i = 0; i < options.size; i++) this.threads.push(this.start())
  }

  /** @throws {TookTooLong | PoolFull | TaskFailed} */
  run(task: Task): Promise<Made> {
    return new Promise((resolve, reject) => {
      if (this.ended) return reject(new TaskFailed('The work was ended'))
      if (this.queue.length >= (this.options.mostWaiting ?? Infinity))
        return reject(new PoolFull('Too much is waiting'))
      this.queue.push({ task, resolve, reject })
      return this.handOut()
    })
  }

  async end(): Promise<void> {
    this.ended = true
    const error = new TaskFailed('The work was ended')
    for (const { reject } of this.queue.splice(0)) reject(error)
    await Promise.all(
      this.threads.splice(0).map((thread) => {
        this.finish(thread)?.reject(error)
        return thread.worker.terminate()
      }),
    )
  }

  private start(): Thread<Task, Made> {
    const worker = this.options.start()
    const thread: Thread<Task, Made> = { worker, ready: false, job: null, deadline: null }
    // a busy machine may take its time to load it: no task pays for that
    thread.deadline = setTimeout(() => this.replace(thread, new TaskFailed('The thread did not begin')), START_MS)
    worker.on('message', ({ ready, made, problem }: { ready?: true; made?: Made; problem?: string }) => {
      if (ready) {
        this.finish(thread)
        thread.ready = true
        return this.handOut()
      }
      const job = this.finish(thread)
      if (problem === undefined) job?.resolve(made as Made)
      else job?.reject(new TaskFailed(problem))
      this.handOut()
    })
    worker.on('error', (error: Error) => this.replace(thread, new TaskFailed(error.message)))
    worker.on('exit', () => this.replace(thread, new TaskFailed('The thread ended by itself')))
    // after its listeners, which would hold it again
    if (this.options.background) worker.unref()
    return thread
  }

  /** Its task is given up, the others go on. */
  private replace(thread: Thread<Task, Made>, error: Error): void {
    const at = this.threads.indexOf(thread)
    if (at < 0) return
    if (thread.ready) this.threads[at] = this.start()
    else this.beginLater(at, error)
    void thread.worker.terminate()
    this.finish(thread)?.reject(error)
    this.handOut()
  }

  /** A thread that cannot even begin is tried again by and by; who waits for it is told. */
  private beginLater(at: number, error: Error): void {
    this.threads.splice(at, 1)
    if (this.threads.length === 0) for (const { reject } of this.queue.splice(0)) reject(error)
    setTimeout(() => {
      if (!this.ended) this.threads.push(this.start())
    }, RESTART_MS).unref()
  }

  private finish(thread: Thread<Task, Made>): Job<Task, Made> | null {
    const { job, deadline } = thread
    if (deadline) clearTimeout(deadline)
    thread.job = null
    thread.deadline = null
    return job
  }

  private handOut(): void {
    for (const thread of this.threads) {
      if (thread.job || !thread.ready) continue
      const job = this.queue.shift()
      if (!job) return
      thread.job = job
      thread.deadline = setTimeout(
        () => this.replace(thread, new TookTooLong('It took too long')),
        this.options.deadlineMs,
      )
      thread.worker.postMessage({ task: job.task })
    }
  }
}
