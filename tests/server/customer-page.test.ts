import { createHash } from 'node:crypto'
import sharp from 'sharp'
import { addDays } from '@/core/numeric/calendar'
import type { CustomerId, PondId, VisitId } from '@/domain/shared/ids'
import { ServicePlan } from '@/domain/schedule/service-plan'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { closeQueue } from '@/server/platform/queue/queue'
import {
  askForVisit,
  endCustomerLink,
  customerPage,
  customerPhoto,
  customerReport,
  makeCustomerLink,
} from '@/server/customers/customer-page'
import { fieldVisit } from '@/server/field/pack'
import { logEntry } from '@/server/field/log'
import { noticeBoard, tellCustomers } from '@/server/messages/notices'
import { addPhoto } from '@/server/visits/photos'
import { setServicePlan } from '@/server/schedule/service-plans'
import { addPond } from '@/server/ponds/ponds'
import { logReadings } from '@/server/water/readings'
import { planVisit } from '@/server/visits/visit-planning'
import { customersOnFile } from '../fixtures/customers-on-file'
import { pondOnFile } from '../fixtures/pond-on-file'
import { finishVisit, photoOf, skipped, startVisit } from '../fixtures/field'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const today = new Date().toISOString().slice(0, 10)

/** A customer with a finished visit and its photo. */
async function served(name: string, email = '') {
  const firm = await makeFirm(name)
  const pondId = await addPond(firm.actors.owner, newPond())
  const visitId = await planVisit(firm.actors.office, {
    pondId,
    visitType: 'routine',
    day: today,
    startTime: '08:00',
    crewId: firm.crewId,
    note: 'mind the dog',
  })
  const { technician, office } = firm.actors
  await startVisit(technician, visitId)
  const picture = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#357' } })
    .jpeg()
    .toBuffer()
  const photo = await addPhoto(technician, visitId, photoOf('arrive-photos'), picture)
  const { visit } = await fieldVisit(technician, visitId)
  for (const step of visit.job.steps) await logEntry(technician, visitId, skipped(step.key, 'not today'))
  await finishVisit(technician, visitId)
  const { customers } = await customersOnFile(office)
  const customerId = customers[0]!.id as CustomerId
  await inFirm(firm.firmId, (trx) => trx('customers').where({ id: customerId }).update({ email }))
  const { token } = await makeCustomerLink(office, customerId)
  return { ...firm, pondId, visitId, photo, customerId, token }
}

