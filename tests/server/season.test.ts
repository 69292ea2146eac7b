import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { addDays } from '@/core/numeric/calendar'
import type { PondId } from '@/domain/shared/ids'
import { closeDatabase, database } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { weatherDesk } from '@/server/platform/gateways/weather'
import { closeQueue } from '@/server/platform/queue/queue'
import { windowsOfPonds } from '@/server/season/windows-of-ponds'
import { firm, setHouseRules } from '@/server/firm/firm'
import { addPond } from '@/server/ponds/ponds'
import { setServicePlan } from '@/server/schedule/service-plans'
import { seasonPage } from '@/server/season/season-view'
import { todayPage } from '@/server/today/today'
import { planVisit, planningPage } from '@/server/visits/visit-planning'
import { weather } from '@/server/season/weather'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

describe('a pond’s year', () => {
  it('is kept ready and worked out again when the house rules changes', async () => {
    const { actors, firmId } = await makeFirm('Alkanet')
    const id = await addPond(actors.owner, newPond())
    const hash = () =>
      inFirm(firmId, async (trx) => (await trx('pond_seasons').where({ pond_id: id }).first())!.input_hash)
    const before = await hash()
    await pondOnFile(actors.owner, id)
    expect(await hash()).toBe(before)
    const { rules, version } = await firm(actors.owner)
    const feeding = async () =>
      (await pondOnFile(actors.owner, id)).season!.windows.find((w) => w.job === 'feeding-start')!.best
    const early = await feeding()
    await setHouseRules(actors.owner, version, { ...rules, feedingStartWaterC: 14 })
    // what a worker does with the job
    await windowsOfPonds(actors.owner.firmId)
    expect((await feeding()) > early).toBe(true)
    expect(await hash()).not.toBe(before)
  })
  it('is shared by ponds alike, and by no other', async () => {
    const { actors, firmId } = await makeFirm('Bugle')
    const ids = [
      await addPond(actors.owner, newPond()),
      await addPond(actors.owner, { ...newPond(), pond: { ...newPond().pond, altitudeM: 380 } }),
    ]
    // as nobody would work it out: who has it has it from the first
    await inFirm(firmId, (trx) =>
      trx('pond_seasons')
        .where({ pond_id: ids[0]! })
        .update({ season: trx.raw(`season || '{"marked": true}'`) }),
    )
    const seasonAt = (id: PondId) =>
      inFirm(firmId, async (trx) => (await trx('pond_seasons').where({ pond_id: id }).first('season'))!.season)
    expect(await seasonAt(await addPond(actors.owner, newPond()))).toMatchObject({ marked: true })
    expect(await seasonAt(ids[1]!)).not.toMatchObject({ marked: true })
  })
  it('moves in the season view too, without anyone opening the pond', async () => {
    const { actors } = await makeFirm('Betony')
    await addPond(actors.owner, newPond())
    const feeding = async () => (await seasonPage(actors.office, 2027, 'feeding-start')).rows[0]!.window!.best
    const early = await feeding()
    const { rules, version } = await firm(actors.owner)
    await setHouseRules(actors.owner, version, { ...rules, feedingStartWaterC: 14 })
    // what a worker does with the job
    await windowsOfPonds(actors.owner.firmId)
    expect((await feeding()) > early).toBe(true)
  })
  it('lets two owners’ house rules clash openly', async () => {
    const { actors } = await makeFirm('Bistort')
    const { rules, version } = await firm(actors.owner)
    await setHouseRules(actors.owner, version, { ...rules, growthYears: 3 })
    expect(await problemOf(setHouseRules(actors.owner, version, { ...rules, growthYears: 8 }))).toMatchObject({
      kind: 'conflict',
      current: { rules: { growthYears: 3 } },
    })
    expect((await problemOf(setHouseRules(actors.office, version, rules))).kind).toBe('forbidden')
  })
  it('stands in the season view with windows in the asked year and its visits', async () => {
    const { actors, crewId } = await makeFirm('Comfrey')
    const pondId = await addPond(actors.owner, newPond())
    const plan = await planningPage(actors.office, pondId, 'spring-cleanout')
    expect(plan.proposals.length).toBeGreaterThan(3)
    expect(plan.proposals.every((p) => p.day >= plan.window!.earliest && p.day <= plan.window!.latest)).toBe(true)
    const day = plan.proposals[0]!.day
    await planVisit(actors.office, { pondId, visitType: 'spring-cleanout', day, startTime: '08:00', crewId, note: '' })
    const { rows } = await seasonPage(actors.technician, Number(day.slice(0, 4)), 'spring-cleanout')
    expect(rows).toHaveLength(1)
    expect(rows[0]!.weeklyC).toHaveLength(52)
    expect(rows[0]!.visits.map((v) => v.day)).toEqual([day])
    expect(Object.values(rows[0]!.window!).every((d) => d.startsWith(day.slice(0, 4)))).toBe(true)
    expect(rows[0]!.agreed).toBe(false)
  })
  it('plans the minutes that the form tells, for every visit type', async () => {
    const { actors, crewId } = await makeFirm('Sedge')
    const pondId = await addPond(actors.owner, newPond())
    for (const visitType of ['spring-cleanout', 'routine', 'wetland-flush'] as const) {
      const form = await planningPage(actors.office, pondId, visitType)
      const day = addDays(form.today, 30 + visitType.length)
      const id = await planVisit(actors.office, { pondId, visitType, day, startTime: '08:00', crewId, note: '' })
      const saved = (await planningPage(actors.office, pondId, visitType)).visits.find((v) => v.id === id)!
      expect(saved.plannedMinutes).toBe(form.crews.find((c) => c.id === crewId)!.plannedMinutes)
    }
  })
})

