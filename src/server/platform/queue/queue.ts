import type { Knex } from 'knex'
import PgBoss from 'pg-boss'
import { logger } from '@/server/platform/logger'
import { QUEUE_SCHEMA, type QueueName, type QueuePayload } from './queues'

const MAINTENANCE_S = 30

const globalForQueue = globalThis as unknown as { slowReedQueue?: Promise<PgBoss> }

/** This process's connection to the job queue, as the app's own role: it may send and take jobs, not make queues. */
function queue(): Promise<PgBoss> {
  return (globalForQueue.slowReedQueue ??= open().catch((error: unknown) => {
    // the next caller tries again
    globalForQueue.slowReedQueue = undefined
    throw error
  }))
}

/** A worker keeps the queue in order too: jobs whose worker vanished run out, old ones are put away. */
export const openForWork = (): Promise<PgBoss> => (globalForQueue.slowReedQueue ??= open(true))

async function open(supervise = false): Promise<PgBoss> {
  const boss = new PgBoss({
    connectionString: process.env.APP_DATABASE_URL,
    schema: QUEUE_SCHEMA,
    migrate: false,
    supervise,
    maintenanceIntervalSeconds: MAINTENANCE_S,
    schedule: false,
    max: 3,
  })
  boss.on('error', (error) => logger.warn({ reason: error.message }, 'job queue'))
  return boss.start()
}

export async function sendJob<Name extends QueueName>(name: Name, payload: QueuePayload[Name]): Promise<void> {
  await (await queue()).send(name, payload)
}

/** A connection of a transaction as the queue library wants it. */
interface PgConnection {
  query(text: string, values: unknown[]): Promise<{ rows: unknown[] }>
}

/** Puts a job into the queue with what it is about: both are there, or neither. */
export async function sendJobIn<Name extends QueueName>(
  trx: Knex.Transaction,
  name: Name,
  payload: QueuePayload[Name],
): Promise<void> {
  const connection = (await (
    trx.client as { acquireConnection(): Promise<PgConnection> }
  ).acquireConnection()) as PgConnection
  await (
    await queue()
  ).send(name, payload, { db: { executeSql: (text: string, values: unknown[]) => connection.query(text, values) } })
}

export async function closeQueue(): Promise<void> {
  const opened = globalForQueue.slowReedQueue
  globalForQueue.slowReedQueue = undefined
  await (await opened)?.stop({ graceful: true, close: true, timeout: 5000 })
}
