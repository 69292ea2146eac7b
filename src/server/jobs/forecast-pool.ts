import { Worker } from 'node:worker_threads'
import type { ForecastMade, ForecastTask } from '@/core/ecosystem/forecast-pond'

interface Job {
  readonly task: ForecastTask
  readonly resolve: (made: ForecastMade) => void
  readonly reject: (error: Error) => void
}

interface Thread {
  readonly worker: Worker
  job: Job | null
  deadline: NodeJS.Timeout | null
}

/** One pond takes a second or two; one that takes this long will never come to an end. */
const DEADLINE_MS = 120_000

/** A few threads that forecast ponds; each takes the next one as soon as it is free. One that dies or hangs is replaced. */
export class ForecastPool {
  private readonly threads: Thread[] = []
  private readonly queue: Job[] = []
  private ended = false

  constructor(
    size: number,
    private readonly deadlineMs = DEADLINE_MS,
  ) {
    for (let i = 0; i < size; i++) this.threads.push(this.start())
  }

  run(task: ForecastTask): Promise<ForecastMade> {
    return new Promise((resolve, reject) => {
      if (this.ended) return reject(new Error('The forecast was ended'))
      this.queue.push({ task, resolve, reject })
      return this.handOut()
    })
  }

  async end(): Promise<void> {
    this.ended = true
    const error = new Error('The forecast was ended')
    for (const { reject } of this.queue.splice(0)) reject(error)
    await Promise.all(
      this.threads.splice(0).map((thread) => {
        this.finish(thread)?.reject(error)
        return thread.worker.terminate()
      }),
    )
  }

  private start(): Thread {
    // a thread does not take over how this process reads TypeScript, so it registers that first
    const entry = JSON.stringify(new URL('./forecast-thread.ts', import.meta.url).href)
    const worker = new Worker(`import('tsx/esm/api').then(({ register }) => { register(); return import(${entry}) })`, { eval: true })
    const thread: Thread = { worker, job: null, deadline: null }
    worker.on('message', ({ made, problem }: { made?: ForecastMade; problem?: string }) => {
      const job = this.finish(thread)
      if (made) job?.resolve(made)
      else job?.reject(new Error(problem))
      this.handOut()
    })
    worker.on('error', (error: Error) => this.replace(thread, error))
    worker.on('exit', () => this.replace(thread, new Error('The thread ended by itself')))
    return thread
  }

  /** Its pond is given up, the others go on. */
  private replace(thread: Thread, error: Error): void {
    const at = this.threads.indexOf(thread)
    if (at < 0) return
    this.threads[at] = this.start()
    void thread.worker.terminate()
    this.finish(thread)?.reject(error)
    this.handOut()
  }

  private finish(thread: Thread): Job | null {
    const { job, deadline } = thread
    if (deadline) clearTimeout(deadline)
    thread.job = null
    thread.deadline = null
    return job
  }

  private handOut(): void {
    for (const thread of this.threads) {
      if (thread.job) continue
      const job = this.queue.shift()
      if (!job) return
      thread.job = job
      thread.deadline = setTimeout(() => this.replace(thread, new Error('The forecast took too long')), this.deadlineMs)
      thread.worker.postMessage({ task: job.task })
    }
  }
}
