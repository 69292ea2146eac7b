import { writeFileSync } from 'node:fs'
import knexFactory from 'knex'
import { describeTables } from '../src/server/platform/db/describe-tables'

const { OWNER_DATABASE_URL, TABLES_FILE } = process.env
if (!OWNER_DATABASE_URL || !TABLES_FILE)
  throw new Error('OWNER_DATABASE_URL says which database, TABLES_FILE where its description goes.')
const knex = knexFactory({ client: 'pg', connection: OWNER_DATABASE_URL, pool: { min: 0, max: 1 } })
try {
  writeFileSync(TABLES_FILE, await describeTables(knex))
} finally {
  await knex.destroy()
}
