import knexFactory from 'knex'
import { SECOND_DAY_KEY } from '@/core/visits/types/cleanout-legs'
import { addDays, daysBetween, isoWeekday } from '@/core/numeric/calendar'
import { assignmentsOf, bestPlace } from '@/domain/rounds/board-moves'
import type { EntryId, FirmId, VisitId } from '@/domain/shared/ids'
import { PlanWish, type PlanResult } from '@/domain/schedule/plan-run'
import { ServicePlan } from '@/domain/schedule/service-plan'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { insertCrew } from '@/server/people/people-repository'
import { listVisitLines } from '@/server/visits/visit-line-repository'
import { joinLegs } from '@/server/platform/db/migrations/024-legs-and-takeovers'
import { closeQueue } from '@/server/platform/queue/queue'
import { people, setCrewSetup } from '@/server/firm/firm'
import { logEntry } from '@/server/field/log'
import { fieldVisit } from '@/server/field/pack'
import { acceptPlan } from '@/server/schedule/accept'
import { boardFacts, withTravel } from '@/server/rounds/board'
import { lastTakeover, undoTakeover } from '@/server/schedule/undo'
import { setServicePlan } from '@/server/schedule/service-plans'
import { addPond } from '@/server/ponds/ponds'
import { visitReport } from '@/server/visits/report'
import { cancelVisit, restoreVisit } from '@/server/visits/visit-cancelling'
import { arrangeVisits, moveVisit, planVisit } from '@/server/visits/visit-planning'
import { pondOnFile } from '../fixtures/pond-on-file'
import { finishVisit, skipped, startVisit } from '../fixtures/field'
import { makeFirm, newPond } from '../fixtures/firm'

import { plainAnswer } from '../fixtures/plain-answer'
import { finishedRun } from '../fixtures/plan-run'
import { problemOf } from '../fixtures/problem-of'
import { workOut as workOutOf } from '../fixtures/work-out'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const YEAR = new Date().getUTCFullYear() + 1
const TODAY = `${YEAR}-01-10`
const wish = (over: Partial<PlanWish> = {}): PlanWish => PlanWish.parse({ from: TODAY, to: `${YEAR}-07-20`, ...over })
const CLEANOUT = ServicePlan.parse([
  { job: 'spring-cleanout', everyDays: null, from: null, to: null, priceMinor: null },
])
const workOut = (firmId: FirmId, of = wish()): Promise<PlanResult> => workOutOf(firmId, of, TODAY)

/** A firm with some ponds whose cleanouts take two days, and the plan of them taken over. */
async function planned(name: string, ponds = 1) {
  const firm = await makeFirm(name)
  const { actors, firmId } = firm
  for (let i = 0; i < ponds; i++)
    await setServicePlan(actors.office, await addPond(actors.owner, newPond()), 0, CLEANOUT)
  const { changes } = await workOut(firmId)
  await acceptPlan(
    actors.office,
    await finishedRun(actors.office, await workOut(firmId), wish()),
    changes.map((c) => c.key),
  )
  const lines = await inFirm(firmId, (trx) => listVisitLines(trx, { from: TODAY, to: `${YEAR}-12-31` }))
  const pairs = lines
    .filter((v) => v.legOf)
    .map((second) => ({ first: lines.find((v) => v.id === second.legOf)!, second }))
  return { ...firm, pairs, changes }
}

/** Every pair of days as it stands now. */
const pairsOf = async (firmId: FirmId) => {
  const lines = await inFirm(firmId, (trx) => listVisitLines(trx, { from: TODAY, to: `${YEAR}-12-31` }))
  return lines.filter((v) => v.legOf).map((second) => ({ first: lines.find((v) => v.id === second.legOf), second }))
}

