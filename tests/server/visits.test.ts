import { randomUUID } from 'node:crypto'
import sharp from 'sharp'
import { addDays } from '@/core/numeric/calendar'
import type { VisitStep } from '@/core/visits/step'
import type { CrewId, EntryId, PondId, VisitId } from '@/domain/shared/ids'
import type { EntryInput, StepAnswer } from '@/domain/visits/visit'
import type { Actor } from '@/server/platform/auth/actor'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { todayIn } from '@/server/platform/today'
import { logEntry } from '@/server/field/log'
import { amountsToday } from '@/domain/field/field-pack'
import { stepStates } from '@/domain/visits/visit-progress'
import { fieldVisit } from '@/server/field/pack'
import { addPhoto } from '@/server/visits/photos'
import { assertNoOverlap } from '@/server/schedule/no-overlap'
import { addPond } from '@/server/ponds/ponds'
import { logReadings } from '@/server/water/readings'
import { visitReport } from '@/server/visits/report'
import { reportPdf } from '@/server/visits/report-pdf'
import { cancelVisit } from '@/server/visits/visit-cancelling'
import { moveVisit, planningPage, planVisit } from '@/server/visits/visit-planning'
import { pondOnFile } from '../fixtures/pond-on-file'
import { finishVisit, photoOf, skipped, startVisit } from '../fixtures/field'
import { makeFirm, newPond } from '../fixtures/firm'
import { plainAnswer, readingsOf } from '../fixtures/plain-answer'
import { problemOf } from '../fixtures/problem-of'
import { said } from '@/domain/shared/said'

afterAll(closeDatabase)

const today = todayIn('Etc/UTC')
const picture = () =>
  sharp({ create: { width: 40, height: 30, channels: 3, background: '#557755' } })
    .jpeg()
    .toBuffer()

async function planned(name: string) {
  const firm = await makeFirm(name)
  const pondId = await addPond(firm.actors.owner, newPond())
  const plan = (crewId: CrewId, startTime: string, day = today) =>
    planVisit(firm.actors.office, { pondId, visitType: 'spring-cleanout', day, startTime, crewId, note: '' })
  return { ...firm, pondId, plan }
}

const doneEntry = (stepKey: string, answer: Partial<StepAnswer> = {}, more: object = {}): EntryInput =>
  ({
    kind: 'done',
    id: randomUUID() as EntryId,
    stepKey,
    at: new Date().toISOString(),
    answer: { note: '', ...answer },
    confirmedUnlikely: false,
    ...more,
  }) as EntryInput

const SAFE = { waterTemp: 10, tankTemp: 9, ph: 7.3, tan: 0.1, nitrite: 0.05, dissolvedOxygen: 9, freeChlorine: 0 }

/** Answers a step the plain way. */
async function answer(actor: Actor, visitId: VisitId, step: VisitStep): Promise<void> {
  if (step.kind === 'photo') await addPhoto(actor, visitId, photoOf(step.key), await picture())
  const plain = plainAnswer(step)
  if (step.waits) {
    const at = new Date(Date.now() - (step.timerMinutes! + 1) * 60_000).toISOString()
    await logEntry(actor, visitId, { kind: 'timer-started', id: randomUUID() as EntryId, stepKey: step.key, at })
  }
  await logEntry(
    actor,
    visitId,
    doneEntry(step.key, step.key === 'test-refilled' ? { ...plain, readings: readingsOf(SAFE) } : plain),
  )
}

async function answerUntil(actor: Actor, visitId: VisitId, stopBefore: string | null): Promise<void> {
  const { visit } = await fieldVisit(actor, visitId)
  for (const step of visit.job.steps) {
    if (step.key === stopBefore) return
    await answer(actor, visitId, step)
  }
}

