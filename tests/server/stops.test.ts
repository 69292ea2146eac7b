import { UNTESTED_FILL } from '@/core/water/fill-water'
import { amountsToday } from '@/domain/field/field-pack'
import { randomUUID } from 'node:crypto'
import knexFactory from 'knex'
import type { EntryId, VisitId } from '@/domain/shared/ids'
import type { EntryInput, StepAnswer } from '@/domain/visits/visit'
import { stepStates } from '@/domain/visits/visit-progress'
import { HouseRules } from '@/domain/house-rules/house-rules'
import { setHouseRules } from '@/server/firm/firm'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { codeAnswers } from '@/server/platform/db/migrations/019-codes'
import { findOwnVisitType, storeOwnVisitType } from '@/server/visits/own-visit-type-repository'
import { closeQueue } from '@/server/platform/queue/queue'
import { dosesPage } from '@/server/water/doses'
import { logEntry } from '@/server/field/log'
import { fieldVisit } from '@/server/field/pack'
import { syncField } from '@/server/field/sync'
import { addPond } from '@/server/ponds/ponds'
import { planVisit } from '@/server/visits/visit-planning'
import { customersOnFile } from '../fixtures/customers-on-file'
import { finishVisit, skipped, startVisit } from '../fixtures/field'
import { makeFirm, newPond } from '../fixtures/firm'
import { readingsOf } from '../fixtures/plain-answer'
import { problemOf } from '../fixtures/problem-of'
import { jobInWords } from '../fixtures/jobs-in-words'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const today = new Date().toISOString().slice(0, 10)
const done = (stepKey: string, answer: Partial<StepAnswer>, more: object = {}): EntryInput =>
  ({
    kind: 'done',
    id: randomUUID() as EntryId,
    stepKey,
    at: new Date().toISOString(),
    answer: { note: '', ...answer },
    confirmedUnlikely: true,
    replaces: null,
    ...more,
  }) as EntryInput

async function withVisit(name: string, jobKey: string) {
  const firm = await makeFirm(name)
  const pondId = await addPond(firm.actors.owner, newPond())
  const visit = async (startTime: string, key = jobKey) => {
    const id = await planVisit(firm.actors.office, {
      pondId,
      visitType: key,
      day: today,
      startTime,
      crewId: firm.crewId,
      note: '',
    })
    await startVisit(firm.actors['crew-lead'], id)
    return id
  }
  return { ...firm, pondId, visit, visitId: await visit('08:00') }
}
const gateCodes = async (attempt: Promise<unknown>): Promise<string[]> => {
  const problem = await problemOf(attempt)
  return ((problem as { details?: { gate?: { code: string }[] } }).details?.gate ?? []).map((r) => r.code)
}

describe('the same product again', () => {
  it('within its gap is a stop on the phone, also on another visit, and is passed by a crew lead with a reason', async () => {
    const { actors, visit, visitId, pondId } = await withVisit('Twice', 'rescue-floor')
    const binder = (id: VisitId, more: object = {}) =>
      logEntry(
        actors['crew-lead'],
        id,
        done('binder', { doses: [{ productKey: 'binder', name: 'Binder', amount: 100, unit: 'g' }] }, more),
      )
    expect(await binder(visitId)).toBe('kept')
    const second = await visit('13:00')
    expect(await gateCodes(binder(second))).toEqual(['dose-too-soon'])
    expect(await binder(second, { override: { reason: 'Ammonia is back after the siphon' } })).toBe('kept')
    const desk = await dosesPage(actors.office, pondId)
    expect(desk.recentDoses.filter((d) => d.productKey === 'binder')).toHaveLength(2)
  })
})

describe('what the phone refuses', () => {
  it('an answer that is no code of the step', async () => {
    const { actors, visitId } = await withVisit('No code', 'rescue-floor')
    const problem = await problemOf(logEntry(actors['crew-lead'], visitId, done('siphon', { choice: 'All is well' })))
    // the words of no answer are kept as a note, and the decision is asked for again
    expect(problem).toMatchObject({ kind: 'bad-input', fields: [{ path: 'answer.choice', code: 'missing' }] })
  })
  it('fish going back without oxygen and nitrite tested', async () => {
    const { actors, visitId } = await withVisit('Untested', 'spring-cleanout')
    const tests = { waterTemp: 10, tankTemp: 9, ph: 7.3, tan: 0.1, freeChlorine: 0 }
    const problem = await problemOf(
      logEntry(actors['crew-lead'], visitId, done('test-refilled', { readings: readingsOf(tests), method: 'drops' })),
    )
    expect(problem).toMatchObject({
      kind: 'bad-input',
      fields: [{ path: 'answer.readings.nitrite' }, { path: 'answer.readings.dissolvedOxygen' }],
    })
    expect(await gateCodes(logEntry(actors['crew-lead'], visitId, done('fish-back', { fish: [] })))).toEqual([
      'not-tested',
    ])
  })
  it('salt over the plants’ limit, also when it is only written down as a product', async () => {
    const { actors, visit } = await withVisit('Salty', 'routine')
    await setHouseRules(actors.owner, 1, HouseRules.parse({ winterSalt: 'tenth-percent' }))
    const visitId = await visit('13:00', 'winter-shutdown')
    const { gateFacts } = await fieldVisit(actors.office, visitId)
    const grams = gateFacts.systemM3 * 1000 * 2
    const give = (amount: number) =>
      logEntry(
        actors['crew-lead'],
        visitId,
        done('salt', { figures: { saltKg: 0 }, doses: [{ productKey: 'salt', name: 'Salt', amount, unit: 'g' }] }),
      )
    expect(await gateCodes(give(grams))).toEqual(['too-salty'])
    expect(await give(grams / 2)).toBe('kept')
  })
})

