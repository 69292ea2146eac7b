import { factorFor } from '@/core/visits/learn-duration'
import type { PondId, VisitId } from '@/domain/shared/ids'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { closeQueue } from '@/server/platform/queue/queue'
import { durationCorrections } from '@/server/visits/durations'
import { addPond } from '@/server/ponds/ponds'
import { planningPage, planVisit } from '@/server/visits/visit-planning'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'

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
  const corrections = await inFirm(firmId, durationCorrections)
  const page = await planningPage(actors.office, pondId, 'spring-cleanout')
  return {
    factor: factorFor(corrections, 'spring-cleanout', pondId as PondId),
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
  it('and nothing where a visit was over before its pond could be full: 9 h 38 became 4 h 20 with a refill of 5 h 38', async () => {
    const { factor, people, machine, planned } = await cleanout('Brent', (_, hose) => 0.7 * hose)
    expect(factor).toBe(1)
    expect(planned).toBe(Math.ceil((people + machine) / 5) * 5)
  })
})
