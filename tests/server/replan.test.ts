import { addDays, isoWeekday } from '@/core/numeric/calendar'
import type { EntryId, FirmId, VisitId } from '@/domain/shared/ids'
import { PlanWish, type PlanResult } from '@/domain/schedule/plan-run'
import { figuresOf } from '@/domain/schedule/plan-summary'
import { ServicePlan } from '@/domain/schedule/service-plan'
import { closeDatabase } from '@/server/platform/db/connection'
import { insertCrew } from '@/server/people/people-repository'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { closeQueue } from '@/server/platform/queue/queue'
import { durationsPage, forgetDurations } from '@/server/visits/durations'
import { importBusy } from '@/server/exchange/busy-file'
import { logEntry } from '@/server/field/log'
import { fieldVisit } from '@/server/field/pack'
import { acceptPlan } from '@/server/schedule/accept'
import { whyVisit } from '@/server/schedule/why-visit'
import { insertNotice } from '@/server/messages/notice-repository'
import { setServicePlan } from '@/server/schedule/service-plans'
import { addPond } from '@/server/ponds/ponds'
import { daySheet } from '@/server/rounds/day-sheet'
import { addEquipment, addOneOff } from '@/server/equipment/tasks'
import { moveVisit, planVisit } from '@/server/visits/visit-planning'
import { pondOnFile } from '../fixtures/pond-on-file'
import { finishVisit, startVisit } from '../fixtures/field'
import { makeFirm, newPond } from '../fixtures/firm'
import { plainAnswer } from '../fixtures/plain-answer'
import { finishedRun } from '../fixtures/plan-run'
import { problemOf } from '../fixtures/problem-of'
import { workOut as workOutOf } from '../fixtures/work-out'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const today = new Date().toISOString().slice(0, 10)
/** The first Monday at least so many days ahead. */
const monday = (ahead: number): string => {
  let day = addDays(today, ahead)
  while (isoWeekday(day) !== 1) day = addDays(day, 1)
  return day
}
const DAY = monday(10)
const wish = (over: Partial<PlanWish> = {}): PlanWish => PlanWish.parse({ from: DAY, to: addDays(DAY, 14), ...over })
const workOut = (firmId: FirmId, of = wish()): Promise<PlanResult> => workOutOf(firmId, of, today)

async function withVisit(name: string, visitType = 'routine') {
  const firm = await makeFirm(name)
  const pondId = await addPond(firm.actors.owner, newPond())
  const visitId = await planVisit(firm.actors.office, {
    pondId,
    visitType,
    day: DAY,
    startTime: '08:00',
    crewId: firm.crewId,
    note: '',
  })
  return { ...firm, pondId, visitId }
}
const EMPTY_RESULT: PlanResult = {
  changes: [],
  kept: 0,
  unplaced: [],
  missed: [],
  noWindow: [],
  waiting: [],
  crunch: [],
  travelMin: 0,
  feasible: true,
  roads: 'straight-line',
  notOnMap: [],
}
async function secondCrew(firmId: FirmId) {
  const id = crypto.randomUUID() as never
  await inFirm(firmId, (trx) => insertCrew(trx, { id, firmId, name: 'Stork' }))
  return id as string
}