describe('a cleanout of two days', () => {
  it('is two legs of one job: named for what they are, a day apart, the same crew', async () => {
    const { pairs, actors } = await planned('Teal', 3)
    expect(pairs).toHaveLength(3)
    for (const { first, second } of pairs) {
      expect(second).toMatchObject({
        jobKey: SECOND_DAY_KEY,
        jobName: 'Cleanout, second day: fish back',
        crewId: first.crewId,
      })
      expect(daysBetween(first.day, second.day)).toBe(1)
      const [one, two] = [
        await fieldVisit(actors['crew-lead'], first.id),
        await fieldVisit(actors['crew-lead'], second.id),
      ]
      expect(one.visit.job.steps.map((s) => s.key)).toEqual(
        expect.arrayContaining(['fish-out', 'refill-start', 'tanks-overnight', 'sign']),
      )
      expect(one.visit.job.steps.map((s) => s.key)).not.toContain('fish-back')
      expect(two.visit.job.steps.map((s) => s.key)).toEqual(
        expect.arrayContaining(['tanks-morning', 'test-refilled', 'acclimate', 'fish-back', 'bacteria', 'sign']),
      )
    }
  })
  it('is not torn by a second plan, by rain on its first day, or by a crew that is away', async () => {
    const { firmId, actors, pairs } = await planned('Garganey', 4)
    await inFirm(firmId, (trx) => insertCrew(trx, { id: crypto.randomUUID() as never, firmId, name: 'Newt' }))
    const again = await workOut(firmId)
    expect(again.changes).toEqual([])
    const rainy = pairs[0]!.first.day
    const wet = await workOut(firmId, wish({ lostDays: [rainy] }))
    const moved = wet.changes.filter((c) => c.kind === 'moved')
    expect(moved.length).toBeGreaterThanOrEqual(2)
    for (const c of moved) expect(moved.some((d) => d.key === c.pair)).toBe(true)
    // where only first days are chosen, their second days still go along
    const firsts = moved.filter((c) => c.job === 'spring-cleanout').map((c) => c.key)
    expect(firsts.length).toBeLessThan(moved.length)
    await acceptPlan(actors.office, await finishedRun(actors.office, wet, wish()), firsts)
    for (const { first, second } of await pairsOf(firmId))
      expect([daysBetween(first!.day, second.day), first!.crewId === second.crewId]).toEqual([1, true])
    const away = await workOut(
      firmId,
      wish({ absent: [{ crewId: pairs[0]!.first.crewId, from: addDays(rainy, -7), to: addDays(rainy, 7) }] }),
    )
    for (const c of away.changes.filter((d) => d.kind === 'moved')) expect(c.pair).not.toBeNull()
  })
  it('goes along whole where a plan begins on its second day and rain falls on that', async () => {
    const { firmId, actors, pairs } = await planned('Smew')
    const { first, second } = pairs[0]!
    const rain = wish({ from: second.day, lostDays: [second.day] })
    const wet = await workOut(firmId, rain)
    expect(wet.changes.map((c) => c.key).sort()).toEqual([first.id, second.id].sort())
    await acceptPlan(actors.office, await finishedRun(actors.office, wet, rain), [second.id])
    const [pair] = await pairsOf(firmId)
    expect(daysBetween(pair!.first!.day, pair!.second.day)).toBe(1)
    expect(pair!.second.day).not.toBe(second.day)
  })
  it('promised in one of its days stays whole in a late season, and rain on the other day still gives a plan', async () => {
    const { firmId, actors, pairs, crewId } = await planned('Mallard', 2)
    const { first, second } = pairs[0]!
    await moveVisit(actors.office, first.id, {
      day: first.day,
      startTime: first.startTime,
      crewId,
      locked: true,
      version: first.version,
    })
    const late = await workOut(firmId, wish({ lateByDays: 21 }))
    expect(late.changes.map((c) => c.key)).not.toContain(first.id)
    expect(late.changes.map((c) => c.key)).not.toContain(second.id)
    const wet = await workOut(firmId, wish({ lostDays: [second.day] }))
    const at = new Map(wet.changes.map((c) => [c.key, c]))
    expect(daysBetween(at.get(first.id)!.day, at.get(second.id)!.day)).toBe(1)
  })
  it('a second day before the first, a week late, or with another crew is refused, by hand and on the board', async () => {
    const { firmId, actors, pairs, crewId } = await planned('Shoveler')
    const { first, second } = pairs[0]!
    const other = crypto.randomUUID() as never
    await inFirm(firmId, (trx) => insertCrew(trx, { id: other, firmId, name: 'Newt' }))
    const to = (day: string, crew = crewId) =>
      arrangeVisits(actors.office, [{ id: second.id, version: second.version, day, startTime: '13:00', crewId: crew }])
    expect((await problemOf(to(addDays(first.day, -1)))).message).toContain('before they were taken out')
    expect((await problemOf(to(addDays(first.day, 7)))).message).toContain('one night at most')
    expect((await problemOf(to(second.day, other))).message).toContain('one crew does both days')
    // moved by its own form, the other day goes along
    await moveVisit(actors.office, first.id, {
      day: addDays(first.day, 7),
      startTime: '08:00',
      crewId,
      version: first.version,
    })
    const [pair] = await pairsOf(firmId)
    expect([pair!.first!.day, pair!.second.day]).toEqual([addDays(first.day, 7), addDays(second.day, 7)])
  })
  it('a drag of either day takes the other along, and says when it does not fit', async () => {
    const { firmId, pairs } = await planned('Wigeon')
    const { first, second } = pairs[0]!
    const days = Array.from({ length: 21 }, (_, i) => addDays(first.day, i - 7))
    const facts = await inFirm(firmId, (trx) => boardFacts(trx, days))
    const board = await withTravel(facts)
    const input = {
      ...board,
      days: board.days.filter((d) => isoWeekday(d) <= 5),
      travel: Float64Array.from(board.travel),
    }
    const lines = await inFirm(firmId, (trx) => listVisitLines(trx, { from: days[0]!, to: days[20]! }))
    const drop = (id: VisitId, day: string) =>
      bestPlace(input, assignmentsOf(lines), lines, id, { crewId: first.crewId, day })!
    const monday = days.find((d) => isoWeekday(d) === 1 && d > first.day)!
    const friday = addDays(monday, 4)
    expect(drop(first.id, monday).moves.map((m) => [m.id, m.day])).toEqual([
      [first.id, monday],
      [second.id, addDays(monday, 1)],
    ])
    expect(drop(second.id, addDays(monday, 2)).moves.map((m) => [m.id, m.day])).toEqual([
      [first.id, addDays(monday, 1)],
      [second.id, addDays(monday, 2)],
    ])
    // a Friday leaves the fish in their tanks over the weekend
    expect(drop(first.id, friday).problems.map((p) => p.code)).toContain('crew-off')
  })
  it('with a crew that may not handle fish is refused', async () => {
    const { actors, crewId, pairs } = await planned('Pintail')
    const { crews } = await people(actors.owner)
    await setCrewSetup(actors.office, crewId, crews[0]!.version, { ...crews[0]!.setup, skills: [] })
    const { first } = pairs[0]!
    const move = moveVisit(actors.office, first.id, {
      day: first.day,
      startTime: '09:00',
      crewId,
      version: first.version,
    })
    expect((await problemOf(move)).message).toContain('may not handle fish')
  })
  it('is called off whole, never its second day alone', async () => {
    const { firmId, actors, pairs } = await planned('Gadwall')
    const { first, second } = pairs[0]!
    expect((await problemOf(cancelVisit(actors.office, second.id, second.version))).message).toContain('cancels both')
    await cancelVisit(actors.office, first.id, first.version)
    expect(await pairsOf(firmId)).toEqual([])
  })
  it('comes back whole when that is undone, once', async () => {
    const { firmId, actors, pairs } = await planned('Smew')
    const { first, second } = pairs[0]!
    await cancelVisit(actors.office, first.id, first.version)
    await restoreVisit(actors.office, first.id)
    expect((await pairsOf(firmId)).map((pair) => [pair.first!.id, pair.second!.id])).toEqual([[first.id, second.id]])
    expect((await problemOf(restoreVisit(actors.office, first.id))).message).toContain('on the plan already')
  })
  it('planned by hand takes two days when somebody says so', async () => {
    const { actors, firmId, crewId } = await makeFirm('Eider')
    const pondId = await addPond(actors.owner, newPond())
    const day = `${YEAR}-03-16`
    await planVisit(actors.office, {
      pondId,
      visitType: 'spring-cleanout',
      day,
      startTime: '08:00',
      crewId,
      note: '',
      days: 2,
    })
    expect(await pairsOf(firmId)).toMatchObject([{ first: { day }, second: { day: addDays(day, 1), crewId } }])
    const routine = planVisit(actors.office, {
      pondId,
      visitType: 'routine',
      day,
      startTime: '17:00',
      crewId,
      note: '',
      days: 2,
    })
    expect(await problemOf(routine)).toMatchObject({ fields: [{ path: 'days' }] })
    const alone = planVisit(actors.office, {
      pondId,
      visitType: SECOND_DAY_KEY,
      day: addDays(day, 9),
      startTime: '08:00',
      crewId,
      note: '',
    })
    expect(await problemOf(alone)).toMatchObject({ fields: [{ path: 'jobType' }] })
  })
})