describe('planning', () => {
  it('refuses a crew in two places at once, and yesterday', async () => {
    const { plan, crewId } = await planned('Maple')
    await plan(crewId, '08:00')
    expect((await problemOf(plan(crewId, '10:00'))).message).toContain('Heron is at Site from 08:00')
    expect((await problemOf(plan(crewId, '08:00', addDays(today, -1)))).message).toContain('past')
  })
  it('moves and takes off planned visits only, and only on the version seen', async () => {
    const { plan, crewId, actors } = await planned('Nettle')
    const id = await plan(crewId, '08:00')
    const target = { day: addDays(today, 3), startTime: '09:00', crewId }
    await moveVisit(actors.office, id, { ...target, version: 1 })
    expect((await problemOf(moveVisit(actors.office, id, { ...target, version: 1 }))).kind).toBe('conflict')
    await startVisit(actors['crew-lead'], id)
    expect((await problemOf(cancelVisit(actors.office, id, 3))).kind).toBe('refused')
  })
  it('is for the office', async () => {
    const { pondId, crewId, actors } = await planned('Oak')
    expect(
      (
        await problemOf(
          planVisit(actors.technician, {
            pondId,
            visitType: 'spring-cleanout',
            day: today,
            startTime: '08:00',
            crewId,
            note: '',
          }),
        )
      ).kind,
    ).toBe('forbidden')
  })
})

describe('at the water’s edge', () => {
  it('logs an entry once however often it is sent', async () => {
    const { plan, crewId, actors } = await planned('Pine')
    const id = await plan(crewId, '08:00')
    await startVisit(actors.technician, id)
    const entry = doneEntry('kit')
    await Promise.all([
      logEntry(actors.technician, id, entry),
      logEntry(actors.technician, id, entry),
      logEntry(actors.technician, id, entry),
    ])
    expect((await fieldVisit(actors.technician, id)).log.map((e) => e.kind)).toEqual(['started', 'done'])
  })
  it('refuses readings that cannot be, asks about unusual ones, and names what is missing', async () => {
    const { plan, crewId, actors } = await planned('Rowan')
    const id = await plan(crewId, '08:00')
    await startVisit(actors.technician, id)
    const log = (readings: Record<string, number>, confirmedUnlikely = false) =>
      logEntry(
        actors.technician,
        id,
        doneEntry('test-before', { readings: readingsOf(readings) }, { confirmedUnlikely }),
      )
    expect((await problemOf(log({ waterTemp: 120, ph: 7, tan: 0.1, dissolvedOxygen: 9 }))).message).toContain(
      'Water temperature cannot be 120',
    )
    expect((await problemOf(log({ waterTemp: 9, ph: 10.2, tan: 0.1, dissolvedOxygen: 9 }))).message).toContain(
      'unusual',
    )
    expect((await problemOf(log({ waterTemp: 9 }))).message).toContain('ph, total ammonia')
    await expect(log({ waterTemp: 9, ph: 10.2, tan: 0.1, dissolvedOxygen: 9 }, true)).resolves.toBe('kept')
  })
  it('keeps fish in the tank until the refilled pond is safe', async () => {
    const { plan, crewId, actors } = await planned('Sedge')
    const id = await plan(crewId, '08:00')
    const lead = actors['crew-lead']
    await startVisit(lead, id)
    await answerUntil(lead, id, 'test-refilled')
    const fishBack = (more: object = {}) => doneEntry('fish-back', { fish: [{ species: 'goldfish', count: 10 }] }, more)
    expect(await problemOf(logEntry(lead, id, fishBack()))).toMatchObject({
      kind: 'refused',
      details: { gate: [{ code: 'not-tested' }] },
    })
    await logEntry(lead, id, doneEntry('test-refilled', { readings: readingsOf({ ...SAFE, freeChlorine: 0.4 }) }))
    expect(await problemOf(logEntry(lead, id, fishBack()))).toMatchObject({
      kind: 'refused',
      details: { gate: [{ code: 'chlorine' }] },
    })
    const reason = { override: { reason: 'Tank aerator failed, fish gasping' } }
    expect((await problemOf(logEntry(actors.technician, id, fishBack(reason)))).message).toContain('crew lead')
    // leaving the step out is no way round the gate
    expect((await problemOf(logEntry(actors.technician, id, skipped('fish-back', 'no time left')))).message).toContain(
      'crew lead',
    )
    await expect(logEntry(lead, id, fishBack(reason))).resolves.toBe('kept')
  })
  it('finishes only when every step is answered, then writes readings, follow-up and report', async () => {
    const { plan, crewId, actors, pondId } = await planned('Tansy')
    const id = await plan(crewId, '08:00')
    const lead = actors['crew-lead']
    await startVisit(lead, id)
    await answerUntil(lead, id, 'sign')
    expect((await problemOf(finishVisit(lead, id))).message).toContain('1 step is still open')
    const { visit } = await fieldVisit(lead, id)
    await answer(
      lead,
      id,
      visit.job.steps.find((s) => s.key === 'sign')!,
    )
    await finishVisit(lead, id)
    await finishVisit(lead, id)

    const page = await pondOnFile(actors.office, pondId)
    expect(page.readings.filter((r) => r.kind === 'tan').map((r) => r.value)).toEqual([0.1, 0.1])
    expect(page.readings.map((r) => r.kind)).not.toContain('tapChlorine')
    expect(page.followUps).toMatchObject([{ dueFrom: addDays(today, 3), dueTo: addDays(today, 7) }])

    const { report, photos } = await visitReport(actors.office, id)
    expect(report).toMatchObject({ fishOut: 10, fishBack: 10, losses: 0, leftOut: [] })
    expect(photos).toHaveLength(2)
    // what is over holds no hours: the form that plans the next visit says so, and so do planning and moving
    expect((await planningPage(actors.office, pondId, 'spring-cleanout')).visits).toEqual([])
    const next = await plan(crewId, '10:00')
    expect((await planningPage(actors.office, pondId, 'spring-cleanout')).visits.map((v) => v.id)).toEqual([next])
    await moveVisit(actors.office, next, { day: today, startTime: '08:30', crewId, version: 1 })
    await inFirm(actors.office.firmId, (trx) =>
      assertNoOverlap(trx, [{ crewId, day: today }], said('schedule.problems.moveOneThemFirst')),
    )

    const { bytes, fileName } = await reportPdf(actors.office, id)
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-')
    // on the paper of whoever prints it, points
    const paperOf = (pdf: Buffer) =>
      /\/MediaBox \[([^\]]+)\]/
        .exec(pdf.toString('latin1'))![1]!
        .split(' ')
        .map((n) => Math.round(Number(n)))
    expect(paperOf(bytes)).toEqual([0, 0, 595, 842])
    expect(paperOf((await reportPdf(actors.office, id, 'en-US')).bytes)).toEqual([0, 0, 612, 792])
    expect(fileName).toBe(`${today}-spring-cleanout-test-pond.pdf`)
  })
  it('closes the follow-up when its tests are logged', async () => {
    const { plan, crewId, actors, pondId } = await planned('Umbel')
    const id = await plan(crewId, '08:00')
    const lead = actors['crew-lead']
    await startVisit(lead, id)
    await answerUntil(lead, id, null)
    await finishVisit(lead, id)
    const later = new Date(Date.now() + 5 * 86_400_000)
    const test = (readings: Record<string, number>) =>
      logReadings(
        lead,
        pondId as PondId,
        { readings: readingsOf(readings), method: 'drops', at: later.toISOString(), confirmedUnlikely: false },
        later,
      )
    await test({ tan: 0.1 })
    expect((await pondOnFile(lead, pondId)).followUps).toHaveLength(1)
    await test({ tan: 0.1, nitrite: 0.05 })
    expect((await pondOnFile(lead, pondId)).followUps).toHaveLength(0)
  })
})

