import { spawn, type ChildProcess } from 'node:child_process'
import ICAL from 'ical.js'
import { addDays } from '@/core/numeric/calendar'
import { defaultTemplates } from '@/messages/messages/notice-templates'
import { firmTexts } from '@/messages/texts'
import type { VisitId } from '@/domain/shared/ids'
import type { Actor } from '@/server/platform/auth/actor'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { closeQueue } from '@/server/platform/queue/queue'
import { calendarOf, endFeed, makeFeed } from '@/server/rounds/calendar-feeds'
import {
  markNotified,
  noticeBoard,
  sendAgain,
  sendNotice,
  setTemplates,
  tellArrival,
  tellCustomers,
} from '@/server/messages/notices'
import { addPond } from '@/server/ponds/ponds'
import { cancelVisit } from '@/server/visits/visit-cancelling'
import { moveVisit, planVisit } from '@/server/visits/visit-planning'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

const day = (n: number) => addDays(new Date().toISOString().slice(0, 10), n)
const started: ChildProcess[] = []
afterAll(async () => {
  for (const child of started) child.kill('SIGKILL')
  await closeQueue()
  await closeDatabase()
})

/** The outbox stand-in. @returns its address */
async function outbox(): Promise<string> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'stand-ins/outbox/server.ts'], {
    env: { ...process.env, PORT: '0' },
  })
  started.push(child)
  const port = await new Promise<string>((resolve) =>
    child.stdout.on('data', (data: Buffer) => resolve(/on (\d+)/.exec(String(data))![1]!)),
  )
  return `http://127.0.0.1:${port}`
}
const lettersAt = async (url: string): Promise<{ to: string; subject: string; text: string }[]> =>
  (await (await fetch(`${url}/messages`)).json()).messages

async function firmWithVisit(name: string, email = 'nessa@customer.example') {
  const firm = await makeFirm(name)
  const pond = newPond()
  const pondId = await addPond(firm.actors.owner, {
    ...pond,
    customer: { kind: 'new', customer: { name: 'Nessa Quill', email, phone: '' } },
  })
  const visitId = await planVisit(firm.actors.office, {
    pondId,
    visitType: 'routine',
    day: day(20),
    startTime: '08:00',
    crewId: firm.crewId,
    note: 'mind the gate',
  })
  return { ...firm, pondId, visitId }
}
const move = async (actor: Actor, visitId: VisitId, to: string, version: number, crewId: string) =>
  moveVisit(actor, visitId, { day: to, startTime: '08:00', crewId: crewId as never, version })
const sendAll = async (actor: Actor) => {
  for (const n of (await noticeBoard(actor)).sent) if (n.state === 'queued') await sendNotice(actor.firmId, n.id, false)
}