describe('at the water’s edge', () => {
  it('fish that went out on the first day are counted back on the second, and its report tells both', async () => {
    const { actors, pairs } = await planned('Scaup')
    const { first, second } = pairs[0]!
    const lead = actors['crew-lead']
    const say = async (id: VisitId, stepKey: string, answer: object) => {
      const entry = {
        kind: 'done' as const,
        id: crypto.randomUUID() as EntryId,
        stepKey,
        at: new Date().toISOString(),
        replaces: null,
        confirmedUnlikely: true,
      }
      return logEntry(lead, id, {
        ...entry,
        answer: { note: '', ...answer },
        override: { reason: 'Shown for the count' },
      } as never)
    }
    await startVisit(lead, first.id)
    await say(first.id, 'fish-out', { fish: [{ species: 'koi', count: 5 }], losses: 0 })
    const { visit } = await fieldVisit(lead, first.id)
    for (const step of visit.job.steps)
      if (step.key !== 'fish-out')
        await logEntry(lead, first.id, skipped(step.key, 'Shown elsewhere')).catch(() =>
          say(first.id, step.key, plainAnswer(step)),
        )
    await finishVisit(lead, first.id)
    const two = await fieldVisit(lead, second.id)
    expect(two.gateFacts.fishInTanks).toEqual({ count: 5, losses: 0 })
    await startVisit(lead, second.id)
    const technician = actors.technician
    const back = (count: number, losses: number) =>
      logEntry(technician, second.id, {
        kind: 'done',
        id: crypto.randomUUID() as EntryId,
        stepKey: 'fish-back',
        at: new Date().toISOString(),
        replaces: null,
        confirmedUnlikely: false,
        answer: { note: '', fish: [{ species: 'koi', count }], losses },
      })
    expect(JSON.stringify(await problemOf(back(3, 0)))).toContain('fish-missing')
    await say(second.id, 'fish-back', { fish: [{ species: 'koi', count: 4 }], losses: 1 })
    for (const step of two.visit.job.steps)
      if (step.key !== 'fish-back')
        await logEntry(lead, second.id, skipped(step.key, 'Shown elsewhere')).catch(() =>
          say(second.id, step.key, plainAnswer(step)),
        )
    await finishVisit(lead, second.id)
    expect((await visitReport(actors.office, second.id)).report).toMatchObject({ fishOut: 5, fishBack: 4, losses: 1 })
  })
  it('a cleanout that was given up before any fish left the pond has no second day', async () => {
    const { firmId, actors, pairs } = await planned('Smew')
    await startVisit(actors['crew-lead'], pairs[0]!.first.id)
    await finishVisit(actors['crew-lead'], pairs[0]!.first.id, new Date(), 'weather', 'Thunder')
    expect(await pairsOf(firmId)).toEqual([])
  })
})

