import sharp from 'sharp'
import { betterDays } from '@/core/diagnosis/better-days'
import { addDays } from '@/core/numeric/calendar'
import { waterAheadOf } from '@/domain/diagnosis/diagnosis'
import type { PhotoId, PondId } from '@/domain/shared/ids'
import { remedyAmounts } from '@/domain/diagnosis/remedy-doses'
import { remedyAmountWords } from '@/messages/water/amount-words'
import type { Actor } from '@/server/platform/auth/actor'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { closeQueue } from '@/server/platform/queue/queue'
import { actOnDiagnosis, diagnosisPage, sayOutcome } from '@/server/diagnosis/diagnosis'
import { addPhoto } from '@/server/visits/photos'
import { addPond } from '@/server/ponds/ponds'
import { logReadings } from '@/server/water/readings'
import { logLevel } from '@/server/survey/water-loss'
import { planVisit } from '@/server/visits/visit-planning'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'
import { photoOf, startVisit } from '../fixtures/field'
import { problemOf } from '../fixtures/problem-of'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const today = new Date().toISOString().slice(0, 10)
const MADE = addDays(today, -20)

const test = (actor: Actor, pondId: PondId, day: string, readings: Record<string, number>) =>
  logReadings(actor, pondId, {
    at: `${day}T06:00:00Z`,
    readings: Object.fromEntries(Object.entries(readings).map(([kind, value]) => [kind, { value, belowStep: false }])),
    method: 'drops',
    confirmedUnlikely: true,
  })

/** A pond found green three weeks ago; the diagnosis is dated back, as only time can. */
async function foundGreen(name: string) {
  const { actors, firmId, crewId } = await makeFirm(name)
  const pondId = await addPond(actors.owner, newPond())
  await test(actors.technician, pondId, addDays(MADE, -1), { clarityDepth: 0.2, nitrite: 0.8 })
  const { id } = await actOnDiagnosis(actors.owner, pondId, {
    cause: 'green-filter-small',
    findings: { 'water-green': true, 'nitrite-high': true },
  })
  await inFirm(firmId, (trx) =>
    trx('diagnoses')
      .where({ id })
      .update({ made_on: MADE, better_from: addDays(MADE, 7), better_to: addDays(MADE, 17) }),
  )
  return { actors, firmId, crewId, pondId, id }
}
const first = async (actor: Actor, pondId: PondId) => (await diagnosisPage(actor, pondId)).kept[0]