describe('letters', () => {
  it('tell of a visit once, of its move, and of its end, and reach the outbox once', async () => {
    process.env.MAIL_URL = await outbox()
    const { actors, visitId, crewId } = await firmWithVisit('Curlew')
    const due = async () => (await noticeBoard(actors.office)).due.map((d) => d.kind)
    expect(await due()).toEqual(['visit-planned'])
    expect(await tellCustomers(actors.office, [visitId], 'http://firm.example')).toEqual({
      queued: 1,
      withoutAddress: 0,
    })
    expect(await due()).toEqual([])
    expect(await tellCustomers(actors.office, [visitId], 'http://firm.example')).toEqual({
      queued: 0,
      withoutAddress: 0,
    })
    await move(actors.office, visitId, day(22), 1, crewId)
    expect(await due()).toEqual(['visit-moved'])
    await tellCustomers(actors.office, [visitId], 'http://firm.example')
    await cancelVisit(actors.office, visitId, 2)
    expect(await due()).toEqual(['visit-cancelled'])
    await tellCustomers(actors.office, [visitId], 'http://firm.example')
    await sendAll(actors.office)
    await sendAll(actors.office)
    const letters = (await lettersAt(process.env.MAIL_URL)).filter((m) => m.to === 'nessa@customer.example')
    expect(letters.map((l) => l.subject.split(' ')[0])).toHaveLength(3)
    expect(letters.some((l) => l.text.includes('Dear Nessa Quill'))).toBe(true)
    expect(letters.every((l) => !l.text.includes('mind the gate'))).toBe(true)
  })
  it('wait when the outbox is closed, and are shown as not sent after the last try', async () => {
    const url = await outbox()
    process.env.MAIL_URL = url
    const { actors, visitId } = await firmWithVisit('Godwit')
    await tellCustomers(actors.office, [visitId], 'http://firm.example')
    await fetch(`${url}/outage?seconds=60`, { method: 'POST' })
    const [notice] = (await noticeBoard(actors.office)).sent
    await expect(sendNotice(actors.office.firmId, notice!.id, false)).rejects.toThrow('503')
    expect((await noticeBoard(actors.office)).sent[0]!.state).toBe('queued')
    await expect(sendNotice(actors.office.firmId, notice!.id, true)).rejects.toThrow('503')
    const board = await noticeBoard(actors.office)
    expect(board.sent[0]).toMatchObject({ state: 'failed', problem: expect.stringContaining('503') })
    // what failed was not told
    expect(board.due).toHaveLength(1)
    await fetch(`${url}/outage?seconds=0`, { method: 'POST' })
    // given up: only "again" takes it on once more
    await sendNotice(actors.office.firmId, notice!.id, false)
    expect((await noticeBoard(actors.office)).sent[0]!.state).toBe('failed')
    await sendAgain(actors.office, notice!.id)
    await sendNotice(actors.office.firmId, notice!.id, false)
    expect((await noticeBoard(actors.office)).sent[0]!.state).toBe('sent')
    expect((await problemOf(sendAgain(actors.office, notice!.id))).kind).toBe('refused')
  })
  it.each(['queued', 'sending', 'failed'] as const)('that got stuck as %s go out by "again"', async (state) => {
    const url = await outbox()
    process.env.MAIL_URL = url
    const { actors, visitId, firmId } = await firmWithVisit(`Stuck ${state}`)
    await tellCustomers(actors.office, [visitId], 'http://firm.example')
    const [notice] = (await noticeBoard(actors.office)).sent
    await inFirm(firmId, (trx) => trx('notices').where({ id: notice!.id }).update({ state }))
    await sendAgain(actors.office, notice!.id)
    await sendNotice(firmId, notice!.id, false)
    expect((await noticeBoard(actors.office)).sent[0]!.state).toBe('sent')
    expect(await lettersAt(url)).toHaveLength(1)
  })
  it('are claimed by their state: two senders send one letter', async () => {
    const url = await outbox()
    process.env.MAIL_URL = url
    const { actors, visitId, firmId } = await firmWithVisit('Two senders')
    await tellCustomers(actors.office, [visitId], 'http://firm.example')
    const { id } = (await noticeBoard(actors.office)).sent[0]!
    await Promise.all([sendNotice(firmId, id, false), sendNotice(firmId, id, false)])
    expect(await lettersAt(url)).toHaveLength(1)
  })
  it('customers without mail can be marked as told, and then they know', async () => {
    const { actors, visitId, crewId } = await firmWithVisit('By phone', '')
    expect((await noticeBoard(actors.office)).due).toHaveLength(1)
    expect(await markNotified(actors.office, [visitId])).toEqual({ notified: 1 })
    const board = await noticeBoard(actors.office)
    expect(board.due).toEqual([])
    expect(board.sent[0]).toMatchObject({ state: 'notified', customerName: 'Nessa Quill' })
    expect(await markNotified(actors.office, [visitId])).toEqual({ notified: 0 })
    await move(actors.office, visitId, day(22), 1, crewId)
    expect((await noticeBoard(actors.office)).due.map((d) => d.kind)).toEqual(['visit-moved'])
    expect((await problemOf(markNotified(actors.technician, [visitId]))).kind).toBe('forbidden')
  })
  it('are not written to a customer without an address, who is named instead', async () => {
    const { actors, visitId } = await firmWithVisit('Dunlin', '')
    expect(await tellCustomers(actors.office, [visitId], 'http://firm.example')).toEqual({
      queued: 0,
      withoutAddress: 1,
    })
    expect((await problemOf(tellArrival(actors.technician, visitId, 'on-the-way', '09:10'))).message).toContain(
      'Call instead',
    )
  })
  it('use the firm’s own words; a stale save is a conflict; others may not', async () => {
    const { actors, visitId } = await firmWithVisit('Knot')
    const own = {
      ...defaultTemplates(firmTexts()),
      'on-the-way': { subject: 'Coming to {site}', body: 'Hello {customer}, at {time}.' },
    }
    await setTemplates(actors.office, 0, own)
    expect((await problemOf(setTemplates(actors.office, 0, own))).kind).toBe('conflict')
    expect((await problemOf(setTemplates(actors.technician, 1, own))).kind).toBe('forbidden')
    await tellArrival(actors.technician, visitId, 'on-the-way', '09:10')
    expect((await noticeBoard(actors.office)).sent[0]).toMatchObject({
      subject: 'Coming to Site',
      body: 'Hello Nessa Quill, at 09:10.',
    })
    expect((await problemOf(noticeBoard(actors.technician))).kind).toBe('forbidden')
  })
  it('two people who press at once tell the customer once', async () => {
    const { actors, visitId } = await firmWithVisit('Turnstone')
    const both = await Promise.all([
      tellCustomers(actors.office, [visitId], 'http://firm.example'),
      tellCustomers(actors.owner, [visitId], 'http://firm.example'),
    ])
    expect(both.map((b) => b.queued).sort()).toEqual([0, 1])
  })
})