describe('fish on their way back', () => {
  it('wait for the acclimation’s timer', async () => {
    const { actors, visitId } = await withVisit('Acclimate', 'spring-cleanout')
    const lead = actors['crew-lead']
    const acclimate = (more: object = {}) => logEntry(lead, visitId, done('acclimate', {}, more))
    const started = (minutesAgo: number): EntryInput => ({
      kind: 'timer-started',
      id: randomUUID() as EntryId,
      stepKey: 'acclimate',
      at: new Date(Date.now() - minutesAgo * 60_000).toISOString(),
    })
    expect(await gateCodes(acclimate())).toEqual(['timer-not-started'])
    await logEntry(lead, visitId, started(5))
    expect(await gateCodes(acclimate())).toEqual(['timer-running'])
    expect(await acclimate({ override: { reason: 'Tank and pond are one water already' } })).toBe('kept')
    const { visitId: later } = await withVisit('Acclimated', 'spring-cleanout').then(async (made) => {
      await logEntry(made.actors['crew-lead'], made.visitId, started(21))
      expect(await logEntry(made.actors['crew-lead'], made.visitId, done('acclimate', {}))).toBe('kept')
      return made
    })
    expect(later).toBeDefined()
  })
  it('are counted against those that went out', async () => {
    const { actors, visitId } = await withVisit('Counted', 'spring-cleanout')
    const lead = actors['crew-lead']
    const pass = { override: { reason: 'Tests are on the truck' } }
    const fish = (count: number, losses = 0) => ({
      fish: [{ species: 'goldfish' as const, count }],
      ...(losses ? { losses } : {}),
    })
    await logEntry(lead, visitId, done('fish-out', fish(12), pass))
    const safe = { waterTemp: 10, tankTemp: 9, ph: 7.3, tan: 0.1, nitrite: 0.05, dissolvedOxygen: 9, freeChlorine: 0 }
    await logEntry(lead, visitId, done('test-refilled', { readings: readingsOf(safe), method: 'drops' }))
    expect(await gateCodes(logEntry(lead, visitId, done('fish-back', fish(11))))).toEqual(['fish-missing'])
    expect(await gateCodes(logEntry(lead, visitId, done('fish-back', fish(13))))).toEqual(['fish-missing'])
    expect(await logEntry(lead, visitId, done('fish-back', fish(11, 1)))).toBe('kept')
  })
  it('are watched again and again: each round is a line of its own', async () => {
    const { actors, visitId } = await withVisit('Rounds', 'spring-cleanout')
    const lead = actors['crew-lead']
    for (const tankOxygen of [9, 8.5, 8])
      await logEntry(
        lead,
        visitId,
        done('tank-watch', { readings: readingsOf({ tankTemp: 9, tankOxygen }), method: 'meter' }),
      )
    const { visit, log } = await fieldVisit(actors.office, visitId)
    expect(visit.job.steps.find((s) => s.key === 'tank-watch')!.again).toBe(true)
    expect(log.filter((e) => e.kind === 'done' && e.stepKey === 'tank-watch')).toHaveLength(3)
    expect(stepStates(visit.job.steps, log).get('tank-watch')).toMatchObject({
      entry: { answer: { readings: { tankOxygen: { value: 8 } } } },
    })
  })
})