describe('the morning', () => {
  it('counts ponds whose cleanout is not planned yet, and takes a planned one off', async () => {
    const { actors, crewId } = await makeFirm('Daisy')
    const pondId = await addPond(actors.owner, newPond())
    await addPond(actors.owner, newPond({ name: 'Second' }))
    expect(await todayPage(actors.office)).toMatchObject({ pondCount: 2, toPlanCount: 2 })
    const { proposals } = await planningPage(actors.office, pondId, 'spring-cleanout')
    await planVisit(actors.office, {
      pondId,
      visitType: 'spring-cleanout',
      day: proposals[0]!.day,
      startTime: '08:00',
      crewId,
      note: '',
    })
    const morning = await todayPage(actors.office)
    expect(morning.toPlan.map((w) => w.pondName)).toEqual(['Second'])
    expect(morning.water!.coldest).toBeLessThanOrEqual(morning.water!.warmest!)
  })
  it('asks for no cleanout where the customer has agreed to other care', async () => {
    const { actors } = await makeFirm('Dropwort')
    const lines = (job: string) => [
      { job, everyDays: null, from: null, to: null, starts: null, ends: null, priceMinor: null },
    ]
    const [light, full] = [
      await addPond(actors.owner, newPond({ name: 'Light' })),
      await addPond(actors.owner, newPond({ name: 'Full' })),
    ]
    await setServicePlan(actors.owner, light, 0, lines('spring-startup'))
    await setServicePlan(actors.owner, full, 0, lines('spring-cleanout'))
    const { toPlan, toPlanCount } = await todayPage(actors.office)
    expect([toPlanCount, toPlan.map((w) => w.pondName)]).toEqual([1, ['Full']])
  })
})

describe('the weather source', () => {
  // before the desk fails: after a failure it is left alone for a while
  it('hands out the same text fresh from the desk as from the table, so that ready seasons stay valid', async () => {
    // old, not gone: other tests go by the stations meanwhile
    const old = new Date(Date.now() - 3 * 86_400_000)
    await database()('weather_stations').update({ fetched_at: old })
    const fresh = await weather()
    expect(fresh.stations.length).toBeGreaterThan(2)
    expect(Date.parse(fresh.fetchedAt!)).toBeGreaterThan(old.getTime() + 86_400_000)
    expect(JSON.stringify((await weather()).stations)).toBe(JSON.stringify(fresh.stations))
  })
  it('keeps the normals it fetched and goes on with them when the desk is gone', async () => {
    expect((await weather()).stations.length).toBeGreaterThan(2)
    const { WEATHER_DESK_URL } = process.env
    process.env.WEATHER_DESK_URL = 'http://127.0.0.1:9'
    await database()('weather_stations').update({ fetched_at: new Date(Date.now() - 3 * 86_400_000) })
    const old = await weather()
    expect(old.reachable).toBe(false)
    expect(old.stations.length).toBeGreaterThan(2)
    expect(Date.now() - Date.parse(old.fetchedAt!)).toBeGreaterThan(2 * 86_400_000)
    process.env.WEATHER_DESK_URL = WEATHER_DESK_URL
    await database()('weather_stations').update({ fetched_at: new Date() })
  })
  it('refuses an answer that is not a weather desk’s', async () => {
    const server = createServer((_, response) => response.end('{"stations":[{"id":1}]}')).listen(0, '127.0.0.1')
    await new Promise((resolve) => server.once('listening', resolve))
    await expect(weatherDesk(`http://127.0.0.1:${(server.address() as AddressInfo).port}`).stations()).rejects.toThrow()
    server.close()
  })
})
