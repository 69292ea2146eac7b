import { addDays } from '@/core/numeric/calendar'
import { ServicePlan } from '@/domain/schedule/service-plan'
import { closeDatabase } from '@/server/platform/db/connection'
import { listSites } from '@/server/customers/customer-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { closeQueue } from '@/server/platform/queue/queue'
import { changeSite } from '@/server/customers/customers'
import { forgetBusy, importBusy } from '@/server/exchange/busy-file'
import { exchangePage } from '@/server/exchange/exchange-page'
import { importServicePlans, servicePlansAsCsv } from '@/server/exchange/service-plan-file'
import { importSites, sitesAsCsv, sitesAsGeoJson } from '@/server/exchange/sites'
import { visitsAsCsv } from '@/server/exchange/visit-file'
import { servicePlan, setServicePlan } from '@/server/schedule/service-plans'
import { addPond } from '@/server/ponds/ponds'
import { planVisit } from '@/server/visits/visit-planning'
import { customersOnFile } from '../fixtures/customers-on-file'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})
const today = new Date().toISOString().slice(0, 10)

describe('sites', () => {
  it('go out and come back as CSV and GeoJSON without a change', async () => {
    const { actors, firmId } = await makeFirm('Avocet')
    await addPond(actors.owner, newPond())
    const [site] = await inFirm(firmId, listSites)
    const { id: _id, customerId: _c, version, ...input } = site!
    await changeSite(actors.office, site!.id, version, {
      ...input,
      lat: 45.1,
      lon: -45.2,
      opens: '08:00',
      closedDays: ['wed'],
    })
    const before = (await inFirm(firmId, listSites))[0]
    const nothing = { added: 0, changed: 0, same: 1, problems: [] }
    expect(await importSites(actors.office, 'csv', await sitesAsCsv(actors.office))).toMatchObject(nothing)
    expect(
      await importSites(actors.office, 'geojson', JSON.stringify(await sitesAsGeoJson(actors.office))),
    ).toMatchObject(nothing)
    expect((await inFirm(firmId, listSites))[0]).toEqual(before)
  })
  it('are added with their customers; rows that do not read are named', async () => {
    const { actors } = await makeFirm('Stilt')
    await addPond(actors.owner, newPond())
    const csv =
      'customer,site,lat,lon,station\nLowen Carew,Weir House,45.0,-45.0,ferrygate\n,Nameless,,,\nPer Holm,Boathouse,45.0,,\nEde M,Bank,45,-45,nowhere'
    const { added, problems } = await importSites(actors.office, 'csv', csv)
    expect(added).toBe(1)
    expect(problems.map((p) => p.line).sort()).toEqual([3, 4, 5])
    expect((await customersOnFile(actors.office)).customers.map((c) => c.name)).toContain('Lowen Carew')
    expect((await problemOf(importSites(actors.technician, 'csv', csv))).kind).toBe('forbidden')
    expect((await importSites(actors.office, 'geojson', '[]')).problems[0]!.message).toContain('feature collection')
  })
})

describe('a file of sites', () => {
  it('is looked at before anything is written', async () => {
    const { actors, firmId } = await makeFirm('Turnstone')
    await addPond(actors.owner, newPond())
    const csv = 'customer,email,site,town\nCustomer,,Site,Reedham\nLowen Carew,lowen@carew.example,Weir House,Ferry'
    const seen = await importSites(actors.office, 'csv', csv, true)
    expect(seen).toMatchObject({
      added: 1,
      changed: 1,
      preview: true,
      rows: [
        { line: 2, what: 'changed', fields: ['town'] },
        { line: 3, what: 'added' },
      ],
    })
    expect(await inFirm(firmId, listSites)).toHaveLength(1)
    expect(await importSites(actors.office, 'csv', csv)).toMatchObject({ added: 1, changed: 1, preview: false })
    const { customers } = await customersOnFile(actors.office)
    expect(customers.find((c) => c.name === 'Lowen Carew')).toMatchObject({ email: 'lowen@carew.example' })
  })
  it('changes only what it speaks of: place, hours and contacts that are on file stay', async () => {
    const { actors, firmId } = await makeFirm('Sanderling')
    await addPond(actors.owner, newPond())
    const [site] = await inFirm(firmId, listSites)
    const { id: _id, customerId: _c, version, ...input } = site!
    await changeSite(actors.office, site!.id, version, {
      ...input,
      lat: 45.1,
      lon: -45.2,
      opens: '08:00',
      fill: { ...input.fill, ph: 8.1, khDH: 9, chlorineMgL: 0.2 },
    })
    await inFirm(firmId, (trx) =>
      trx('customers').where({ id: site!.customerId }).update({ email: 'kept@customer.example' }),
    )
    await importSites(
      actors.office,
      'csv',
      'customer,site,town,email,phone\nCustomer,Site,Reedham,other@x.example,0123',
    )
    expect((await inFirm(firmId, listSites))[0]).toMatchObject({
      town: 'Reedham',
      lat: 45.1,
      opens: '08:00',
      fill: { ph: 8.1 },
    })
    expect((await customersOnFile(actors.office)).customers[0]).toMatchObject({
      email: 'kept@customer.example',
      phone: '0123',
    })
  })
  it('with the same site three times takes the first and names the others; it used to fail as a whole', async () => {
    const { actors } = await makeFirm('Dotterel')
    await addPond(actors.owner, newPond())
    const row = 'Lowen Carew,Weir House,Ferry'
    const { added, problems } = await importSites(
      actors.office,
      'csv',
      ['customer,site,town', row, row, row, 'Per Holm,Boathouse,Ferry'].join('\n'),
    )
    expect(added).toBe(2)
    expect(problems).toMatchObject([
      { line: 3, message: expect.stringContaining('already in line 2') },
      { line: 4, message: expect.stringContaining('already in line 2') },
    ])
  })
})

