import type { CrewId, VisitId } from '@/domain/shared/ids'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { closeQueue } from '@/server/platform/queue/queue'
import { durationsPage, learntDurations } from '@/server/visits/durations'
import { addPond } from '@/server/ponds/ponds'
import { planningPage, planVisit } from '@/server/visits/visit-planning'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'
import { addDays } from '@/core/numeric/calendar'
import { insertCrew } from '@/server/people/people-repository'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const DAY = `${new Date().getUTCFullYear() + 1}-03-16`

/** A cleanout that was done, and took so long. */
async function cleanout(name: string, tookMin: (people: number, machine: number) => number) {
  const { actors, firmId, crewId } = await makeFirm(name)
  const pondId = await addPond(actors.owner, newPond())
  const id = await planVisit(actors.office, {
    pondId,
    visitType: 'spring-cleanout',
    day: DAY,
    startTime: '06:00',
    crewId,
    note: '',
  })
  const { duration } = (await pondOnFile(actors.office, pondId)).visits.find((v) => v.id === id)!
  const of = (by: 'people' | 'machine') =>
    duration.parts.filter((p) => p.by === by).reduce((sum, p) => sum + p.minutes, 0)
  const took = tookMin(of('people'), of('machine'))
  await done(firmId, id, took)
  const { factorOf } = await inFirm(firmId, learntDurations)
  const page = await planningPage(actors.office, pondId, 'spring-cleanout')
  return {
    factor: factorOf('spring-cleanout', pondId, crewId).factor,
    people: of('people'),
    machine: of('machine'),
    planned: page.crews[0]!.plannedMinutes,
  }
}
const done = (firmId: Parameters<typeof inFirm>[0], id: VisitId, minutes: number) =>
  inFirm(firmId, (trx) =>
    trx('visits')
      .where({ id })
      .update({
        state: 'done',
        started_at: `${DAY}T06:00:00Z`,
        finished_at: new Date(Date.parse(`${DAY}T06:00:00Z`) + minutes * 60_000),
      }),
  )

describe('what logged visits teach', () => {
  it('is about handwork: a hose fills no faster for it', async () => {
    const { factor, people, machine, planned } = await cleanout('Shelduck', (hands, hose) => 2 * hands + hose)
    expect(machine).toBeGreaterThan(150)
    expect(factor).toBeGreaterThan(1.1)
    expect(planned).toBe(Math.ceil((people * factor + machine) / 5) * 5)
  })
  it('and little where a visit was over before its pond could be full: 9 h 38 became 4 h 20 with a refill of 5 h 38', async () => {
    const { factor, people, machine, planned } = await cleanout('Brent', (_, hose) => 0.7 * hose)
    expect(factor).toBeGreaterThan(0.7)
    expect(planned).toBeGreaterThan(machine + 0.7 * people)
  })
  it('tells a slow crew from a quick one, in what each is planned with', async () => {
    const { actors, firmId, crewId } = await makeFirm('Gadwall')
    const quick = crypto.randomUUID() as CrewId
    await inFirm(firmId, (trx) => insertCrew(trx, { id: quick, firmId, name: 'Teal' }))
    const pondId = await addPond(actors.owner, newPond())
    const plan = (crew: CrewId, day: string) =>
      planVisit(actors.office, { pondId, visitType: 'routine', day, startTime: '06:00', crewId: crew, note: '' })
    const estimates = new Set<number>()
    for (let i = 0; i < 6; i++)
      for (const [crew, share] of [
        [crewId, 1.5],
        [quick, 0.9],
      ] as const) {
        const id = await plan(crew, addDays(DAY, i))
        const { estimate } = (await pondOnFile(actors.office, pondId)).visits.find((v) => v.id === id)!
        if (crew === crewId) estimates.add(estimate.handsMin)
        await done(firmId, id, share * estimate.handsMin)
      }
    const page = await planningPage(actors.office, pondId, 'routine')
    const of = (id: CrewId) => page.crews.find((c) => c.id === id)!
    expect(of(crewId).learntFactor / of(quick).learntFactor).toBeGreaterThan(1.15)
    expect(of(crewId).rangeMin[0]).toBeLessThan(of(crewId).plannedMinutes)
    expect(of(crewId).rangeMin[1]).toBeGreaterThan(of(crewId).plannedMinutes)
    // what was learnt is not learnt again from what it lengthened
    const next = await plan(crewId, addDays(DAY, 9))
    const { estimate, plannedMinutes } = (await pondOnFile(actors.office, pondId)).visits.find((v) => v.id === next)!
    expect([...estimates, estimate.handsMin]).toEqual([estimate.handsMin, estimate.handsMin])
    expect((await durationsPage(actors.office)).crews.map(({ visits }) => visits)).toEqual([6, 6])
    expect(plannedMinutes).toBe(of(crewId).plannedMinutes)
  })
})