const eventsOf = (text: string) =>
  new ICAL.Component(ICAL.parse(text))
    .getAllSubcomponents('vevent')
    .map((e) => ({ event: new ICAL.Event(e), status: e.getFirstPropertyValue('status') }))

describe('a calendar link', () => {
  it('shows a move under the same UID with a higher sequence, and keeps what was called off', async () => {
    const { actors, visitId, crewId } = await firmWithVisit('Sanderling')
    const { token } = await makeFeed(actors.office, { scope: 'crew', crewId })
    const [before] = eventsOf(await calendarOf(token))
    await move(actors.office, visitId, day(25), 1, crewId)
    const [after] = eventsOf(await calendarOf(token))
    expect(after!.event.uid).toBe(before!.event.uid)
    expect(after!.event.sequence).toBeGreaterThan(before!.event.sequence)
    expect(after!.event.startDate.toJSDate().toISOString()).toBe(`${day(25)}T08:00:00.000Z`)
    await cancelVisit(actors.office, visitId, 2)
    expect(eventsOf(await calendarOf(token))[0]!.status).toBe('CANCELLED')
  })
  it('shows a customer their own visits and nothing of how the firm works', async () => {
    const { actors, firmId } = await firmWithVisit('Ruff')
    await addPond(actors.owner, newPond({ name: 'Other pond' }))
    const customerId = await inFirm(
      firmId,
      async (trx) => (await trx('customers').where({ name: 'Nessa Quill' }).first('id'))!.id,
    )
    const { token } = await makeFeed(actors.office, { scope: 'customer', customerId })
    const text = await calendarOf(token)
    expect(eventsOf(text)).toHaveLength(1)
    expect(text).not.toMatch(/mind the gate|Heron/)
  })
  it('opens nothing once revoked, and nothing to who guesses', async () => {
    const { actors } = await firmWithVisit('Whimbrel')
    const { id, token } = await makeFeed(actors.office, { scope: 'firm' })
    expect(eventsOf(await calendarOf(token))).toHaveLength(1)
    await endFeed(actors.office, id)
    expect((await problemOf(calendarOf(token))).kind).toBe('not-found')
    expect((await problemOf(calendarOf('guess'))).kind).toBe('not-found')
    expect((await problemOf(endFeed(actors.office, id))).kind).toBe('not-found')
    expect((await problemOf(makeFeed(actors.technician, { scope: 'firm' }))).kind).toBe('forbidden')
  })
  it('of another firm’s crew cannot be made', async () => {
    const [mine, theirs] = [await makeFirm('Plover'), await makeFirm('Lapwing')]
    expect((await problemOf(makeFeed(mine.actors.office, { scope: 'crew', crewId: theirs.crewId }))).kind).toBe(
      'not-found',
    )
  })
})
