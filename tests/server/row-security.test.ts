import knexFactory, { type Knex } from 'knex'
import type { CrewId } from '@/domain/shared/ids'
import { listPonds } from '@/server/ponds/pond-repository'
import { closeDatabase, database } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { addPond } from '@/server/ponds/ponds'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

let owner: Knex
beforeAll(() => {
  owner = knexFactory({ client: 'pg', connection: process.env.OWNER_DATABASE_URL })
})
afterAll(async () => {
  await owner.destroy()
  await closeDatabase()
})

describe('the wall between firms', () => {
  it('stands around every table that carries a firm', async () => {
    const { rows } = await owner.raw(
      `select c.relname, c.relrowsecurity from information_schema.columns k join pg_class c on c.relname = k.table_name
       where k.column_name = 'firm_id' and k.table_schema = 'public' and c.relkind = 'r'`,
    )
    expect(rows.length).toBeGreaterThan(8)
    expect(rows.filter((r: { relrowsecurity: boolean }) => !r.relrowsecurity)).toEqual([])
  })
  it('binds the role the app connects with: no owner of tables, no bypass', async () => {
    const { rows } = await database().raw(
      'select current_user as who, (select rolbypassrls or rolsuper from pg_roles where rolname = current_user) as free',
    )
    expect(rows[0]).toEqual({ who: 'slow_reed_app', free: false })
    const { rows: owned } = await owner.raw(
      `select count(*)::int as n from pg_tables where tableowner = 'slow_reed_app'`,
    )
    expect(owned[0].n).toBe(0)
  })
  it('shows nothing without a firm', async () => expect(await database()('ponds').select('id')).toEqual([]))
  it('hides one firm’s ponds from another, by list and by id', async () => {
    const [a, b] = [await makeFirm('Alder'), await makeFirm('Birch')]
    const id = await addPond(a.actors.owner, newPond())
    expect((await inFirm(b.firmId, listPonds)).map((p) => p.id)).not.toContain(id)
    expect((await problemOf(pondOnFile(b.actors.owner, id))).kind).toBe('not-found')
  })
  it('refuses a row written for another firm', async () => {
    const [a, b] = [await makeFirm('Cedar'), await makeFirm('Dogwood')]
    await expect(
      inFirm(a.firmId, (trx) =>
        trx('crews').insert({ id: b.crewId.replace(/^./, '0') as CrewId, firm_id: b.firmId, name: 'Intruder' }),
      ),
    ).rejects.toThrow(/row-level security/)
  })
})
