import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import knexFactory, { type Knex } from 'knex'
import { describeTables } from '@/server/platform/db/describe-tables'

const FILE = 'src/server/platform/db/tables.ts'

describe('the rows of every table', () => {
  let owner: Knex
  beforeAll(() => {
    owner = knexFactory({ client: 'pg', connection: process.env.OWNER_DATABASE_URL, pool: { min: 0, max: 1 } })
  })
  afterAll(() => owner.destroy())

  it('are described as the migrations make them: after a new migration, npm run tables', async () => {
    const described = execFileSync(
      process.execPath,
      ['node_modules/prettier/bin/prettier.cjs', '--stdin-filepath', FILE],
      {
        input: await describeTables(owner),
        encoding: 'utf8',
      },
    )
    expect(readFileSync(FILE, 'utf8')).toBe(described)
  })
})