describe('a customer’s own page', () => {
  it('shows what was done, what comes, how the water is, and what to do this week', async () => {
    const { actors, token, pondId, visitId, photo } = await served('Plover')
    await setServicePlan(
      actors.office,
      pondId,
      0,
      ServicePlan.parse([{ job: 'netting', everyDays: null, from: null, to: null, priceMinor: null }]),
    )
    const readings = { waterTemp: { value: 8, belowStep: false }, tan: { value: 0.1, belowStep: false } }
    await logReadings(actors.technician, pondId, {
      readings,
      method: 'drops',
      at: new Date().toISOString(),
      confirmedUnlikely: false,
    })
    const page = await customerPage(token)
    expect(page).toMatchObject({ firmName: 'Plover', customerName: 'Customer' })
    expect(page.ponds[0]).toMatchObject({
      waterC: 8,
      measured: true,
      visits: [{ id: visitId, done: true }],
      next: null,
      photo: photo.id,
    })
    expect(page.ponds[0]!.coming.map((c) => c.jobName)).toEqual(['Autumn netting'])
    expect(page.ponds[0]!.advice.map((a) => a.code)).toContain('no-feed-cold')
    // nothing of how the firm works
    expect(JSON.stringify(page)).not.toMatch(/mind the dog|Heron|technician/)
    expect((await customerReport(token, visitId)).report.visit.id).toBe(visitId)
    expect((await customerPhoto(token, photo.id, 'thumbnail')).length).toBeGreaterThan(100)
  })
  it('is not opened by who reads the database: links are kept by their hash, letters carry them all the same', async () => {
    const { actors, firmId, token, customerId } = await served('Avocet', 'avocet@customer.example')
    const rows = await inFirm(firmId, (trx) => trx('customer_links').where({ customer_id: customerId }))
    expect(JSON.stringify(rows)).not.toContain(token)
    expect((await problemOf(customerPage(rows[0]!.token_hash))).kind).toBe('not-found')
    // one that is out since before links were derived opens on; letters get one of their own
    const old = 'a-link-of-an-older-day'
    await inFirm(firmId, (trx) =>
      trx('customer_links')
        .where({ customer_id: customerId })
        .update({ token_hash: createHash('sha256').update(old).digest('hex') }),
    )
    expect((await customerPage(old)).customerName).toBe('Customer')
    const again = (await customersOnFile(actors.office)).customers[0]!.link!
    expect(again).not.toBe(old)
    expect((await customerPage(again)).customerName).toBe('Customer')
    expect((await customersOnFile(actors.office)).customers[0]!.link).toBe(again)
    await endCustomerLink(actors.office, customerId)
    for (const link of [old, again]) expect((await problemOf(customerPage(link))).kind).toBe('not-found')
  })
  it('opens nothing of other customers, of other firms, or after it was ended', async () => {
    const [mine, theirs] = [await served('Godwit'), await served('Curlew')]
    for (const ask of [
      () => customerReport(mine.token, theirs.visitId),
      () => customerPhoto(mine.token, theirs.photo.id, 'image'),
      () => askForVisit(mine.token, { pondId: theirs.pondId, text: 'Please come by', from: null, urgent: false }),
      () => customerPage('a-guess'),
    ])
      expect((await problemOf(ask())).kind).toBe('not-found')
    // a neighbour of the same firm
    const neighbour = await addPond(mine.actors.owner, {
      ...newPond(),
      customer: { kind: 'new', customer: { name: 'Neighbour', email: '', phone: '' } },
    })
    const other = await planVisit(mine.actors.office, {
      pondId: neighbour,
      visitType: 'routine',
      day: today,
      startTime: '13:00',
      crewId: mine.crewId,
      note: '',
    })
    expect((await problemOf(customerReport(mine.token, other as VisitId))).kind).toBe('not-found')
    expect((await customerPage(mine.token)).ponds.map((p) => p.id)).toEqual([mine.pondId])
    const again = await makeCustomerLink(mine.actors.office, mine.customerId)
    expect((await problemOf(customerPage(mine.token))).kind).toBe('not-found')
    expect((await customerPage(again.token)).ponds).toHaveLength(1)
    await endCustomerLink(mine.actors.office, mine.customerId)
    expect((await problemOf(customerPage(again.token))).kind).toBe('not-found')
    expect((await problemOf(makeCustomerLink(mine.actors.technician, mine.customerId))).kind).toBe('forbidden')
  })
  it('takes a wish, which the next plan sees, and not more than it can bear', async () => {
    const { actors, token, pondId } = await served('Turnstone')
    await askForVisit(token, { pondId, text: 'The falls are quiet', from: addDays(today, 3), urgent: false })
    expect((await pondOnFile(actors.office, pondId)).followUps).toMatchObject([
      { title: 'Customer request: The falls are quiet', dueFrom: addDays(today, 3), askedByCustomer: true },
    ])
    expect((await customerPage(token)).ponds[0]!.asked).toHaveLength(1)
    const more = await Promise.allSettled(
      Array.from({ length: 6 }, (_, i) =>
        askForVisit(token, { pondId: pondId as PondId, text: `Wish number ${i}`, from: null, urgent: false }),
      ),
    )
    expect(more.filter((m) => m.status === 'fulfilled')).toHaveLength(4)
  })
  it('is in the letter with the report of the visit, once', async () => {
    const { actors, token, visitId } = await served('Sanderling', 'mo@customer.example')
    expect((await noticeBoard(actors.office)).due).toMatchObject([{ kind: 'visit-report', visitId }])
    expect(await tellCustomers(actors.office, [visitId], 'https://ponds.example')).toEqual({
      queued: 1,
      withoutAddress: 0,
    })
    const { due, sent } = await noticeBoard(actors.office)
    expect(due).toEqual([])
    expect(sent[0]!.body).toContain(`https://ponds.example/customer-page/${token}`)
    expect(sent[0]!.body).toContain('Not done this time: ')
    expect(await tellCustomers(actors.office, [visitId], 'https://ponds.example')).toEqual({
      queued: 0,
      withoutAddress: 0,
    })
  })
})
