import { addDays, isoWeekday } from '@/core/numeric/calendar'
import type { VisitState } from '@/domain/visits/visit'
import type { CrewId, FirmId, PondId, VisitId } from '@/domain/shared/ids'
import { PlanWish, type PlanResult } from '@/domain/schedule/plan-run'
import { ServicePlan } from '@/domain/schedule/service-plan'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { insertNotice } from '@/server/messages/notice-repository'
import { insertCrew } from '@/server/people/people-repository'
import { closeQueue } from '@/server/platform/queue/queue'
import { acceptPlan } from '@/server/schedule/accept'
import { setServicePlan } from '@/server/schedule/service-plans'
import { lastTakeover } from '@/server/schedule/undo'
import { addPond } from '@/server/ponds/ponds'
import { addOneOff } from '@/server/equipment/tasks'
import { planVisit } from '@/server/visits/visit-planning'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'
import { finishedRun } from '../fixtures/plan-run'
import { workOut as workOutOf } from '../fixtures/work-out'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const soon = new Date().toISOString().slice(0, 10)
/** A Tuesday that is taken for today: visits of the past cannot be planned. */
const TODAY = Array.from({ length: 7 }, (_, i) => addDays(soon, 10 + i)).find((day) => isoWeekday(day) === 2)!
const NOON = new Date(`${TODAY}T12:00:00Z`)

const workOut = (firmId: FirmId, of: Partial<PlanWish> = {}, now?: Date): Promise<PlanResult> =>
  workOutOf(firmId, PlanWish.parse({ from: TODAY, to: addDays(TODAY, 340), ...of }), TODAY, { now, iterations: 600 })

const at = (name: string, lat: number) => {
  const pond = newPond()
  return {
    ...pond,
    site: { kind: 'new' as const, site: { ...(pond.site as { site: object }).site, name, lat, lon: 10 } },
  } as ReturnType<typeof newPond>
}

async function served(name: string, lines: unknown[], ponds = 1) {
  const firm = await makeFirm(name)
  const pondIds: PondId[] = []
  for (let i = 0; i < ponds; i++) {
    const pondId = await addPond(firm.actors.owner, at(`${name} ${i}`, 50 + i * 0.02))
    await setServicePlan(firm.actors.office, pondId, 0, ServicePlan.parse(lines))
    pondIds.push(pondId)
  }
  return { ...firm, pondIds }
}
async function takeOver(firm: Awaited<ReturnType<typeof served>>, of: Partial<PlanWish> = {}) {
  const result = await workOut(firm.firmId, of)
  const wish = PlanWish.parse({ from: TODAY, to: addDays(TODAY, 340), ...of })
  await acceptPlan(
    firm.actors.office,
    await finishedRun(firm.actors.office, result, wish),
    result.changes.map((c) => c.key),
  )
  return result
}
const ROUTINE = { job: 'routine', everyDays: 28 }

describe('a plan worked out again', () => {
  it('with nothing changed moves nothing, also after hours were told and a day was laid out by hand', async () => {
    const firm = await served('Lapwing', [ROUTINE], 4)
    await takeOver(firm)
    const [visit] = (await pondOnFile(firm.actors.office, firm.pondIds[0]!)).visits
    await inFirm(firm.firmId, (trx) =>
      insertNotice(trx, firm.firmId, {
        id: crypto.randomUUID(),
        visitId: visit!.id,
        kind: 'visit-planned',
        day: visit!.day,
        startTime: visit!.startTime,
        recipient: 'a@b.example',
        subject: 'x',
        body: 'x',
      }),
    )
    // longer than the crew's hours, and on a Saturday: somebody knew why
    const saturday = Array.from({ length: 7 }, (_, i) => addDays(TODAY, 20 + i)).find((d) => isoWeekday(d) === 6)!
    const plan = { pondId: firm.pondIds[1]!, visitType: 'netting', startTime: '19:30', crewId: firm.crewId, note: '' }
    await planVisit(firm.actors.office, { ...plan, day: saturday })
    await planVisit(firm.actors.office, { ...plan, day: addDays(saturday, 2) })
    const again = await workOut(firm.firmId)
    expect(again.changes).toEqual([])
    expect(again).toMatchObject({ besides: 1, overlong: [{ day: addDays(saturday, 2), crewId: firm.crewId }] })
  })
})

describe('what-ifs act on the plan that stands', () => {
  it('customers more bring all that a customer asks for, though every need there is has been planned', async () => {
    const firm = await served('Snipe', [ROUTINE], 2)
    const { changes } = await takeOver(firm)
    const perPond = changes.filter((c) => c.pondId === firm.pondIds[0]).length
    expect(perPond).toBeGreaterThan(5)
    const more = await workOut(firm.firmId, { newCustomers: 3 })
    expect(more.changes.filter((c) => c.kind === 'new').length).toBeGreaterThanOrEqual(3 * perPond - 3)
    expect(more.changes.filter((c) => c.kind === 'moved')).toEqual([])
  })
  it('a season three weeks later moves what hangs on it, and the tightest week with it', async () => {
    const firm = await served('Curlew', [{ job: 'spring-cleanout' }], 3)
    await takeOver(firm)
    const usual = await workOut(firm.firmId)
    const late = await workOut(firm.firmId, { lateByDays: 21 })
    const tightest = ({ crunch }: PlanResult) => [...crunch].sort((a, b) => b.plannedMin - a.plannedMin)[0]!.monday
    expect(tightest(late) > tightest(usual)).toBe(true)
    const moved = late.changes.filter((c) => c.kind === 'moved')
    expect(moved.length).toBeGreaterThanOrEqual(4)
    for (const c of moved) expect(c.day > c.was!.day).toBe(true)
  })
})

