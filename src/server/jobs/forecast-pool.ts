import { Worker } from 'node:worker_threads'
import type { ForecastMade, ForecastTask } from '@/core/ecosystem/forecast-pond'

interface Waiting {
  readonly resolve: (made: ForecastMade) => void
  readonly reject: (error: Error) => void
}

/** A few threads that forecast ponds; each takes the next one as soon as it is free. */
export class ForecastPool {
  private readonly threads: { readonly worker: Worker; busy: boolean }[]
  private readonly queue: { readonly id: number; readonly task: ForecastTask }[] = []
  private readonly waiting = new Map<number, Waiting>()
  private next = 0

  constructor(size: number) {
    // a thread does not take over how this process reads TypeScript, so it registers that first
    const entry = JSON.stringify(new URL('./forecast-thread.ts', import.meta.url).href)
    this.threads = Array.from({ length: size }, () => {
      const worker = new Worker(`import('tsx/esm/api').then(({ register }) => { register(); return import(${entry}) })`, { eval: true })
      const thread = { worker, busy: false }
      worker.on('message', ({ id, made, problem }: { id: number; made?: ForecastMade; problem?: string }) => {
        thread.busy = false
        const waiting = this.waiting.get(id)
        this.waiting.delete(id)
        if (made) waiting?.resolve(made)
        else waiting?.reject(new Error(problem))
        this.handOut()
      })
      worker.on('error', (error: Error) => this.fail(error))
      return thread
    })
  }

  run(task: ForecastTask): Promise<ForecastMade> {
    const id = this.next++
    return new Promise((resolve, reject) => {
      this.waiting.set(id, { resolve, reject })
      this.queue.push({ id, task })
      this.handOut()
    })
  }

  async end(): Promise<void> {
    await Promise.all(this.threads.map(({ worker }) => worker.terminate()))
    this.fail(new Error('The forecast was ended'))
  }

  private handOut(): void {
    for (const thread of this.threads) {
      if (thread.busy) continue
      const job = this.queue.shift()
      if (!job) return
      thread.busy = true
      thread.worker.postMessage(job)
    }
  }

  private fail(error: Error): void {
    for (const { reject } of this.waiting.values()) reject(error)
    this.waiting.clear()
    this.queue.length = 0
  }
}
