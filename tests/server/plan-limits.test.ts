import { addDays, isoWeekday } from '@/core/numeric/calendar'
import type { FirmId, PondId, SiteId } from '@/domain/shared/ids'
import type { Site } from '@/domain/customers/customer'
import { FirmPeriodInput } from '@/domain/firm/firm-period'
import { PlanWish, type PlanResult } from '@/domain/schedule/plan-run'
import { ServicePlan } from '@/domain/schedule/service-plan'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { listSites } from '@/server/customers/customer-repository'
import { closeQueue } from '@/server/platform/queue/queue'
import { people, setCrewSetup } from '@/server/firm/firm'
import { addFirmPeriod, endFirmPeriod } from '@/server/firm/firm-periods'
import { changeSite } from '@/server/customers/customers'
import { gatherPlan } from '@/server/schedule/gather'
import { setServicePlan } from '@/server/schedule/service-plans'
import { addPond } from '@/server/ponds/ponds'
import { daySheet } from '@/server/rounds/day-sheet'
import { planVisit } from '@/server/visits/visit-planning'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'
import { workOut as workOutOf } from '../fixtures/work-out'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const YEAR = new Date().getUTCFullYear() + 1
const TODAY = `${YEAR}-01-10`
const workOut = (firmId: FirmId, to = `${YEAR}-06-30`): Promise<PlanResult> =>
  workOutOf(firmId, PlanWish.parse({ from: TODAY, to }), TODAY, { iterations: 300 })
const line = (job: string, everyDays: number | null = null) => ({
  job,
  everyDays,
  from: null,
  to: null,
  priceMinor: null,
})

async function withPlan(name: string, lines = [line('spring-cleanout')]) {
  const firm = await makeFirm(name)
  const pondId = await addPond(firm.actors.owner, newPond())
  await setServicePlan(firm.actors.office, pondId, 0, ServicePlan.parse(lines))
  const [site] = await inFirm(firm.firmId, (trx) => listSites(trx))
  return { ...firm, pondId, site }
}
const period = (from: string, to: string, effect: FirmPeriodInput['effect']) =>
  FirmPeriodInput.parse({ name: effect, from, to, effect })
const inputOf = ({ id: _id, customerId: _customer, version: _version, ...site }: Site) => site

describe('days on which the work is different', () => {
  it('holidays of the firm: nobody is sent anywhere', async () => {
    const { firmId, actors } = await withPlan('Plover')
    const [first] = (await workOut(firmId)).changes
    const { id } = await addFirmPeriod(actors.office, period(addDays(first!.day, -2), addDays(first!.day, 2), 'closed'))
    const days = (await workOut(firmId)).changes.map((c) => c.day)
    expect(days.length).toBeGreaterThan(0)
    for (const day of days) expect(day < addDays(first!.day, -2) || day > addDays(first!.day, 2)).toBe(true)
    await endFirmPeriod(actors.office, id)
    expect((await workOut(firmId)).changes[0]!.day).toBe(first!.day)
    expect((await problemOf(endFirmPeriod(actors.office, id))).kind).toBe('not-found')
    expect((await problemOf(addFirmPeriod(actors.technician, period(TODAY, TODAY, 'closed')))).kind).toBe('forbidden')
    expect(
      FirmPeriodInput.safeParse({ name: 'x', from: '2027-05-02', to: '2027-05-01', effect: 'closed' }).error!.issues[0]!
        .path,
    ).toEqual(['to'])
  })
  it('no filling from the mains: a cleanout has to wait, a routine visit does not', async () => {
    const { firmId, actors } = await withPlan('Godwit', [line('spring-cleanout'), line('routine', 28)])
    await addFirmPeriod(actors.office, period(TODAY, `${YEAR}-12-31`, 'no-filling'))
    const { changes, unplaced } = await workOut(firmId)
    expect(changes.map((c) => c.job)).toContain('routine')
    expect(changes.map((c) => c.job)).not.toContain('spring-cleanout')
    expect(unplaced.find((u) => u.job === 'spring-cleanout')!.reasons).toEqual([{ code: 'site-closed' }])
  })
  it('school holidays: a school is visited only then, a camp only at other times', async () => {
    const { firmId, actors, site } = await withPlan('Whimbrel', [line('routine', 14)])
    const [from, to] = [`${YEAR}-04-05`, `${YEAR}-04-16`]
    await addFirmPeriod(actors.office, period(from, to, 'school-holidays'))
    const want = (schoolHolidays: Site['schoolHolidays'], version: number) =>
      changeSite(actors.office, site!.id as SiteId, version, { ...inputOf(site!), schoolHolidays })
    await want('only', 1)
    const only = (await workOut(firmId)).changes
    expect(only.length).toBeGreaterThan(0)
    for (const { day } of only) expect(day >= from && day <= to).toBe(true)
    await want('never', 2)
    const never = (await workOut(firmId)).changes
    expect(never.length).toBeGreaterThan(only.length)
    for (const { day } of never) expect(day >= from && day <= to).toBe(false)
  })
})

