import { spawnSync } from 'node:child_process'
import { rmSync } from 'node:fs'
import knexFactory from 'knex'
import { migrate } from '@/server/platform/db/migrate'

const FOLDER = '.slow-reed-test/survival'

describe('the private database', () => {
  afterAll(() => rmSync(FOLDER, { recursive: true, force: true }))
  it('comes back by itself after kill -9 and keeps everything through a restart', () => {
    const { stdout, stderr, status } = spawnSync(process.execPath, ['tests/fixtures/cluster-survival.mjs', FOLDER], {
      encoding: 'utf8',
      timeout: 60_000,
    })
    expect({ status, stderr: status === 0 ? '' : stderr }).toEqual({ status: 0, stderr: '' })
    expect(JSON.parse(stdout)).toEqual({
      afterKill: [{ n: 1 }],
      afterRestart: [{ n: 1 }, { n: 2 }],
      loopback: '127.0.0.1',
    })
  }, 70_000)
})

describe('migrations', () => {
  it('can be run again on a database that has data, and change nothing', async () => {
    const owner = knexFactory({ client: 'pg', connection: process.env.OWNER_DATABASE_URL })
    const password = new URL(process.env.APP_DATABASE_URL!).password
    const shape = async () =>
      (
        await owner.raw(
          `select table_name, column_name, data_type from information_schema.columns where table_schema = 'public' order by 1, 2`,
        )
      ).rows
    const before = await shape()
    await migrate(process.env.OWNER_DATABASE_URL!, password)
    expect(await shape()).toEqual(before)
    await owner.destroy()
  })
})