describe('a diagnosis that was acted on', () => {
  it('asks for tests until there are some, then says what they say, and leaves the last word to people', async () => {
    const { actors, pondId, id } = await foundGreen('Moss')
    expect((await first(actors.owner, pondId))!.check).toMatchObject({
      verdict: null,
      lines: [
        { what: 'nitrite-high', before: 0.8 },
        { what: 'clarity', before: 0.2 },
      ],
    })
    await test(actors.technician, pondId, addDays(MADE, 8), { clarityDepth: 0.35, nitrite: 0.3 })
    expect((await first(actors.owner, pondId))!.check.verdict).toBe('partly')
    await test(actors.technician, pondId, addDays(MADE, 15), { clarityDepth: 1.1 })
    expect((await first(actors.owner, pondId))!.check.verdict).toBe('better')
    await sayOutcome(actors.technician, id, 'partly')
    expect(await first(actors.owner, pondId)).toMatchObject({ outcome: 'partly', check: { verdict: 'better' } })
  })

  it('shows the newest photo since beside the last before', async () => {
    const { actors, pondId, crewId } = await foundGreen('Fern')
    const visitId = await planVisit(actors.owner, {
      pondId,
      visitType: 'routine',
      day: today,
      startTime: '08:00',
      crewId,
      note: '',
    })
    await startVisit(actors.technician, visitId)
    const picture = await sharp({ create: { width: 80, height: 60, channels: 3, background: '#456' } })
      .jpeg()
      .toBuffer()
    const take = (daysAgo: number) =>
      addPhoto(
        actors.technician,
        visitId,
        {
          ...photoOf('arrive-photos'),
          id: crypto.randomUUID() as PhotoId,
          takenAt: `${addDays(today, -daysAgo)}T08:00:00Z`,
        },
        picture,
      )
    expect((await first(actors.owner, pondId))!.photos).toEqual({ before: null, since: null })
    await take(40)
    const before = await take(21)
    await take(10)
    const since = await take(2)
    expect((await first(actors.owner, pondId))!.photos).toMatchObject({
      before: { id: before.id },
      since: { id: since.id },
    })
  })

  it('puts amounts of the firm’s own products into its steps, by the whole system’s water', async () => {
    const { actors } = await makeFirm('Brook')
    const pondId = await addPond(actors.owner, newPond())
    const { dosing } = await diagnosisPage(actors.owner, pondId)
    const [salt] = remedyAmounts('salt', dosing)
    expect(salt!.amount).toBeGreaterThanOrEqual(1000 * dosing.systemM3)
    await actOnDiagnosis(actors.owner, pondId, { cause: 'nitrite-poisoning', findings: { 'nitrite-high': true } })
    const titles = (await pondOnFile(actors.owner, pondId)).followUps.map((f) => f.title)
    expect(titles.find((title) => title.startsWith('Change up to a third'))).toContain(
      `(${remedyAmountWords(salt!)}; the test on site decides)`,
    )
  })

  it('a daily binder and daily tests are tasks of each day; the look comes when the water has been warm enough', async () => {
    const { actors } = await makeFirm('Sedge')
    const pondId = await addPond(actors.owner, newPond())
    await actOnDiagnosis(actors.owner, pondId, { cause: 'ammonia-overload', findings: { 'ammonia-high': true } })
    const { followUps } = await pondOnFile(actors.owner, pondId)
    const daysOf = (start: string) => followUps.filter(({ title }) => title.startsWith(start)).map((f) => f.dueFrom)
    expect(daysOf('Test ammonia, nitrite').sort()).toEqual([1, 2, 3, 4, 5, 6, 7].map((day) => addDays(today, day)))
    expect(daysOf('Air on, no feed; ammonia binder')).toHaveLength(5)
    const { kept, weeklyWaterC } = await diagnosisPage(actors.owner, pondId)
    const better = betterDays('ammonia-overload', waterAheadOf(today, weeklyWaterC))!
    expect(kept[0]).toMatchObject({ betterFrom: addDays(today, better[0]), betterTo: addDays(today, better[1]) })
    expect(daysOf('Check whether it is better')).toEqual([addDays(today, better[1])])
  })

  it('goes by the leak evidence of the pond page, below ten millimetres a day too', async () => {
    const { actors } = await makeFirm('Rill')
    const pondId = await addPond(actors.owner, newPond())
    const log = { day: addDays(today, -1), hours: 24, bucketDropMm: 1, addedM3: 0 }
    await logLevel(actors.technician, pondId, { ...log, dropMm: 9, pumpOn: true })
    await logLevel(actors.technician, pondId, { ...log, day: addDays(today, -3), dropMm: 9, pumpOn: true })
    await logLevel(actors.technician, pondId, { ...log, dropMm: 1, pumpOn: false })
    const page = await pondOnFile(actors.owner, pondId)
    expect(page.waterLoss?.balance.advice).toBe('moving-water')
    const { known } = await diagnosisPage(actors.owner, pondId)
    expect(known).toMatchObject({
      'level-falls': { found: true },
      'bucket-falls': { found: false },
      'falls-pump-off': { found: false },
    })
  })

  it('is refused while nothing wrong was seen or tested', async () => {
    const { actors } = await makeFirm('Ford')
    const pondId = await addPond(actors.owner, newPond())
    const problem = await problemOf(
      actOnDiagnosis(actors.owner, pondId, { cause: 'green-filter-small', findings: { 'filter-small': true } }),
    )
    expect(JSON.stringify(problem)).toMatch(/findings.*Enter what is seen or tested first/)
  })

  it('is the firm’s own, and planned only by those who plan', async () => {
    const [{ actors, pondId, id }, stranger] = [await foundGreen('Lichen'), await makeFirm('Peat')]
    expect((await problemOf(diagnosisPage(stranger.actors.owner, pondId))).kind).toBe('not-found')
    expect((await problemOf(sayOutcome(stranger.actors.owner, id, 'better'))).kind).toBe('not-found')
    expect((await problemOf(actOnDiagnosis(actors.technician, pondId, { cause: 'duckweed', findings: {} }))).kind).toBe(
      'forbidden',
    )
  })
})