describe('crews', () => {
  it('set out from their own yard, on the sheet of the day too', async () => {
    const { firmId, actors, crewId, pondId, site } = await withPlan('Dunlin', [])
    await changeSite(actors.office, site!.id as SiteId, 1, { ...inputOf(site!), lat: 45, lon: -45 })
    await planVisit(actors.office, { pondId, visitType: 'routine', day: TODAY, startTime: '09:00', crewId, note: '' })
    const [crew] = (await people(actors.owner)).crews
    // the only site lies in the middle of all sites, where the firm's yard is taken to be
    expect((await daySheet(actors.office, crewId, TODAY)).ways.toStops).toEqual([0])
    await setCrewSetup(actors.office, crewId, crew!.version, { ...crew!.setup, yard: { lat: 45.2, lon: -45 } })
    expect((await daySheet(actors.office, crewId, TODAY)).ways.toStops[0]).toBeGreaterThan(15)
    const { input } = await inFirm(firmId, (trx) =>
      gatherPlan(trx, PlanWish.parse({ from: TODAY, to: addDays(TODAY, 20) }), TODAY, undefined),
    )
    expect(input.crews[0]!.depot).toBe(2)
  })
  it('bring fish only where their tanks hold them', async () => {
    const { firmId, actors, crewId } = await withPlan('Curlew')
    const [crew] = (await people(actors.owner)).crews
    expect((await workOut(firmId)).unplaced).toEqual([])
    await setCrewSetup(actors.office, crewId, crew!.version, { ...crew!.setup, tankM3: 0 })
    expect((await workOut(firmId)).unplaced[0]!.reasons[0]!.code).toBe('no-crew-tank')
  })
})

describe('waiting for its window', () => {
  it('what comes due after the days of the plan is named with its window, once', async () => {
    const { firmId, pondId } = await withPlan('Sanderling', [
      line('spring-cleanout'),
      line('netting'),
      line('routine', 28),
    ])
    const short = await workOut(firmId, `${YEAR}-06-30`)
    expect(short.changes.some((c) => c.job === 'spring-cleanout' && c.pondId === (pondId as PondId))).toBe(true)
    const jobs = short.waiting.map((w) => w.job).sort()
    // next year's cleanout, this year's netting, the next routine visit
    expect(jobs).toEqual(['netting', 'routine', 'spring-cleanout'])
    for (const w of short.waiting) expect(w.earliest > `${YEAR}-06-30` && isoWeekday(w.earliest) > 0).toBe(true)
    expect(short.waiting.find((w) => w.job === 'spring-cleanout')!.earliest.slice(0, 4)).toBe(String(YEAR + 1))
    expect(short.waiting.find((w) => w.job === 'netting')!.earliest.slice(0, 4)).toBe(String(YEAR))
  })
})