describe('gates at the water’s edge', () => {
  /** A routine visit of a pond, answered up to a step. */
  async function routine(firm: Awaited<ReturnType<typeof planned>>, startTime: string, until: string) {
    const id = await planVisit(firm.actors.office, {
      pondId: firm.pondId,
      visitType: 'routine',
      day: today,
      startTime,
      crewId: firm.crewId,
      note: '',
    })
    await startVisit(firm.actors.technician, id)
    await answerUntil(firm.actors.technician, id, until)
    return id
  }
  const change = (changedM3: number, more: object = {}) =>
    doneEntry(
      'change-water',
      { figures: { changedM3 }, readings: readingsOf({ tapTemp: 9, tapChlorine: 0.2, tan: 0.1 }) },
      more,
    )

  it('a change of water is judged by its share, by the tap, and by the last one at this pond', async () => {
    const firm = await planned('Yarrow')
    const { technician } = firm.actors
    const lead = firm.actors['crew-lead']
    const first = await routine(firm, '06:00', 'change-water')
    const sheet = await fieldVisit(technician, first)
    const { systemM3, partialChange } = amountsToday(sheet, stepStates(sheet.visit.job.steps, sheet.log))
    expect(partialChange.volumeM3).toBeCloseTo(systemM3 / 3, 6)
    const gateOf = async (id: VisitId, entry: EntryInput) =>
      (await problemOf(logEntry(technician, id, entry))) as { details?: { gate: { code: string }[] } }
    expect((await gateOf(first, doneEntry('change-water', {}))).details!.gate).toMatchObject([{ code: 'needs-figure' }])
    expect((await gateOf(first, doneEntry('change-water', { figures: { changedM3: 1 } }))).details!.gate).toMatchObject(
      [{ code: 'needs-test', missing: ['tapTemp'] }],
    )
    expect((await gateOf(first, change(systemM3 / 2))).details!.gate).toMatchObject([{ code: 'too-much-at-once' }])
    await logEntry(technician, first, change(systemM3 / 4))

    // the same pond again on the same day
    const second = await routine(firm, '12:00', 'change-water')
    expect((await gateOf(second, change(systemM3 / 4))).details!.gate).toMatchObject([{ code: 'too-soon' }])
    const why = { override: { reason: 'Ammonia still high, fish at the surface' } }
    expect((await problemOf(logEntry(technician, second, change(systemM3 / 4, why)))).message).toContain('crew lead')
    await logEntry(lead, second, change(systemM3 / 4, why))
    await answerUntil(lead, second, null)
    await finishVisit(lead, second)
    const { report } = await visitReport(firm.actors.office, second)
    expect(report.overrides).toEqual([expect.objectContaining({ reason: why.override.reason })])
  })
  it('a figure that cannot be is refused by name; leaving a dose out needs no leave', async () => {
    const firm = await planned('Zinnia')
    const id = await routine(firm, '06:00', 'level')
    const problem = await problemOf(
      logEntry(firm.actors.technician, id, doneEntry('level', { figures: { levelDropM: 9 } })),
    )
    expect(problem).toMatchObject({ kind: 'bad-input', fields: [{ path: 'answer.figures.levelDropM' }] })
    await answerUntil(firm.actors.technician, id, 'change-water')
    expect(await logEntry(firm.actors.technician, id, skipped('change-water', 'Tests are clean'))).toBe('kept')
  })
})