describe('second days of before they were joined', () => {
  it('find their cleanout, even torn apart, and get their own steps and name; again changes nothing', async () => {
    const { actors, firmId, crewId } = await makeFirm('Goosander')
    const pondId = await addPond(actors.owner, newPond())
    const day = `${YEAR}-03-16`
    const first = await planVisit(actors.office, {
      pondId,
      visitType: 'spring-cleanout',
      day,
      startTime: '06:00',
      crewId,
      note: '',
    })
    const second = await planVisit(actors.office, {
      pondId,
      visitType: 'routine',
      day: addDays(day, 8),
      startTime: '08:00',
      crewId,
      note: '',
    })
    const owner = knexFactory({ client: 'pg', connection: process.env.OWNER_DATABASE_URL, pool: { min: 0, max: 1 } })
    await owner('visits')
      .where({ id: second })
      .update({ tasks: JSON.stringify([{ id: 'second-day', title: 'Second day of the cleanout' }]) })
    await joinLegs(owner)
    await joinLegs(owner)
    await owner.destroy()
    const [pair] = await pairsOf(firmId)
    expect(pair).toMatchObject({ first: { id: first }, second: { id: second, jobKey: SECOND_DAY_KEY } })
    const { visits } = await pondOnFile(actors.office, pondId)
    expect(visits.find((v) => v.id === second)!.tasks).toEqual([])
    expect(visits.find((v) => v.id === first)!.job.steps.map((s) => s.key)).toContain('tanks-overnight')
    // the next plan brings them together again
    const { changes } = await workOut(firmId)
    const at = new Map(changes.map((c) => [c.key, c.day]))
    const dayOf = (id: string, stood: string) => at.get(id) ?? stood
    expect(daysBetween(dayOf(first, day), dayOf(second, addDays(day, 8)))).toBe(1)
  })
})

