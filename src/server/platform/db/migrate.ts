import { readdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import knexFactory, { type Knex } from 'knex'
import PgBoss from 'pg-boss'
import './calendar-days'
import { QUEUE_SCHEMA, QUEUES } from '@/server/platform/queue/queues'

const folder = join(dirname(fileURLToPath(import.meta.url)), 'migrations')

/**
 * Migrations as modules: their sources while developing and in tests, one built file each beside the app. What has run
 * is known by the name of its source.
 */
const source: Knex.MigrationSource<string> = {
  getMigrations: async () =>
    readdirSync(folder)
      .filter((name) => /^\d{3}-.*\.(ts|mjs)$/.test(name))
      .sort(),
  getMigrationName: (name) => name.replace(/\.mjs$/, '.ts'),
  getMigration: async (name) => (await import(pathToFileURL(join(folder, name)).href)) as Knex.Migration,
}

/** The app connects as this role: it owns nothing, so row-level security binds it. */
const APP_ROLE = 'slow_reed_app'

async function ensureAppRole(knex: Knex, password: string): Promise<void> {
  const { rows } = await knex.raw('select 1 from pg_roles where rolname = ?', [APP_ROLE])
  // DDL takes no bind parameters; format() quotes the password safely
  const verb = rows.length > 0 ? 'alter' : 'create'
  const { rows: statement } = await knex.raw(
    `select format('${verb} role ${APP_ROLE} login nosuperuser nobypassrls password %L', ?::text) as sql`,
    [password],
  )
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
  // what goes past row-level security is named door_…: the app may call all of these and nothing else
  const { rows } = await knex.raw(
    `select p.oid::regprocedure::text as door from pg_proc p join pg_namespace n on n.oid = p.pronamespace where n.nspname = 'public' and p.prosecdef and p.proname like 'door\\_%'`,
  )
  for (const { door } of rows as { door: string }[]) {
    // a temporary table of the caller's must not stand in for one of ours
    await knex.raw(`alter function ${door} set search_path = public, pg_temp`)
    await knex.raw(`grant execute on function ${door} to ${APP_ROLE}`)
  }
  await handOverDoors(
    knex,
    rows.map((r: { door: string }) => r.door),
  )
  const { rows: here } = await knex.raw('select current_database() as name')
  await knex.raw('revoke temporary on database ?? from public, ??', [here[0].name, APP_ROLE])
}

/** Owns the doors where the one who migrates is a superuser: whoever finds a hole in one of them is none. */
const DOOR_ROLE = 'slow_reed_doors'

async function handOverDoors(knex: Knex, doors: readonly string[]): Promise<void> {
  const { rows: me } = await knex.raw('select rolsuper from pg_roles where rolname = current_user')
  if (!me[0].rolsuper) return
  const { rows } = await knex.raw('select 1 from pg_roles where rolname = ?', [DOOR_ROLE])
  if (rows.length === 0)
    await knex.raw(`create role ${DOOR_ROLE} nologin nosuperuser nocreatedb nocreaterole bypassrls`)
  await knex.raw(`grant usage on schema public, ${QUEUE_SCHEMA} to ${DOOR_ROLE}`)
  await knex.raw(`grant select, insert, update on all tables in schema public to ${DOOR_ROLE}`)
  await knex.raw(`revoke all on knex_migrations, knex_migrations_lock from ${DOOR_ROLE}`)
  await knex.raw(`grant select on all tables in schema ${QUEUE_SCHEMA} to ${DOOR_ROLE}`)
  await knex.raw(`grant create on schema public to ${DOOR_ROLE}`)
  for (const door of doors) await knex.raw(`alter function ${door} owner to ${DOOR_ROLE}`)
  await knex.raw(`revoke create on schema public from ${DOOR_ROLE}`)
}

/** The job queue keeps its tables in a schema of its own; making them and its queues takes the owner's rights. */
async function prepareQueue(ownerUrl: string): Promise<void> {
  const boss = new PgBoss({
    connectionString: ownerUrl,
    schema: QUEUE_SCHEMA,
    supervise: false,
    schedule: false,
    max: 2,
  })
  // an error that is not listened for would end the process
  boss.on('error', () => {})
  await boss.start()
  for (const [name, options] of Object.entries(QUEUES))
    if (!(await boss.getQueue(name))) await boss.createQueue(name, { name, ...options })
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
