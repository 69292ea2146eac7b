import { readdirSync } from 'node:fs'
import knexFactory, { type Knex } from 'knex'
import type { DesignId, PondId, UserId, VisitId, WhatIfId } from '@/domain/shared/ids'
import { findDesignDraft } from '@/server/design/design-draft-repository'
import { findDesign } from '@/server/design/design-repository'
import { findFirm } from '@/server/firm/firm-repository'
import { findWhatIf } from '@/server/forecasts/what-if-repository'
import { findPriceBook } from '@/server/prices/price-repository'
import { EMPTY_SITE_SURVEY } from '@/core/site-plan/site-survey'
import { findPond } from '@/server/ponds/pond-repository'
import { findVisit } from '@/server/visits/visit-repository'
import { findOwnVisitType } from '@/server/visits/own-visit-type-repository'
import { EARLIER_SHAPES, OLD, OLD_IDS, OLD_LINK, OLD_VISITS } from '../fixtures/every-earlier-shape'

const DATABASE = 'slow_reed_forward'
const FOLDER = 'src/server/platform/db/migrations'
const NAMES = readdirSync(FOLDER).sort()

/** The migrations up to one, as they were on its day. */
const upTo = (last: string): Knex.MigrationSource<string> => ({
  getMigrations: async () => NAMES.filter((name) => name <= last),
  getMigrationName: (name) => name,
  getMigration: async (name) => import(`@/server/platform/db/migrations/${name}`),
})

const ownerOf = (database: string): Knex => {
  const url = new URL(process.env.OWNER_DATABASE_URL!)
  url.pathname = `/${database}`
  return knexFactory({ client: 'pg', connection: url.href, pool: { min: 0, max: 1 } })
}