describe('a plan that was taken over', () => {
  it('can be undone, whole, until something in it was done or told', async () => {
    const { firmId, actors, pairs } = await planned('Dunlin', 2)
    const taken = await lastTakeover(actors.office)
    expect(taken).toMatchObject({ visits: 4, barred: null })
    expect((await problemOf(undoTakeover(actors.technician, taken!.id))).kind).toBe('forbidden')
    await undoTakeover(actors.office, taken!.id)
    expect(await pairsOf(firmId)).toEqual([])
    expect((await problemOf(undoTakeover(actors.office, taken!.id))).kind).toBe('refused')
    expect((await workOut(firmId)).changes).toHaveLength(4)
    expect(pairs).toHaveLength(2)
  })
  it('moved visits go back to where they were', async () => {
    const { firmId, actors, pairs } = await planned('Knot')
    const wet = await workOut(firmId, wish({ lostDays: [pairs[0]!.first.day] }))
    await acceptPlan(
      actors.office,
      await finishedRun(actors.office, wet, wish()),
      wet.changes.map((c) => c.key),
    )
    expect((await pairsOf(firmId))[0]!.first!.day).not.toBe(pairs[0]!.first.day)
    await undoTakeover(actors.office, (await lastTakeover(actors.office))!.id)
    expect((await pairsOf(firmId))[0]).toMatchObject({
      first: { day: pairs[0]!.first.day },
      second: { day: pairs[0]!.second.day },
    })
  })
  it('is barred once a visit of it has begun', async () => {
    const { actors, pairs } = await planned('Ruff')
    await startVisit(actors['crew-lead'], pairs[0]!.first.id)
    const taken = (await lastTakeover(actors.office))!
    expect(taken.barred).toEqual({ code: 'begun', siteName: 'Site' })
    expect((await problemOf(undoTakeover(actors.office, taken.id))).message).toContain('has started')
  })
})
