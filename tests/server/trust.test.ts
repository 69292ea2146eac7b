import type { VisitId } from '@/domain/shared/ids'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { closeQueue } from '@/server/platform/queue/queue'
import { addPond } from '@/server/ponds/ponds'
import { trustPage } from '@/server/trust/trust-page'
import { planVisit } from '@/server/visits/visit-planning'
import { makeFirm, newPond } from '../fixtures/firm'
import { pondOnFile } from '../fixtures/pond-on-file'
import { problemOf } from '../fixtures/problem-of'

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const today = new Date().toISOString().slice(0, 10)

describe('how far to trust our figures', () => {
  it('holds visits that are over against what was said when they were planned, and volumes against a meter', async () => {
    const { actors, firmId, crewId } = await makeFirm('Whimbrel')
    const pondId = await addPond(actors.owner, { ...newPond(), pond: { ...newPond().pond, meteredFillM3: 12 } })
    const visits: VisitId[] = []
    for (const startTime of ['06:00', '10:00', '14:00'])
      visits.push(
        await planVisit(actors.office, { pondId, visitType: 'routine', day: today, startTime, crewId, note: '' }),
      )
    const { estimate } = (await pondOnFile(actors.office, pondId)).visits.find((v) => v.id === visits[0])!
    const [low, high] = estimate.rangeMin!
    const over = (minutes: number) => ({
      state: 'done' as const,
      started_at: `${today}T06:00:00Z`,
      finished_at: new Date(Date.parse(`${today}T06:00:00Z`) + minutes * 60_000),
    })
    await inFirm(firmId, async (trx) => {
      await trx('visits')
        .where({ id: visits[0] })
        .update(over(low + 1))
      await trx('visits')
        .where({ id: visits[1] })
        .update(over(high + 5))
    })
    const { durations, volumes, calls } = await trustPage(actors.owner)
    expect(durations.lines.map(({ job, visits: n, inside }) => [job, n, inside.value])).toEqual([
      [null, 2, 0.5],
      ['routine', 2, 0.5],
    ])
    expect(volumes.checks).toMatchObject([{ method: 'metered-fill', cameM3: 12 }])
    expect(calls.all.every((line) => line.calls === 0)).toBe(true)
  })
  it('is the owner’s', async () => {
    const { actors } = await makeFirm('Dunlin')
    expect((await problemOf(trustPage(actors.office))).kind).toBe('forbidden')
  })
})