describe('migrations forward, on data of every earlier shape', () => {
  let admin: Knex
  let db: Knex
  beforeAll(async () => {
    admin = ownerOf('postgres')
    await admin.raw('drop database if exists ??', [DATABASE])
    await admin.raw('create database ??', [DATABASE])
    db = ownerOf(DATABASE)
    for (const name of NAMES) {
      await db.migrate.latest({ migrationSource: upTo(name) })
      for (const [table, ...rows] of EARLIER_SHAPES[name] ?? []) await db(table).insert(rows)
      if (name === '007-visits-and-notices.ts')
        await db('visits')
          .where({ id: OLD_VISITS.secondDay as VisitId })
          .update({ tasks: JSON.stringify([{ id: 'second-day', title: 'Second day' }]) })
      if (name === '004-house-answers.ts')
        await db('ponds').update({
          ['own_practice' as never]: JSON.stringify({ school: { value: 'nitrogen', reason: 'Koi' } }),
        })
    }
  }, 120_000)
  afterAll(async () => {
    await db.destroy()
    await admin.raw('drop database if exists ??', [DATABASE])
    await admin.destroy()
  })
  const read = <Value>(work: (trx: Knex.Transaction) => Promise<Value>): Promise<Value> => db.transaction(work)

  it('a row that others point at is removed without reading their whole tables', async () => {
    // the first column of the index is the key's; people are never removed
    const { rows } = await db.raw(`select k.conrelid::regclass || '.' || a.attname as key
      from pg_constraint k join pg_attribute a on a.attrelid = k.conrelid and a.attnum = k.conkey[1]
      where k.contype = 'f' and k.confrelid <> 'users'::regclass and not exists (
        select 1 from pg_index i where i.indrelid = k.conrelid and i.indpred is null and i.indkey[0] = k.conkey[1])`)
    expect(rows.map(({ key }: { key: string }) => key)).toEqual([])
  })

  it('the firm and its pond go by the rules they had', async () => {
    const firm = await read(findFirm)
    expect(firm).toMatchObject({ name: 'Old firm', rules: { sizingMethod: 'surface', cleanoutMaxWaterC: 12 } })
    expect((await read((trx) => findPond(trx, OLD.pond as PondId)))!.ownRules).toEqual({
      sizingMethod: { value: 'nitrogen', reason: 'Koi' },
    })
  })

  it('a pond has nothing marked around it, and a design stands nowhere yet', async () => {
    expect((await read((trx) => findPond(trx, OLD.pond as PondId)))!.siteSurvey).toEqual(EMPTY_SITE_SURVEY)
    expect((await read((trx) => findDesign(trx, OLD.design as DesignId)))!.bed).toMatchObject({
      shape: { kind: 'rectangle' },
      layout: null,
    })
  })

  it('a design of the first format and a draft are read whole', async () => {
    expect((await read((trx) => findDesign(trx, OLD.design as DesignId)))!.bed).toMatchObject({
      type: 'lined-wetland',
      sizingMethod: 'volume',
      pumpId: 'S24',
    })
    const draft = await read((trx) => findDesignDraft(trx, OLD.pond as PondId, OLD.user as UserId))
    expect(draft!.draft.bed).toEqual({ type: 'lined-wetland', sizingMethod: 'nitrogen' })
  })

  it('a firm’s price of the one vessel there was is that of its 60 cm barrel', async () => {
    const { book } = await read(findPriceBook)
    const vessels = book.items.filter((item) => item.key.startsWith('vessel'))
    expect(vessels[0]).toMatchObject({ key: 'vessel:60', name: 'Barrel', costMinor: 6500 })
    // the other sizes join with their defaults, and every other line stays where it stood
    expect(new Set(vessels.map((item) => item.key)).size).toBe(7)
    expect(book.items[0]).toMatchObject({ key: 'liner', costMinor: 900 })
  })

  it('a firm’s price of its one drum is that of the middle size, and the others follow', async () => {
    const { book } = await read(findPriceBook)
    const cost = (size: number) => book.items.find((item) => item.key === `unit:drum:${size}`)
    expect(cost(20)).toMatchObject({ name: 'Drum 20', costMinor: 300_000 })
    expect(cost(10)!.costMinor).toBe(Math.round(300_000 * 0.5 ** 0.6))
    expect(cost(100)!.costMinor).toBeGreaterThan(cost(60)!.costMinor)
    expect(book.items.filter((item) => item.key.startsWith('companion'))).toEqual([])
    expect(new Set(book.items.map((item) => item.key)).size).toBe(book.items.length)
  })

  it('a firm’s price of a fitting and of its vault is that of the usual size, and the others follow', async () => {
    const { book } = await read(findPriceBook)
    const of = (key: string) => book.items.find((item) => item.key === key)
    expect(of('fitting:union:50 mm')).toMatchObject({ name: 'Union, 50 mm', costMinor: 1000 })
    expect(of('fitting:union:110 mm')!.costMinor).toBe(Math.round(1000 * (0.101 / 0.045) ** 1.35))
    expect(of('vault:40')).toMatchObject({ name: 'Vault, 40 cm', costMinor: 30_000 })
    expect(of('vault:80')!.costMinor).toBe(Math.round(30_000 * 2 ** 1.2))
    // its own fitting keeps its one price, and what is no part is none any more
    expect(of('fitting:long-bend')).toMatchObject({ costMinor: 990 })
    expect([of('vault'), of('fitting:union'), of('fitting:exit')]).toEqual([undefined, undefined, undefined])
  })

  it('answers in words have codes, in visits, their logs and own visit types', async () => {
    const codes = ['pond-water', 'tap-water']
    const visit = (await read((trx) => findVisit(trx, OLD_VISITS.media as VisitId)))!
    expect(visit.job.steps[0]!.choices!.map((c) => c.code)).toEqual(codes)
    const { entry } = (await db('visit_entries').where('id', OLD_IDS.entry).first('entry'))!
    expect(entry).toMatchObject({ answer: { choice: 'pond-water' } })
    const own = await read((trx) => findOwnVisitType(trx, 'spring-startup'))
    expect(own.job!.steps[0]!.choices!.map((c) => c.code)).toEqual(codes)
  })

  it('the two days of a cleanout know each other, in the calendar and in the plan that found them', async () => {
    const second = (await read((trx) => findVisit(trx, OLD_VISITS.secondDay as VisitId)))!
    expect(second).toMatchObject({ legOf: OLD_VISITS.firstDay, job: { key: 'cleanout-second-day' }, tasks: [] })
    const { result } = (await db('plan_runs').first('result'))!
    expect(result).toMatchObject({
      roads: 'straight-line',
      changes: [
        { key: 'v', pair: 'v:second-day', tell: { byEmail: true } },
        { key: 'v:second-day', pair: 'v', job: 'cleanout-second-day' },
      ],
    })
    expect(JSON.stringify(result)).not.toContain('byLetter')
  })

  it('a proposal, a what-if, a forecast and a season of the trainer keep what they say', async () => {
    const { content } = (await db('proposals').first('content'))!
    expect(content).toEqual({
      // a value that reads as an old key stays
      title: 'practice',
      rules: { feedProtein: 0.4 },
      houseMethod: 'surface',
      options: [{ label: 'A', design: { sizingMethod: 'surface' } }],
    })
    expect(await read((trx) => findWhatIf(trx, OLD_IDS.whatIf as WhatIfId, OLD.pond as PondId))).toEqual({
      name: 'Stages',
      options: [{ name: 'As it is' }],
    })
    expect(await db('pond_forecasts').first('risk', 'risks')).toEqual({
      risk: 0.4,
      risks: [{ hazard: 'nitrite', risk: 0.4 }],
    })
    expect(await db('trainer_games').first('points', 'stars')).toEqual({ points: 80, stars: 2 })
  })

  it('a customer who was told by telephone counts as notified', async () =>
    expect(await db('notices').pluck('state')).toEqual(['notified']))

  it('a customer’s link from an old letter still opens their page', async () => {
    const { rows } = await db.raw('select firm_id, customer_id from door_customer_link(?)', [OLD_LINK])
    expect(rows).toEqual([{ firm_id: OLD.firm, customer_id: OLD.customer }])
  })
})
