import knexFactory, { type Knex } from 'knex'
import './calendar-days'

const globalForKnex = globalThis as unknown as { slowReedKnex?: Knex }

/** The one connection pool of this process, as the app's own role. */
export function database(): Knex {
  const connection = process.env.APP_DATABASE_URL
  if (!connection)
    throw new Error('APP_DATABASE_URL is not set: start the app with npm run demo, npm start or npm run dev.')
  return (globalForKnex.slowReedKnex ??= knexFactory({
    client: 'pg',
    connection,
    pool: { min: 0, max: 10 },
    acquireConnectionTimeout: 4000,
  }))
}

export async function closeDatabase(): Promise<void> {
  await globalForKnex.slowReedKnex?.destroy()
  globalForKnex.slowReedKnex = undefined
}

/** Whether an error means that the database cannot be reached, or cannot write for want of disk (53100), just now. */
export function isDatabaseLost(error: unknown): boolean {
  if (!(error instanceof Error)) return false
  const code = (error as { code?: string }).code ?? ''
  return (
    [
      'ECONNREFUSED',
      'ECONNRESET',
      'EPIPE',
      'ENOTFOUND',
      'ETIMEDOUT',
      '53100',
      '57P01',
      '57P02',
      '57P03',
      '08006',
      '08003',
      '08001',
    ].includes(code) ||
    /Connection terminated|Timeout acquiring a connection|Unable to acquire a connection/.test(error.message)
  )
}
