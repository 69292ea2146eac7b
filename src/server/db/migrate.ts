import { readdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import knexFactory, { type Knex } from 'knex'
import PgBoss from 'pg-boss'
import { QUEUE_SCHEMA, QUEUES } from '../jobs/queues'

const folder = join(dirname(fileURLToPath(import.meta.url)), 'migrations')

/** Migrations as modules, so that TypeScript files run without being built first. */
const source: Knex.MigrationSource<string> = {
  getMigrations: async () =>
    readdirSync(folder)
      .filter((name) => /^\d{3}-.*\.ts$/.test(name))
      .sort(),
  getMigrationName: (name) => name,
  getMigration: async (name) => (await import(pathToFileURL(join(folder, name)).href)) as Knex.Migration,
}

/** The app connects as this role: it owns nothing, so row-level security binds it. */
export const APP_ROLE = 'slow_reed_app'

async function ensureAppRole(knex: Knex, password: string): Promise<void> {
  const { rows } = await knex.raw('select 1 from pg_roles where rolname = ?', [APP_ROLE])
  // DDL takes no bind parameters; format() quotes the password safely
  const verb = rows.length > 0 ? 'alter' : 'create'
  const { rows: statement } = await knex.raw(`select format('${verb} role ${APP_ROLE} login nosuperuser nobypassrls password %L', ?::text) as sql`, [password])
  await knex.raw(statement[0].sql)
}

async function grantApp(knex: Knex): Promise<void> {
  await knex.raw(`grant usage on schema public to ${APP_ROLE}`)
  await knex.raw(`grant select, insert, update, delete on all tables in schema public to ${APP_ROLE}`)
  await knex.raw(`grant usage on schema ${QUEUE_SCHEMA} to ${APP_ROLE}`)
  await knex.raw(`grant select, insert, update, delete on all tables in schema ${QUEUE_SCHEMA} to ${APP_ROLE}`)
  await knex.raw(`grant execute on all functions in schema ${QUEUE_SCHEMA} to ${APP_ROLE}`)
  await knex.raw(`revoke all on knex_migrations, knex_migrations_lock from ${APP_ROLE}`)
  await knex.raw(`revoke execute on all functions in schema public from public`)
  await knex.raw(
    `grant execute on function door_user_by_email(text), door_session(text), door_has_firms(), door_proposal(text), door_answer_proposal(text, text, text, int, text, date), door_stale_plan_runs(interval), door_stale_forecast_runs(interval), door_firm_ids(), door_calendar_feed(text), door_customer_link(text), door_api_key(text) to ${APP_ROLE}`,
  )
}

/** The job queue keeps its tables in a schema of its own; making them and its queues takes the owner's rights. */
async function prepareQueue(ownerUrl: string): Promise<void> {
  const boss = new PgBoss({ connectionString: ownerUrl, schema: QUEUE_SCHEMA, supervise: false, schedule: false, max: 2 })
  // an error that is not listened for would end the process
  boss.on('error', () => {})
  await boss.start()
  for (const [name, options] of Object.entries(QUEUES)) if (!(await boss.getQueue(name))) await boss.createQueue(name, { name, ...options })
  await boss.stop({ graceful: false, close: true })
}

/** Brings a database to the newest schema and gives the app's role its rights. Safe to run again. */
export async function migrate(ownerUrl: string, appPassword: string): Promise<void> {
  const knex = knexFactory({ client: 'pg', connection: ownerUrl, pool: { min: 0, max: 2 } })
  try {
    await knex.migrate.latest({ migrationSource: source })
    await prepareQueue(ownerUrl)
    await ensureAppRole(knex, appPassword)
    await grantApp(knex)
  } finally {
    await knex.destroy()
  }
}
