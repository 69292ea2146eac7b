import type { ChildProcess } from 'node:child_process'
import { addDays } from '@/core/numeric/calendar'
import { PlanWish } from '@/domain/plan-run'
import { ServicePlan } from '@/domain/service-plan'
import { closeDatabase } from '@/server/db/connection'
import { inFirm } from '@/server/db/firm-transaction'
import { bestSoFar } from '@/server/db/plan-run-repository'
import { closeQueue } from '@/server/jobs/queue'
import { askPlan } from '@/server/use-cases/planning/runs'
import { setServicePlan } from '@/server/use-cases/planning/service-plans'
import { addPond, pondPage } from '@/server/use-cases/ponds'
import { planVisit } from '@/server/use-cases/visit-planning'
import { makeFirm, newPond } from '../fixtures/firm'
import { isOver, runWhen, startWorker } from '../fixtures/worker'

let worker: ChildProcess | null = null
afterAll(async () => {
  worker?.kill('SIGKILL')
  await closeQueue()
  await closeDatabase()
})

const from = addDays(new Date().toISOString().slice(0, 10), 5)
/** Enough work for a search of many seconds. */
const PONDS = 24

it('a worker killed in the middle of a plan: the next one goes on from the best so far, and what stands is untouched until it is taken over', async () => {
  const { actors, firmId, crewId } = await makeFirm('Gadwall')
  const ponds = []
  for (let i = 0; i < PONDS; i++) {
    const pondId = await addPond(actors.owner, newPond({ name: `Pond ${i}` }))
    await setServicePlan(actors.office, pondId, 0, ServicePlan.parse([{ job: 'routine', everyDays: 7 }]))
    ponds.push(pondId)
  }
  const standing = await planVisit(actors.office, { pondId: ponds[0], jobType: 'routine', day: addDays(from, 2), startTime: '09:15', crewId, note: '' })
  const { id } = await askPlan(actors.office, PlanWish.parse({ from, to: addDays(from, 300) }))

  worker = await startWorker()
  await runWhen(actors.office, id, (run) => inFirm(firmId, async (trx) => run.state === 'running' && (await bestSoFar(trx, id)).length > 0))
  worker.kill('SIGKILL')
  const best = await inFirm(firmId, (trx) => bestSoFar(trx, id))
  expect(best.length).toBeGreaterThan(PONDS)
  expect((await pondPage(actors.office, ponds[0])).visits).toMatchObject([{ id: standing, day: addDays(from, 2), startTime: '09:15' }])

  // as if the silence had been long enough
  await inFirm(firmId, (trx) => trx('plan_runs').where({ id }).update({ heartbeat: '2020-01-01' }))
  worker = await startWorker()
  const run = await runWhen(actors.office, id, isOver)
  expect(run).toMatchObject({ state: 'done', result: { feasible: true } })
  expect(run.result!.changes.length).toBeGreaterThanOrEqual(best.length * 0.9)
  expect((await pondPage(actors.office, ponds[0])).visits).toMatchObject([{ id: standing, day: addDays(from, 2), startTime: '09:15' }])
}, 120_000)
