import { addDays } from '@/core/numeric/calendar'
import type { CrewId, FirmId } from '@/domain/shared/ids'
import { PlanWish, type PlanChange, type PlanResult } from '@/domain/schedule/plan-run'
import { ServicePlan } from '@/domain/schedule/service-plan'
import type { Actor } from '@/server/platform/auth/actor'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { logEntry } from '@/server/field/log'
import { visitReport } from '@/server/visits/report'
import { setCrewSetup, people } from '@/server/firm/firm'
import { acceptPlan } from '@/server/schedule/accept'
import { askPlan } from '@/server/schedule/runs'
import { setServicePlan } from '@/server/schedule/service-plans'
import { moveVisit } from '@/server/visits/visit-planning'
import { addPond } from '@/server/ponds/ponds'
import { pondOnFile } from '../fixtures/pond-on-file'
import { finishVisit, skipped, startVisit } from '../fixtures/field'
import { makeFirm, newPond } from '../fixtures/firm'
import { finishedRun as keptRun } from '../fixtures/plan-run'
import { problemOf } from '../fixtures/problem-of'
import { workOut as workOutOf } from '../fixtures/work-out'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const YEAR = new Date().getUTCFullYear() + 1
const TODAY = `${YEAR}-01-10`
const wish = (over: Partial<PlanWish> = {}): PlanWish => PlanWish.parse({ from: TODAY, to: `${YEAR}-12-20`, ...over })
const line = (job: string, everyDays: number | null = null) => ({
  job,
  everyDays,
  from: everyDays ? '05-01' : null,
  to: everyDays ? '09-30' : null,
  priceMinor: null,
})
const FULL = ServicePlan.parse([line('spring-cleanout'), line('routine', 28), line('netting')])

async function withPlan(name: string, lines: ServicePlan = FULL) {
  const firm = await makeFirm(name)
  const pondId = await addPond(firm.actors.owner, newPond())
  await setServicePlan(firm.actors.office, pondId, 0, lines)
  return { ...firm, pondId }
}

const workOut = (firmId: FirmId, of = wish()): Promise<PlanResult> => workOutOf(firmId, of, TODAY)

/** A finished run, as a worker leaves it. */
const finishedRun = (actor: Actor, result: PlanResult) => keptRun(actor, result, wish())
const keysOf = (changes: readonly PlanChange[]) => changes.map((c) => c.key)

describe('a service plan', () => {
  it('is agreed line by line, and a line that cannot be is named', () => {
    expect(ServicePlan.safeParse([{ job: 'routine' }]).error!.issues[0]!.path).toEqual([0, 'everyDays'])
    // a southern summer runs over New Year
    expect(ServicePlan.safeParse([{ job: 'routine', everyDays: 14, from: '10-01', to: '04-01' }]).success).toBe(true)
    expect(ServicePlan.safeParse([line('netting'), line('netting')]).error!.issues[0]!.path).toEqual([1, 'job'])
  })
  it('is kept once, and a stale save is a conflict', async () => {
    const { actors, pondId } = await withPlan('Sora')
    expect((await problemOf(setServicePlan(actors.office, pondId, 0, []))).kind).toBe('conflict')
    await setServicePlan(actors.office, pondId, 1, [])
    expect((await problemOf(setServicePlan(actors.technician, pondId, 2, []))).kind).toBe('forbidden')
  })
})