describe('the fill water of a site', () => {
  it('is asked once: what a visit tests is on file for the next one', async () => {
    const { actors, visit, visitId } = await withVisit('Hard tap', 'rescue-floor')
    const lead = actors['crew-lead']
    const pond = { waterTemp: 15, ph: 6.2, tan: 5, kh: 0.5, nitrite: 0.1, dissolvedOxygen: 8 }
    await logEntry(
      lead,
      visitId,
      done('test-tap', {
        readings: readingsOf({ tapTemp: 14, tapChlorine: 2, tapChloramine: 1.5, tapPh: 8, tapKh: 14 }),
        method: 'drops',
      }),
    )
    for (const step of jobInWords('rescue-floor').steps.filter((s) => s.key !== 'test-tap'))
      await logEntry(lead, visitId, skipped(step.key, 'not today'))
    await finishVisit(lead, visitId)
    const site = (await customersOnFile(actors.office)).customers[0]!.sites[0]!
    expect(site.fill).toEqual({ ...UNTESTED_FILL, ph: 8, khDH: 14, chlorineMgL: 2, chloramineMgL: 1.5 })

    const next = await visit('13:00')
    const { gateFacts } = await fieldVisit(actors.office, next)
    expect(gateFacts.fill).toEqual(site.fill)
    // before the tap is tested again, the phone's dose goes by the file, and says what chloramine leaves behind
    const { visit: nextVisit, log, cleanout } = await fieldVisit(actors.office, next)
    const amounts = amountsToday({ cleanout, gateFacts }, stepStates(nextVisit.job.steps, log))
    expect(amounts).toMatchObject({ chlorineMgL: 2, chlorineFrom: 'file' })
    expect(amounts.newWaterTanMgL).toBeCloseTo(0.296, 3)
    await logEntry(lead, next, done('test', { readings: readingsOf({ ...pond, nitrate: 10 }), method: 'drops' }))
    await logEntry(
      lead,
      next,
      done('test-tap', { readings: readingsOf({ tapTemp: 14, tapChlorine: 0.3 }), method: 'drops' }),
    )
    const change = done('change-water', { figures: { changedM3: gateFacts.systemM3 * 0.33 } })
    expect(await gateCodes(logEntry(lead, next, change))).toEqual(['ammonia-after'])
  })
})

describe('what was stored before answers had codes', () => {
  const words = (text: object): string => JSON.stringify(text)
  /** A visit, its log and an own visit type as they were. */
  async function inOldShape() {
    const made = await withVisit('Old shape', 'rescue-floor')
    const { actors, firmId, visitId } = made
    const lead = actors['crew-lead']
    await logEntry(lead, visitId, done('siphon', { choice: 'calm' }))
    const own = { name: 'Our rescue', customerNote: 'Note', steps: jobInWords('rescue-floor').steps }
    await inFirm(firmId, (trx) => storeOwnVisitType(trx, firmId, 'rescue-floor', 0, own as never, actors.owner.userId))
    const owner = knexFactory({ client: 'pg', connection: process.env.OWNER_DATABASE_URL, pool: { min: 0, max: 1 } })
    const spoken = (steps: readonly { choices?: readonly { label: string }[] }[]) =>
      steps.map((s) => (s.choices ? { ...s, choices: s.choices.map((c) => c.label) } : s))
    const { job } = (await owner('visits').where({ id: visitId }).first('job'))!
    await owner('visits')
      .where({ id: visitId })
      .update({ job: words({ ...job, steps: spoken(job.steps) }) })
    await owner('own_visit_types')
      .where({ firm_id: firmId })
      .update({ job: words({ ...own, steps: spoken(own.steps) }) })
    await owner.raw(
      `update visit_entries set entry = jsonb_set(entry, '{answer,choice}', '"No smell, fish calm"') where visit_id = ? and entry->>'stepKey' = 'siphon'`,
      [visitId],
    )
    return { ...made, owner, lead }
  }
  it('visits, logs and own visit types are brought along', async () => {
    const { owner, visitId, firmId, actors } = await inOldShape()
    try {
      await codeAnswers(owner, 'own_visit_types')
    } finally {
      await owner.destroy()
    }
    const { visit, log } = await fieldVisit(actors.office, visitId)
    expect(visit.job.steps.find((s) => s.key === 'siphon')!.choices!.map((c) => c.code)).toEqual([
      'calm',
      'rotten-eggs',
      'gasping',
    ])
    expect(stepStates(visit.job.steps, log).get('siphon')).toMatchObject({ entry: { answer: { choice: 'calm' } } })
    const { job } = await inFirm(firmId, (trx) => findOwnVisitType(trx, 'rescue-floor'))
    expect(job!.steps.find((s) => s.key === 'siphon')!.choices).toEqual(
      jobInWords('rescue-floor').steps.find((s) => s.key === 'siphon')!.choices,
    )
  })
  it('a device that was away says its answers by their words, and a stop still stops', async () => {
    const { actors, visitId } = await withVisit('Old device', 'rescue-floor')
    const lead = actors['crew-lead']
    const line = (choice: string, seen: string) => ({ visitId, entry: done('siphon', { choice }, { gateSeen: seen }) })
    const { results } = await syncField(lead, {
      userId: lead.userId,
      lines: [line('Smell of rotten eggs', 'stop'), line('No smell, fish calm', 'safe')],
    })
    expect(results.map((r) => r.outcome)).toEqual(['refused', 'kept'])
    const { visit, log } = await fieldVisit(actors.office, visitId)
    expect(stepStates(visit.job.steps, log).get('siphon')).toMatchObject({ entry: { answer: { choice: 'calm' } } })
  })
})
