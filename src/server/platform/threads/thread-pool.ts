import { Piscina } from 'piscina'
import type { ResourceLimits } from 'node:worker_threads'
import { logger } from '@/server/platform/logger'
import type { ThreadProgram } from './programs'
import type { Numbered } from './thread'

/** It did not come to an end within its time. */
export class TookTooLong extends Error {}
/** More is waiting already than will be done in time. */
export class PoolFull extends Error {}
/** The work itself could not be done. */
export class TaskFailed extends Error {}

export interface PoolOptions {
  readonly program: ThreadProgram
  readonly size: number
  /** A task that was begun gets so long; without a limit where left out. */
  readonly deadlineMs?: number
  /** More than this waiting is turned away; without a limit where left out. */
  readonly maxWaiting?: number
  readonly resourceLimits?: ResourceLimits
  /** What a thread says while it works. */
  readonly onMessage?: (message: unknown) => void
}

/** A few threads that do tasks; each takes the next one as soon as it is free. One that dies or hangs is replaced. */
export class ThreadPool<Task, Made> {
  private readonly pool: Piscina<Numbered<Task>, Made>
  private readonly begun = new Map<number, () => void>()
  private tasks = 0

  constructor(private readonly options: PoolOptions) {
    const { program, size, resourceLimits, onMessage } = options
    this.pool = new Piscina({
      ...program,
      minThreads: size,
      maxThreads: size,
      recordTiming: false,
      ...(resourceLimits && { resourceLimits }),
    })
    this.pool.on('message', (message: { readonly begun?: number }) => {
      if (message.begun === undefined) onMessage?.(message)
      else this.begun.get(message.begun)?.()
    })
    // a thread that ends without a task: its place is filled again, and nobody waits for it
    this.pool.on('error', (error: Error) => logger.warn({ reason: error.message }, 'a thread ended by itself'))
  }

  /**
   * @param deadlineMs for this task, where it gets another than the pool's
   * @throws {TookTooLong | PoolFull | TaskFailed}
   */
  async run(task: Task, deadlineMs = this.options.deadlineMs): Promise<Made> {
    const { maxWaiting = Infinity } = this.options
    if (this.pool.queueSize >= maxWaiting) throw new PoolFull('Too much is waiting')
    const number = this.tasks++
    const end = new AbortController()
    let deadline: NodeJS.Timeout | undefined
    this.begun.set(number, () => {
      if (deadlineMs !== undefined) deadline = setTimeout(() => end.abort(), deadlineMs)
    })
    try {
      return await this.pool.run({ number, task }, { signal: end.signal })
    } catch (error) {
      if (end.signal.aborted) throw new TookTooLong('It took too long')
      throw new TaskFailed((error as Error).message)
    } finally {
      clearTimeout(deadline)
      this.begun.delete(number)
    }
  }

  /** Ends all threads at once; what they were at is given up. */
  end(): Promise<void> {
    return this.pool.destroy()
  }
}
