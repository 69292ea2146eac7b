import { randomUUID } from 'node:crypto'
import type { EntryId } from '@/domain/shared/ids'
import type { EntryInput, StepAnswer } from '@/domain/visits/visit'
import { daysBetween } from '@/core/numeric/calendar'
import { forecastTask } from '@/server/forecasts/forecast-task'
import { closeDatabase, database } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { findPond } from '@/server/ponds/pond-repository'
import { listStations } from '@/server/season/weather-repository'
import { findProducts } from '@/server/stores/product-repository'
import { todayIn } from '@/server/platform/today'
import { logEntry } from '@/server/field/log'
import { fieldVisit } from '@/server/field/pack'
import { addPond } from '@/server/ponds/ponds'
import { pondWater } from '@/server/ponds/pond-pages'
import { planVisit } from '@/server/visits/visit-planning'
import { finishVisit, skipped, startVisit } from '../fixtures/field'
import { makeFirm, newPond } from '../fixtures/firm'

afterAll(closeDatabase)

const done = (
  stepKey: string,
  answer: Partial<StepAnswer>,
  replaces: EntryId | null = null,
): EntryInput & { id: EntryId } =>
  ({
    kind: 'done',
    id: randomUUID() as EntryId,
    stepKey,
    at: new Date().toISOString(),
    answer: { note: '', ...answer },
    confirmedUnlikely: true,
    replaces,
  }) as EntryInput & { id: EntryId }

it('what a crew logs of the water stands in its record, as it was last answered', async () => {
  const { actors, crewId } = await makeFirm('Recorded')
  const today = todayIn(actors.owner.timeZone)
  const pondId = await addPond(actors.owner, newPond())
  const plan = (visitType: string, startTime: string) =>
    planVisit(actors.office, { pondId, visitType, day: today, startTime, crewId, note: '' })
  const [visitId, later] = [await plan('wetland-flush', '08:00'), await plan('routine', '14:00')]
  const lead = actors['crew-lead']
  await startVisit(lead, visitId)
  const first = done('pump', { figures: { flushedM3: 9.9, minutesToClear: 30, minutesEmpty: 10 } })
  await logEntry(lead, visitId, first)
  await logEntry(
    lead,
    visitId,
    done('pump', { figures: { flushedM3: 1.2, minutesToClear: 30, minutesEmpty: 10 } }, first.id),
  )

  await startVisit(lead, later)
  const dose = { productKey: 'pond-bacteria', name: 'Pond bacteria', amount: 80, unit: 'ml' }
  await logEntry(lead, later, done('bacteria', { doses: [dose, { ...dose, name: 'None given', amount: 0 }] }))

  const { work, visits, forecast } = await pondWater(actors.office, pondId)
  expect(work).toEqual([
    { day: today, visitId, work: { code: 'flushedM3', amount: 1.2 } },
    { day: today, visitId: later, work: { code: 'dose', name: 'Pond bacteria', amount: 80, unit: 'ml' } },
  ])
  expect(visits.map(({ id, isDone }) => [id, isDone])).toEqual(
    expect.arrayContaining([
      [visitId, false],
      [later, false],
    ]),
  )
  expect(forecast).toBeNull()
})

it('a dose that a crew logs is what the pond’s next forecast reckons with', async () => {
  const { actors, crewId, firmId } = await makeFirm('Reckoned')
  const { office, 'crew-lead': lead } = actors
  const today = todayIn(office.timeZone)
  const pondId = await addPond(actors.owner, newPond())
  const visitId = await planVisit(office, {
    pondId,
    visitType: 'routine',
    day: today,
    startTime: '08:00',
    crewId,
    note: '',
  })
  await startVisit(lead, visitId)
  const { products } = await inFirm(firmId, findProducts)
  const culture = products.find((p) => p.purpose === 'bacteria')!
  const dose = { productKey: culture.key, name: culture.name, amount: 5, unit: culture.unit }
  await logEntry(lead, visitId, done('bacteria', { doses: [dose] }))

  const stations = await listStations(database())
  const task = await inFirm(firmId, async (trx) =>
    forecastTask(trx, (await findPond(trx, pondId))!, { firmId, timeZone: office.timeZone, stations, today }),
  )
  const { from, events } = task!.task
  expect(events).toEqual([{ kind: 'seed-bacteria', share: expect.any(Number), day: daysBetween(from, today) + 0.5 }])
})

it('a de-icer set in at the winter shutdown keeps the ice open in the pond’s forecast, and one that was left out does not', async () => {
  const { actors, crewId, firmId } = await makeFirm('Iced')
  const { office, 'crew-lead': lead } = actors
  const today = todayIn(office.timeZone)
  const stations = await listStations(database())
  const iceEvents = async (leftOut: readonly string[], startTime: string) => {
    const pondId = await addPond(actors.owner, newPond())
    const visitId = await planVisit(office, {
      pondId,
      visitType: 'winter-shutdown',
      day: today,
      startTime,
      crewId,
      note: '',
    })
    await startVisit(lead, visitId)
    for (const { key } of (await fieldVisit(lead, visitId)).visit.job.steps)
      await logEntry(
        lead,
        visitId,
        key === 'deicer' && !leftOut.includes(key) ? done(key, {}) : skipped(key, 'Shown elsewhere'),
      )
    await finishVisit(lead, visitId)
    const task = await inFirm(firmId, async (trx) =>
      forecastTask(trx, (await findPond(trx, pondId))!, { firmId, timeZone: office.timeZone, stations, today }),
    )
    return task!.task.events.filter((e) => e.kind === 'ice-hole').map((e) => e.open)
  }
  expect(await iceEvents([], '05:00')).toEqual([true])
  expect(await iceEvents(['deicer'], '13:00')).toEqual([])
})