describe('what came up', () => {
  it('rain: a visit leaves the lost days, promised or not, and nothing else moves', async () => {
    const { firmId, actors, crewId, visitId, pondId } = await withVisit('Swift')
    const other = await addPond(actors.owner, newPond({ name: 'Other' }))
    await planVisit(actors.office, {
      pondId: other,
      visitType: 'routine',
      day: addDays(DAY, 3),
      startTime: '09:00',
      crewId,
      note: '',
    })
    await moveVisit(actors.office, visitId, { day: DAY, startTime: '08:00', crewId, locked: true, version: 1 })
    expect((await workOut(firmId)).changes).toEqual([])
    const { changes, kept } = await workOut(firmId, wish({ lostDays: [DAY, addDays(DAY, 1)] }))
    expect(kept).toBe(1)
    expect(changes).toMatchObject([{ kind: 'moved', pondId, was: { day: DAY } }])
    expect(changes[0]!.day > addDays(DAY, 1)).toBe(true)
  })
  it('says why a visit moves and which customer knows of the old day', async () => {
    const { firmId, actors, crewId, visitId } = await withVisit('Fieldfare')
    await inFirm(firmId, (trx) =>
      insertNotice(trx, firmId, {
        id: crypto.randomUUID(),
        visitId,
        kind: 'visit-planned',
        day: DAY,
        startTime: '08:00',
        recipient: 'a@b.example',
        subject: 's',
        body: 'b',
      }),
    )
    const [rained] = (await workOut(firmId, wish({ lostDays: [DAY] }))).changes
    expect(rained).toMatchObject({
      why: { breaks: [{ code: 'crew-off' }] },
      tell: { customer: 'Customer', byEmail: false, phone: '' },
    })
    const stork = await secondCrew(firmId)
    const [sick] = (await workOut(firmId, wish({ absent: [{ crewId, from: DAY, to: addDays(DAY, 30) }] }))).changes
    expect(sick).toMatchObject({ crewId: stork, why: { breaks: [{ code: 'crew-off' }] } })
    expect(await whyVisit(actors.office, visitId)).toMatchObject({
      crewId,
      day: DAY,
      ableCrews: expect.arrayContaining([crewId, stork]),
      detourMin: 0,
    })
    expect((await problemOf(whyVisit(actors.technician, visitId))).kind).toBe('forbidden')
  })
  it('two planners who take over two plans at once do not put a crew in two places', async () => {
    const { firmId, actors, visitId } = await withVisit('Redwing')
    const [first, second] = [
      (await workOut(firmId, wish({ lostDays: [DAY] }))).changes,
      (await workOut(firmId, wish({ lostDays: [DAY, addDays(DAY, 1)] }))).changes,
    ]
    const ids = await Promise.all(
      [first, second].map((changes) => finishedRun(actors.office, { ...EMPTY_RESULT, changes }, wish())),
    )
    const outcomes = await Promise.allSettled(ids.map((id) => acceptPlan(actors.office, id, [visitId])))
    expect(outcomes.map((o) => o.status).sort()).toEqual(['fulfilled', 'rejected'])
    const [refused] = outcomes.flatMap((o) => (o.status === 'rejected' ? [o.reason.message] : []))
    expect(refused).toContain('schedule.leftOut.changed')
  })
  it.each([
    ['over a change of the clocks', '2027-03-26', '2027-03-31'],
    ['over a leap day', '2028-02-25', '2028-03-03'],
  ])('%s: rain moves the visit to a working day with its hours whole', async (_, from, to) => {
    const { firmId, actors, crewId } = await makeFirm(`Clock ${from}`)
    await inFirm(firmId, (trx) => trx('firms').where({ id: firmId }).update({ time_zone: 'Europe/Berlin' }))
    const pondId = await addPond(actors.owner, newPond())
    await planVisit(actors.office, { pondId, visitType: 'routine', day: from, startTime: '08:00', crewId, note: '' })
    const { changes } = await workOut(firmId, wish({ from, to, lostDays: [from] }))
    expect(changes).toMatchObject([{ kind: 'moved', was: { day: from, startTime: '08:00' } }])
    const { day, startTime, minutes } = changes[0]!
    expect(day > from && day <= to && isoWeekday(day) <= 5).toBe(true)
    expect(startTime >= '07:00' && startTime < '16:00' && minutes > 30).toBe(true)
  })
  it('a sick crew: its visits of those days go to another crew or another day', async () => {
    const { firmId, crewId } = await withVisit('Swallow')
    const stork = await secondCrew(firmId)
    const [change] = (await workOut(firmId, wish({ absent: [{ crewId, from: DAY, to: DAY }] }))).changes
    expect(change!.crewId === stork || change!.day > DAY).toBe(true)
    const [gone] = (await workOut(firmId, wish({ crewsAway: [crewId] }))).changes
    expect(gone!.crewId).toBe(stork)
  })
  it('a broken truck: what needs its kit goes to a crew that has it, the rest stays', async () => {
    const { firmId, actors, crewId, pondId } = await withVisit('Martin', 'netting')
    const stork = await secondCrew(firmId)
    const other = await addPond(actors.owner, newPond({ name: 'Other' }))
    await planVisit(actors.office, {
      pondId: other,
      visitType: 'routine',
      day: DAY,
      startTime: '13:00',
      crewId,
      note: '',
    })
    const { changes, kept } = await workOut(firmId, wish({ to: DAY, withoutKit: [crewId] }))
    expect(changes).toMatchObject([{ pondId, crewId: stork }])
    expect(kept).toBe(1)
  })
  it('a busy morning out of a calendar: no visit is put into it', async () => {
    const { firmId, actors, crewId, pondId } = await withVisit('Dove')
    const d = DAY.replaceAll('-', '')
    const ics = `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//t//EN\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART:${d}T070000\r\nDTEND:${d}T120000\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`
    await importBusy(actors.office, crewId, 'course.ics', ics)
    const { changes } = await workOut(firmId)
    expect(changes).toMatchObject([{ pondId, kind: 'moved' }])
    expect(changes[0]!.day !== DAY || changes[0]!.startTime >= '12:00').toBe(true)
  })
  it('customers who are not there are planned for but never taken over', async () => {
    const { firmId, actors, pondId } = await withVisit('Wren')
    await setServicePlan(actors.office, pondId, 0, ServicePlan.parse([{ job: 'routine', everyDays: 7 }]))
    const [few, more] = [await workOut(firmId), await workOut(firmId, wish({ newCustomers: 3 }))]
    expect(figuresOf(more).visits).toBeGreaterThan(figuresOf(few).visits)
    const id = await finishedRun(actors.office, more, wish({ newCustomers: 3 }))
    expect(
      (
        await problemOf(
          acceptPlan(
            actors.office,
            id,
            more.changes.map((c) => c.key),
          ),
        )
      ).message,
    ).toContain('customers who do not exist')
  })
})

