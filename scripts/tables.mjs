// npm run tables: writes what the migrations make of every table as TypeScript, after a migration was added.
import { inRoot } from './lib/paths.mjs'
import { startPostgres } from './lib/postgres.mjs'
import { migrate } from './lib/database.mjs'
import { runOrStop } from './lib/processes.mjs'

const DATABASE = 'slow_reed_tables'
const file = inRoot('src', 'server', 'platform', 'db', 'tables.ts')
const cluster = await startPostgres('.slow-reed')
try {
  await cluster.ensureDatabase(DATABASE, { fresh: true })
  await migrate(cluster.ownerUrl(DATABASE), cluster.appPassword, null)
  await runOrStop(
    'The tables could not be described',
    process.execPath,
    ['--import', 'tsx', inRoot('scripts', 'tables.ts')],
    {
      quiet: true,
      env: { OWNER_DATABASE_URL: cluster.ownerUrl(DATABASE), TABLES_FILE: file },
    },
  )
  await runOrStop(
    'The description could not be formatted',
    process.execPath,
    [inRoot('node_modules', 'prettier', 'bin', 'prettier.cjs'), '--write', file],
    {
      quiet: true,
    },
  )
} finally {
  await cluster.stop()
}