describe('a plan', () => {
  it('holds every agreed visit in its window, is taken over, and then asks for nothing more', async () => {
    const { actors, firmId, pondId } = await withPlan('Rail')
    const result = await workOut(firmId)
    const jobs = result.changes.map((c) => c.job)
    expect(jobs.filter((j) => j === 'spring-cleanout')).toHaveLength(1)
    expect(jobs.filter((j) => j === 'netting')).toHaveLength(1)
    expect(jobs.filter((j) => j === 'routine').length).toBeGreaterThanOrEqual(5)
    expect(result).toMatchObject({ unplaced: [], feasible: true, roads: 'straight-line', notOnMap: ['Site'] })
    for (const c of result.changes) expect(c.day >= c.window.earliest && c.day <= c.window.latest).toBe(true)

    const id = await finishedRun(actors.office, result)
    await acceptPlan(actors.office, id, keysOf(result.changes))
    const planned = (await pondOnFile(actors.office, pondId)).visits.filter((v) => v.state === 'planned')
    expect(planned).toHaveLength(result.changes.length)
    const again = await workOut(firmId)
    expect(again.changes).toEqual([])
    expect(again.kept).toBe(result.changes.length)
  })
  it('leaves what was promised where it is, whatever else would be better', async () => {
    const { actors, firmId, pondId, crewId } = await withPlan('Coot', ServicePlan.parse([line('netting')]))
    const [netting] = (await workOut(firmId)).changes
    const id = await finishedRun(actors.office, { ...(await workOut(firmId)) })
    await acceptPlan(actors.office, id, [netting!.key])
    const [visit] = (await pondOnFile(actors.office, pondId)).visits
    const late = addDays(visit!.day, 6)
    await moveVisit(actors.office, visit!.id, {
      day: late,
      startTime: '13:00',
      crewId,
      locked: true,
      version: visit!.version,
    })
    expect(await workOut(firmId)).toMatchObject({ changes: [], kept: 1 })
    await moveVisit(actors.office, visit!.id, {
      day: late,
      startTime: '13:00',
      crewId,
      locked: false,
      version: visit!.version + 1,
    })
    expect((await workOut(firmId)).changes.every((c) => c.kind === 'moved')).toBe(true)
  })
  it('is taken over in part, and never twice', async () => {
    const { actors, firmId } = await withPlan('Crake')
    const result = await workOut(firmId)
    const id = await finishedRun(actors.office, result)
    const [first] = keysOf(result.changes)
    // the pond fills longer than a crew can wait: the cleanout and the day after it go together
    expect(await acceptPlan(actors.office, id, [first!])).toEqual({ taken: 2, left: [] })
    expect(await problemOf(acceptPlan(actors.office, id, [first!]))).toMatchObject({
      kind: 'refused',
      message: expect.stringContaining('planned in the meantime'),
    })
    expect((await problemOf(acceptPlan(actors.office, id, ['nothing']))).kind).toBe('refused')
    expect((await workOut(firmId)).changes).toHaveLength(result.changes.length - 2)
  })
  it('goes by what crews can do: without fish handling the cleanout has no place, and says why', async () => {
    const { actors, firmId, crewId } = await withPlan('Bittern')
    const { crews } = await people(actors.owner)
    await setCrewSetup(actors.office, crewId, crews[0]!.version, { ...crews[0]!.setup, skills: [] })
    const { unplaced } = await workOut(firmId)
    expect(unplaced[0]).toMatchObject({
      job: 'spring-cleanout',
      reasons: [{ code: 'no-crew-skill', skills: ['fish'] }],
    })
    expect(unplaced[1]).toMatchObject({
      job: 'cleanout-second-day',
      reasons: [{ code: 'no-crew-skill', skills: ['fish'] }],
    })
    expect((await problemOf(setCrewSetup(actors.office, crewId, crews[0]!.version, crews[0]!.setup))).kind).toBe(
      'conflict',
    )
  })
  it('of a late spring moves the windows, and of an absent crew leaves nothing', async () => {
    const { actors, firmId, crewId } = await withPlan('Grebe', ServicePlan.parse([line('spring-cleanout')]))
    const [usual] = (await workOut(firmId)).changes
    const [late] = (await workOut(firmId, wish({ lateByDays: 21 }))).changes
    expect(late!.window.best).toBe(addDays(usual!.window.best, 21))
    expect((await problemOf(askPlan(actors.office, wish({ crewsAway: [crewId as CrewId] })))).kind).toBe('bad-input')
    expect((await problemOf(askPlan(actors.technician, wish()))).kind).toBe('forbidden')
  })
})

describe('a visit that a plan made', () => {
  it('is carried out to its report, and a kind that asks for nothing afterwards leaves no follow-up', async () => {
    const { actors, firmId, pondId } = await withPlan('Dipper', ServicePlan.parse([line('routine', 28)]))
    const result = await workOut(firmId)
    await acceptPlan(actors.office, await finishedRun(actors.office, result), keysOf(result.changes).slice(0, 1))
    const [visit] = (await pondOnFile(actors.office, pondId)).visits
    await startVisit(actors.technician, visit!.id)
    for (const step of visit!.job.steps)
      await logEntry(actors.technician, visit!.id, skipped(step.key, 'Nobody at home'))
    await finishVisit(actors.technician, visit!.id)
    expect((await pondOnFile(actors.office, pondId)).followUps).toEqual([])
    expect((await visitReport(actors.office, visit!.id)).report).toMatchObject({
      followUps: [],
      visit: { state: 'done' },
    })
  })
})
