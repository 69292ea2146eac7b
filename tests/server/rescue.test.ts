import { addDays, daysBetween, isoWeekday } from '@/core/numeric/calendar'
import { remedyAmounts } from '@/domain/diagnosis/remedy-doses'
import { RescueInput } from '@/domain/visits/rescue'
import { remedyAmountWords } from '@/messages/water/amount-words'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { addPond } from '@/server/ponds/ponds'
import { rescuePage, startRescue } from '@/server/visits/rescue'
import { planVisit } from '@/server/visits/visit-planning'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const today = new Date().toISOString().slice(0, 10)
let first = addDays(today, 7)
while (isoWeekday(first) !== 1) first = addDays(first, 1)

async function neglected(name: string) {
  const firm = await makeFirm(name)
  const pondId = await addPond(firm.actors.owner, newPond())
  const input = RescueInput.parse({
    first,
    crewId: firm.crewId,
    startTime: '08:00',
    tan: 1.4,
    nitrite: 0.3,
    ph: 7.2,
    khDH: 2,
    ghDH: 5,
    fillPh: 7.2,
    fillKhDH: 3,
    oxygenMgL: 6,
    hasMedia: true,
    rockSections: 2,
  })
  return { ...firm, pondId, input }
}

describe('a rescue', () => {
  it('becomes dated visits, each with its doses and stop rules in the crew’s note, and two tests that end it', async () => {
    const { actors, pondId, input } = await neglected('Sedge')
    expect(await startRescue(actors.office, pondId, input)).toMatchObject({ visits: 6, first })
    const { visits, followUps } = await pondOnFile(actors.office, pondId)
    expect(visits.map((v) => v.job.key)).toEqual([
      'rescue-floor',
      'rescue-strainers',
      'rescue-media',
      'rescue-media',
      'rescue-rocks',
      'rescue-rocks',
    ])
    const { dosing, fill } = await rescuePage(actors.office, pondId)
    // two degrees of KH for the whole system: rate × volume
    expect(visits[0]!.note).toContain(`${Number((2 * dosing.systemM3 * 29.96).toPrecision(2))} g of sodium bicarbonate`)
    expect(visits[2]!.note).toContain('Wait a week while total ammonia is above 0.5 mg/L')
    expect(visits.at(-1)!.note).toContain('Section 2 of 2 of the rock piles')
    const titles = followUps.map((f) => f.title)
    expect(titles.filter((t) => t.includes('after the last stage'))).toHaveLength(2)
    const [binder] = remedyAmounts('binder', dosing)
    expect(titles.filter((t) => t.startsWith(remedyAmountWords(binder!))).length).toBeGreaterThanOrEqual(3)
    expect(titles).toContain('Tell the customer: no feed until two tests are clean')
    expect(titles.some((t) => t.startsWith('Raise GH by 2 °dH'))).toBe(true)
    // what was said of the fill water is on the site's file from now on
    expect(fill).toMatchObject({ ph: 7.2, khDH: 3 })
  })
  it('goes to the next working day where the crew is elsewhere, and keeps the stages in order', async () => {
    const { actors, pondId, crewId, input } = await neglected('Reedmace')
    const other = await addPond(actors.owner, newPond({ name: 'Other' }))
    for (const ahead of [0, 1])
      await planVisit(actors.office, {
        pondId: other,
        visitType: 'routine',
        day: addDays(first, ahead),
        startTime: '08:00',
        crewId,
        note: '',
      })
    expect(await startRescue(actors.office, pondId, input)).toMatchObject({ first: addDays(first, 2) })
    const days = (await pondOnFile(actors.office, pondId)).visits.map((v) => v.day)
    days.slice(1).forEach((day, i) => expect(daysBetween(days[i]!, day)).toBeGreaterThan(0))
  })
  it('is for the office, and not for yesterday', async () => {
    const { actors, pondId, input } = await neglected('Bulrush')
    expect((await problemOf(startRescue(actors.technician, pondId, input))).kind).toBe('forbidden')
    expect((await problemOf(startRescue(actors.office, pondId, { ...input, first: addDays(today, -3) }))).kind).toBe(
      'bad-input',
    )
  })
})