describe('visits for two jobs', () => {
  it('go along with a late season as one', async () => {
    const firm = await served(
      'Sandpiper',
      [{ job: 'netting' }, { job: 'routine', everyDays: 14, from: '04-15', to: '11-15' }],
      2,
    )
    const { changes } = await takeOver(firm)
    expect(changes.some((c) => c.also.length > 0)).toBe(true)
    const late = await workOut(firm.firmId, { lateByDays: 21 })
    expect(late.unplaced).toEqual([])
    expect(late.changes.some((c) => c.kind === 'moved' && c.job === 'netting')).toBe(true)
  })
})

describe('a plan for today, at noon', () => {
  async function morning(name: string) {
    const firm = await served(name, [], 5)
    const other = crypto.randomUUID() as CrewId
    await inFirm(firm.firmId, (trx) => insertCrew(trx, { id: other, firmId: firm.firmId, name: 'Otter' }))
    const plan = (i: number, startTime: string, crewId = firm.crewId) =>
      planVisit(firm.actors.office, {
        pondId: firm.pondIds[i]!,
        visitType: 'routine',
        day: TODAY,
        startTime,
        crewId,
        note: '',
      })
    const [done, running, later, elsewhere] = [
      await plan(0, '08:00'),
      await plan(1, '10:30'),
      await plan(2, '14:00'),
      await plan(3, '13:00', other),
    ]
    const set = (id: VisitId, state: VisitState, at: string | null) =>
      inFirm(firm.firmId, (trx) =>
        trx('visits')
          .where({ id })
          .update({ state, started_at: at, finished_at: state === 'done' ? at : null }),
      )
    await set(done, 'done', `${TODAY}T08:10:00Z`)
    await set(running, 'under-way', `${TODAY}T11:30:00Z`)
    return { ...firm, other, done, running, later, elsewhere }
  }
  it('starts now: what is done or under way stays, and nothing is planned before', async () => {
    const { firmId, pondIds, actors, done, running } = await morning('Redshank')
    await addOneOff(actors.office, pondIds[4]!, { title: 'Look at the falls', from: TODAY, to: TODAY, minutes: 30 })
    const { changes } = await workOut(firmId, { to: addDays(TODAY, 3) }, NOON)
    expect(changes.map((c) => c.key)).not.toContain(done)
    expect(changes.map((c) => c.key)).not.toContain(running)
    const look = changes.find((c) => c.kind === 'new')!
    expect(look.day > TODAY || look.startTime >= '12:00').toBe(true)
    for (const c of changes) expect(c.day > TODAY || c.startTime >= '12:00').toBe(true)
  })
  it('from another hour when somebody says so', async () => {
    const { firmId, pondIds, actors } = await morning('Greenshank')
    await addOneOff(actors.office, pondIds[4]!, {
      title: 'Look at the falls',
      from: TODAY,
      to: TODAY,
      minutes: 30,
      urgent: true,
    })
    const { changes } = await workOut(firmId, { to: addDays(TODAY, 3), fromTime: '13:30' }, NOON)
    const look = changes.find((c) => c.kind === 'new')!
    expect([look.day, look.startTime >= '13:30']).toEqual([TODAY, true])
  })
  it('an emergency is the first thing on the road: the crew that can be there first goes, and what stands in its way is named', async () => {
    const { firmId, pondIds, actors, other, elsewhere } = await morning('Whimbrel')
    await addOneOff(actors.office, pondIds[3]!, {
      title: 'Fish gasping',
      from: TODAY,
      to: TODAY,
      minutes: 90,
      urgent: true,
    })
    const { changes } = await workOut(firmId, { to: addDays(TODAY, 3) }, NOON)
    const urgent = changes.find((c) => c.kind === 'new')!
    // the other crew is under way until after one; this one sits at the yard
    expect(urgent).toMatchObject({ day: TODAY, crewId: other, pondId: pondIds[3] })
    expect(urgent.startTime < '12:40').toBe(true)
    const pushed = changes.find((c) => c.key === elsewhere)!
    expect(pushed.startTime > urgent.startTime || pushed.day > TODAY).toBe(true)
    // taken over, it can be taken back as well
    const wish = PlanWish.parse({ from: TODAY, to: addDays(TODAY, 3) })
    const run = await finishedRun(actors.office, { ...(await workOut(firmId, { to: addDays(TODAY, 3) }, NOON)) }, wish)
    await acceptPlan(
      actors.office,
      run,
      changes.map((c) => c.key),
    )
    expect((await lastTakeover(actors.office))!.barred).toBeNull()
  })
})
