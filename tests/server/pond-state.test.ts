import type { FollowUpId } from '@/domain/shared/ids'
import { ServicePlan } from '@/domain/schedule/service-plan'
import { addDays } from '@/core/numeric/calendar'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { todayIn } from '@/server/platform/today'
import { customerList, customerOnFile } from '@/server/customers/customers'
import { designPage, saveDesign } from '@/server/design/designs'
import { addOneOff, bringBackFollowUp, dismissFollowUp } from '@/server/equipment/tasks'
import { addPond, pondList } from '@/server/ponds/ponds'
import { pondHead, pondVisits } from '@/server/ponds/pond-pages'
import { setServicePlan } from '@/server/schedule/service-plans'
import { cancelVisit, restoreVisit } from '@/server/visits/visit-cancelling'
import { planVisit } from '@/server/visits/visit-planning'
import { logReadings } from '@/server/water/readings'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const today = todayIn('Etc/UTC')
const line = (job: string) => ({ job, everyDays: null, from: null, to: null, priceMinor: null })

/** A pond with a test, a plan, a visit to come, a follow-up and a design. */
async function standing(name: string) {
  const firm = await makeFirm(name)
  const { actors, crewId } = firm
  const pondId = await addPond(actors.owner, newPond())
  const plan = (day: string) =>
    planVisit(actors.office, { pondId, visitType: 'netting', day, startTime: '08:00', crewId, note: '' })
  return { ...firm, pondId, plan }
}

describe('how a pond stands', () => {
  it('is empty for a new pond, and says so rather than that all is well', async () => {
    const { actors, pondId } = await standing('State new')
    expect((await pondHead(actors.technician, pondId)).state).toEqual({
      water: null,
      risk: null,
      lastVisit: null,
      nextVisit: null,
      filter: null,
      agreed: 0,
      followUpsDue: 0,
    })
  })
  it('is the same on the list and above its pages: water, next visit, what is agreed, due and designed', async () => {
    const { actors, pondId, plan } = await standing('State full')
    await setServicePlan(actors.office, pondId, 0, ServicePlan.parse([line('netting'), line('spring-cleanout')]))
    await plan(addDays(today, 30))
    const next = await plan(addDays(today, 9))
    await logReadings(actors.technician, pondId, {
      readings: { nitrite: { value: 0.6, belowStep: false } },
      method: 'drops',
      at: new Date().toISOString(),
      confirmedUnlikely: true,
    })
    await addOneOff(actors.office, pondId, { title: 'Edge stone', from: today, to: addDays(today, 5), minutes: 15 })
    const page = await designPage(actors.owner, pondId)
    await saveDesign(actors.owner, pondId, { name: 'First', bed: page.start, overrideReason: '' })
    const { state } = await pondHead(actors.office, pondId)
    expect(state).toMatchObject({
      water: 'act',
      nextVisit: { id: next, day: addDays(today, 9) },
      lastVisit: null,
      agreed: 2,
      followUpsDue: 1,
      filter: { number: 1, name: 'First', state: 'open' },
    })
    expect((await pondList(actors.office))[0]).toMatchObject(state)
  })
})

describe('what is undone', () => {
  it('puts a follow-up back on the list, once', async () => {
    const { actors, pondId } = await standing('Undo follow-up')
    await addOneOff(actors.office, pondId, { title: 'Edge stone', from: today, to: addDays(today, 5), minutes: 15 })
    const [followUp] = (await pondVisits(actors.office, pondId)).followUps
    const id = followUp!.id as FollowUpId
    await dismissFollowUp(actors.office, id)
    expect((await pondVisits(actors.office, pondId)).followUps).toEqual([])
    await bringBackFollowUp(actors.office, id)
    expect((await pondVisits(actors.office, pondId)).followUps[0]).toMatchObject({ id })
    expect((await problemOf(bringBackFollowUp(actors.office, id))).kind).toBe('not-found')
  })
  it('puts a cancelled visit back where it was, unless its crew is elsewhere by then', async () => {
    const { actors, plan } = await standing('Undo cancel')
    const day = addDays(today, 9)
    const id = await plan(day)
    await cancelVisit(actors.office, id, 1)
    await restoreVisit(actors.office, id)
    await cancelVisit(actors.office, id, 3)
    await plan(day)
    expect((await problemOf(restoreVisit(actors.office, id))).message).toMatch(/Heron/)
  })
})

describe('the list of customers', () => {
  it('counts what is agreed this year and what came of it, ponds once each', async () => {
    const { actors, pondId, plan } = await standing('Customer line')
    await setServicePlan(actors.office, pondId, 0, ServicePlan.parse([line('netting'), line('spring-cleanout')]))
    expect((await customerList(actors.office))[0]).toMatchObject({
      ponds: 1,
      agreed: 2,
      done: 0,
      planned: 0,
      nextVisit: null,
    })
    // only this year's visits count for this year
    const lastDay = `${today.slice(0, 4)}-12-31`
    await plan(lastDay)
    await plan(addDays(lastDay, 40))
    const [customer] = await customerList(actors.office)
    expect(customer).toMatchObject({ agreed: 2, planned: 1, nextVisit: lastDay })
    const { sites, visits } = await customerOnFile(actors.office, customer!.id)
    expect(visits).toHaveLength(2)
    expect(sites[0]!.ponds[0]).toMatchObject({ id: pondId, jobs: ['netting', 'spring-cleanout'] })
    expect((await problemOf(customerList(actors.technician))).kind).toBe('forbidden')
  })
})