describe('photos', () => {
  async function underWay(name: string) {
    const { plan, crewId, actors } = await planned(name)
    const id = await plan(crewId, '08:00')
    await startVisit(actors.technician, id)
    return (bytes: Buffer) => addPhoto(actors.technician, id, photoOf('arrive-photos'), bytes)
  }
  it('refuses what is no picture, whatever its name', async () => {
    const add = await underWay('Vetch')
    expect((await problemOf(add(Buffer.from('MZ this is no photo at all')))).message).toContain('not a picture')
    expect(
      (await problemOf(add(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="5" height="5"/>')))).message,
    ).toContain('not a photo')
    const whole = await sharp({
      create: {
        width: 900,
        height: 700,
        channels: 3,
        background: '#335544',
        noise: { type: 'gaussian', mean: 90, sigma: 40 },
      },
    })
      .jpeg()
      .toBuffer()
    expect((await problemOf(add(whole.subarray(0, whole.length / 3)))).message).toContain('damaged')
  })
  it('takes a 40-megapixel picture and keeps it small, upright and without its metadata', async () => {
    const add = await underWay('Willow')
    const large = await sharp({ create: { width: 8000, height: 5000, channels: 3, background: '#446655' } })
      .withExif({ IFD0: { Artist: 'somebody' } })
      .withMetadata({ orientation: 6 })
      .png()
      .toBuffer()
    const photo = await add(large)
    expect([photo.width, photo.height]).toEqual([1000, 1600])
  })
  it('refuses a picture of a hundred megapixels with the mend', async () => {
    const add = await underWay('Yarrow')
    const huge = await sharp({
      create: { width: 10_000, height: 10_000, channels: 3, background: '#000' },
      limitInputPixels: false,
    })
      .png({ compressionLevel: 9 })
      .toBuffer()
    expect((await problemOf(add(huge))).message).toContain('megapixels')
  }, 30_000)
})