describe('two diffs', () => {
  it('that plan the same repeat on different days are not both taken over', async () => {
    const { firmId, actors } = await makeFirm('Robin')
    const pondId = await addPond(actors.owner, newPond())
    await setServicePlan(actors.office, pondId, 0, ServicePlan.parse([{ job: 'routine', everyDays: 28 }]))
    const result = await workOut(firmId)
    const first = result.changes[0]!
    const moved = {
      ...result,
      changes: [{ ...first, day: first!.day < first!.window.latest ? addDays(first!.day, 3) : first!.window.earliest }],
    }
    const [a, b] = [await finishedRun(actors.office, result, wish()), await finishedRun(actors.office, moved, wish())]
    const outcomes = await Promise.allSettled([
      acceptPlan(actors.office, a, [first!.key]),
      acceptPlan(actors.owner, b, [first!.key]),
    ])
    expect(outcomes.map((o) => o.status).sort()).toEqual(['fulfilled', 'rejected'])
    expect((await pondOnFile(actors.office, pondId)).visits).toHaveLength(1)
  })
})

/** Carries a visit out, every step in its turn. */
async function carryOut(
  firm: Awaited<ReturnType<typeof makeFirm>>,
  visitId: VisitId,
  startedAt: Date,
  minutes: number,
  skip: readonly string[] = [],
) {
  const lead = firm.actors['crew-lead']
  await startVisit(lead, visitId, startedAt)
  const { visit } = await fieldVisit(lead, visitId)
  for (const step of visit.job.steps) {
    const base = { id: crypto.randomUUID() as EntryId, stepKey: step.key, at: startedAt.toISOString(), replaces: null }
    await logEntry(
      lead,
      visitId,
      skip.includes(step.key) || step.kind === 'photo'
        ? { kind: 'skipped', ...base, reason: 'not today' }
        : {
            kind: 'done',
            ...base,
            confirmedUnlikely: true,
            answer: plainAnswer(step),
          },
    )
  }
  await finishVisit(lead, visitId, new Date(startedAt.getTime() + minutes * 60_000))
}

describe('tasks', () => {
  it('ride on a planned visit as steps, and are closed by doing them, not by leaving them out', async () => {
    const firm = await makeFirm('Thrush')
    const { actors, firmId } = firm
    const pondId = await addPond(actors.owner, newPond())
    await setServicePlan(actors.office, pondId, 0, ServicePlan.parse([{ job: 'routine', everyDays: 28 }]))
    await addEquipment(actors.office, pondId, {
      kind: 'uv-lamp',
      name: 'Clarifier',
      fittedOn: addDays(today, -400),
      everyDays: 365,
      doneOn: null,
      retired: false,
      warrantyUntil: null,
    })
    await addOneOff(actors.office, pondId, {
      title: 'Reset the edge stone, renew its bed',
      from: today,
      to: addDays(today, 60),
      minutes: 20,
    })
    const result = await workOut(firmId)
    const host = result.changes.find((c) => c.tasks.length > 0)!
    expect(host.tasks.map((t) => t.title).sort()).toEqual([
      'Renew the UV lamp: Clarifier',
      'Reset the edge stone, renew its bed',
    ])
    const id = await finishedRun(actors.office, result, wish())
    await acceptPlan(actors.office, id, [host.key])
    // what a visit has taken along is not planned again
    expect((await workOut(firmId)).changes.flatMap((c) => c.tasks)).toEqual([])
    const [visit] = (await pondOnFile(actors.office, pondId)).visits
    const lamp = visit!.tasks.find((t) => t.title.startsWith('Renew'))!
    // the day's truck carries the lamp, which the equipment asks for, and nothing for the other task
    const { load } = await daySheet(actors.office, visit!.crewId, visit!.day)
    expect(load.parts).toEqual([{ site: visit!.siteName, task: 'Renew the UV lamp: Clarifier' }])
    await carryOut(firm, visit!.id, new Date(), 60, [`task-${lamp.id}`])
    const page = await pondOnFile(actors.office, pondId)
    expect(page.followUps.map((f) => f.title)).not.toContain('Reset the edge stone, renew its bed')
    expect(page.equipment[0]!.doneOn).toBeNull()
  })
})