describe('service plans as CSV', () => {
  it('of two customers with a site and pond of the same name go to the one that is named', async () => {
    const { actors } = await makeFirm('Dipper')
    const mine = newPond()
    const other = newPond()
    const [a, b] = [
      await addPond(actors.owner, mine),
      await addPond(actors.owner, {
        ...other,
        customer: { kind: 'new', customer: { name: 'Neighbour', email: '', phone: '' } },
      }),
    ]
    const unnamed = await importServicePlans(actors.office, 'site,pond,job\nSite,Test pond,netting')
    expect(unnamed).toMatchObject({
      changed: 0,
      problems: [{ line: 2, message: expect.stringContaining('say whose') }],
    })
    const csv = 'customer,site,pond,job\nNeighbour,Site,Test pond,netting'
    expect(await importServicePlans(actors.office, csv, true)).toMatchObject({ changed: 1, preview: true })
    expect((await servicePlan(actors.office, b)).kept.lines).toEqual([])
    await importServicePlans(actors.office, csv)
    expect((await servicePlan(actors.office, b)).kept.lines).toHaveLength(1)
    expect((await servicePlan(actors.office, a)).kept.lines).toEqual([])
  })
  it('go out and come back; a line that does not read leaves its pond alone', async () => {
    const { actors } = await makeFirm('Phalarope')
    const pondId = await addPond(actors.owner, newPond())
    await setServicePlan(
      actors.office,
      pondId,
      0,
      ServicePlan.parse([
        { job: 'netting', priceMinor: 12_050 },
        { job: 'routine', everyDays: 28, from: '04-20', to: '10-15' },
      ]),
    )
    const csv = await servicePlansAsCsv(actors.office)
    expect(csv).toContain('routine,28,04-20,10-15')
    expect(await importServicePlans(actors.office, csv)).toMatchObject({ changed: 0, same: 1, problems: [] })
    expect(await importServicePlans(actors.office, csv.replace(',28,', ',14,'))).toMatchObject({
      changed: 1,
      problems: [],
    })
    const bad = await importServicePlans(actors.office, csv.replace(',28,', ',1,'))
    expect(bad.changed).toBe(0)
    expect(bad.problems[0]).toMatchObject({ line: 3, message: expect.stringContaining('everyDays') })
    const unknown = async (csv: string) => (await importServicePlans(actors.office, csv)).problems[0]!.message
    expect(await unknown('site,pond,job\nElsewhere,Pool,netting')).toBe('There is no pond “Pool” at “Elsewhere”.')
    expect(await unknown('customer,site,pond,job\nNobody,Elsewhere,Pool,netting')).toBe(
      'There is no pond “Pool” at “Elsewhere” of “Nobody”.',
    )
  })
})

describe('visits as CSV', () => {
  it('hold what is planned', async () => {
    const { actors, crewId } = await makeFirm('Jacana')
    const pondId = await addPond(actors.owner, newPond())
    await planVisit(actors.office, {
      pondId,
      visitType: 'routine',
      day: addDays(today, 9),
      startTime: '10:00',
      crewId,
      note: '',
    })
    expect(await visitsAsCsv(actors.office, today, addDays(today, 20))).toContain(`${addDays(today, 9)},10:00,`)
  })
})

describe('busy times', () => {
  const ics = (day: string) =>
    `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//t//EN\r\nBEGIN:VEVENT\r\nUID:1\r\nSUMMARY:Course\r\nDTSTART:${day.replaceAll('-', '')}T080000\r\nDTEND:${day.replaceAll('-', '')}T110000\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`
  it('of the same calendar replace each other and can be forgotten', async () => {
    const { actors, crewId } = await makeFirm('Egret')
    expect(await importBusy(actors.office, crewId, 'crew.ics', ics(addDays(today, 5)))).toEqual({
      times: 1,
      problems: [],
    })
    await importBusy(actors.office, crewId, 'crew.ics', ics(addDays(today, 8)))
    expect((await exchangePage(actors.office)).busy).toEqual([
      { crewId, source: 'crew.ics', times: 1, next: addDays(today, 8) },
    ])
    await forgetBusy(actors.office, crewId, 'crew.ics')
    expect((await exchangePage(actors.office)).busy).toEqual([])
  })
  it('that are no calendar are refused by name', async () => {
    const { actors, crewId } = await makeFirm('Ibis')
    expect(await problemOf(importBusy(actors.office, crewId, 'x', 'hello'))).toMatchObject({
      kind: 'bad-input',
      message: expect.stringContaining('.ics'),
    })
  })
})
