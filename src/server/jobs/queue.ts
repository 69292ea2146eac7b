import PgBoss from 'pg-boss'
import { logger } from '@/server/logger'
import { QUEUE_SCHEMA, type QueueName, type QueuePayload } from './queues'

const globalForQueue = globalThis as unknown as { slowReedQueue?: Promise<PgBoss> }

/** This process's connection to the job queue, as the app's own role: it may send and take jobs, not make queues. */
export function queue(): Promise<PgBoss> {
  return (globalForQueue.slowReedQueue ??= open().catch((error: unknown) => {
    // the next caller tries again
    globalForQueue.slowReedQueue = undefined
    throw error
  }))
}

async function open(): Promise<PgBoss> {
  const boss = new PgBoss({ connectionString: process.env.APP_DATABASE_URL, schema: QUEUE_SCHEMA, migrate: false, supervise: false, schedule: false, max: 3 })
  boss.on('error', (error) => logger.warn({ reason: error.message }, 'job queue'))
  return boss.start()
}

export async function sendJob<Name extends QueueName>(name: Name, payload: QueuePayload[Name]): Promise<void> {
  await (await queue()).send(name, payload)
}

export async function closeQueue(): Promise<void> {
  const opened = globalForQueue.slowReedQueue
  globalForQueue.slowReedQueue = undefined
  await (await opened)?.stop({ graceful: true, close: true, timeout: 5000 })
}