describe('a wish after the season was planned', () => {
  it('goes along on the visit that stands, which gets its time and its step', async () => {
    const { firmId, actors, pondId, visitId } = await withVisit('Siskin')
    const before = (await pondOnFile(actors.office, pondId)).visits[0]!
    await addOneOff(actors.office, pondId, {
      title: 'Photograph the iris',
      from: today,
      to: addDays(today, 60),
      minutes: 20,
    })
    const result = await workOut(firmId)
    expect(result.changes).toMatchObject([{ kind: 'joined', visitId, tasks: [{ title: 'Photograph the iris' }] }])
    const id = await finishedRun(actors.office, result, wish())
    await acceptPlan(actors.office, id, [visitId])
    const [after] = (await pondOnFile(actors.office, pondId)).visits
    expect(after).toMatchObject({
      day: before.day,
      startTime: before.startTime,
      plannedMinutes: before.plannedMinutes + 20,
    })
    expect(after!.job.steps.map((s) => s.title)).toContain('Photograph the iris')
    expect((await workOut(firmId)).changes).toEqual([])
  })
})

describe('learnt durations', () => {
  it('lengthen the next estimate, tell a slow job, and are forgotten at a press', async () => {
    const firm = await withVisit('Wagtail')
    const { actors, visitId, pondId, crewId } = firm
    const planned = async (day: string) => {
      const id = await planVisit(actors.office, {
        pondId,
        visitType: 'routine',
        day,
        startTime: '08:00',
        crewId,
        note: '',
      })
      return (await pondOnFile(actors.office, pondId)).visits.find((v) => v.id === id)!.plannedMinutes
    }
    const before = (await pondOnFile(actors.office, pondId)).visits[0]!.plannedMinutes
    await carryOut(firm, visitId, new Date(Date.now() - before * 3 * 60_000), before * 2)
    const { jobs, crews } = await durationsPage(actors.office)
    const [correction] = jobs
    expect(crews).toMatchObject([{ id: crewId, visits: 1 }])
    expect(correction).toMatchObject({ job: 'routine', visits: 1 })
    expect(correction!.factor).toBeGreaterThan(1.1)
    expect(await planned(addDays(DAY, 1))).toBeGreaterThan(before)
    await forgetDurations(actors.office, 'routine')
    expect((await durationsPage(actors.office)).jobs).toEqual([])
    expect(await planned(addDays(DAY, 2))).toBe(before)
    expect((await problemOf(forgetDurations(actors.technician, 'routine'))).kind).toBe('forbidden')
  })
})

describe('a day as it goes', () => {
  it('shows what was logged and pushes what follows', async () => {
    const firm = await makeFirm('Linnet')
    const { actors, crewId } = firm
    const pondId = await addPond(actors.owner, newPond())
    const first = await planVisit(actors.office, {
      pondId,
      visitType: 'routine',
      day: today,
      startTime: '00:05',
      crewId,
      note: '',
    })
    await planVisit(actors.office, {
      pondId,
      visitType: 'plant-care',
      day: today,
      startTime: '02:30',
      crewId,
      note: '',
    })
    await carryOut(firm, first, new Date(`${today}T00:10:00Z`), 240)
    const { live } = await daySheet(actors.technician, crewId, today)
    expect(live.stops[0]).toMatchObject({ state: 'done', startMin: 10, endMin: 250, lateMin: 5 })
    expect(live.stops[1]!.state).toBe('to-come')
    expect(live.stops[1]!.startMin).toBeGreaterThanOrEqual(250)
  })
})
