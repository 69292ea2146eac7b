import type { ChildProcess } from 'node:child_process'
import { addDays } from '@/core/numeric/calendar'
import knexFactory, { type Knex } from 'knex'
import type { ForecastRun } from '@/domain/forecasts/forecast'
import type { ForecastRunId, PlanRunId, PondId } from '@/domain/shared/ids'
import { PlanWish } from '@/domain/schedule/plan-run'
import { ServicePlan } from '@/domain/schedule/service-plan'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { bestSoFar, findPlanRun } from '@/server/schedule/plan-run-repository'
import type { Actor } from '@/server/platform/auth/actor'
import { closeQueue, sendJobIn } from '@/server/platform/queue/queue'
import { noticeBoard, reviveLostNotices, tellCustomers } from '@/server/messages/notices'
import {
  askForecast,
  forecastRun,
  nightlyForecast,
  pondOutlook,
  stopForecast,
  forecastsPage,
} from '@/server/forecasts/forecasts'
import { logReadings } from '@/server/water/readings'
import { askPlan, planningBoard, stopPlan } from '@/server/schedule/runs'
import { setServicePlan } from '@/server/schedule/service-plans'
import { addPond } from '@/server/ponds/ponds'
import { planVisit } from '@/server/visits/visit-planning'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'
import { takeOwnDatabase } from '../fixtures/own-database'
import { isOver, runWhen, startWorker } from '../fixtures/worker'

// a worker takes the jobs of every firm of its database: in that of the other tests it would do their work as well
takeOwnDatabase('workers')

/** All tests with workers stand in this file: they share one queue, and one at a time has it. */
const workers: ChildProcess[] = []
afterEach(() => {
  for (const worker of workers.splice(0)) worker.kill('SIGKILL')
})
afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const from = addDays(new Date().toISOString().slice(0, 10), 5)
const wish = (over: Partial<PlanWish> = {}) => PlanWish.parse({ from, to: addDays(from, 300), ...over })
/** A machine that has much else to do takes its time; what is lost is never there, however long one waits. */
const PATIENCE_MS = 300_000
/** Enough work for a search of many seconds. */
const PONDS = 12
const FORECAST_PONDS = 10

/** A database connection of the queue's owner, as a worker that takes a job and dies leaves it behind. */
async function asOwner<Value>(work: (knex: Knex) => Promise<Value>): Promise<Value> {
  const owner = knexFactory({ client: 'pg', connection: process.env.OWNER_DATABASE_URL, pool: { min: 0, max: 1 } })
  try {
    return await work(owner)
  } finally {
    await owner.destroy()
  }
}

const forecastIs = async (actor: Actor, id: ForecastRunId, state: ForecastRun['state']): Promise<ForecastRun> => {
  for (let tries = 0; tries < 1800; tries++) {
    const run = await forecastRun(actor, id)
    if (run.state === state) return run
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error(`the forecast never was ${state}: ${JSON.stringify(await forecastRun(actor, id))}`)
}

describe('what is asked for is never lost', () => {
  it(
    'a forecast whose job a dying worker had taken, but not begun, is worked out by the next one',
    async () => {
      const { actors, firmId } = await makeFirm('Shoveler')
      await addPond(actors.owner, newPond())
      const { id } = await askForecast(actors.owner)
      // taken from the queue by a worker that was killed in the same moment: the run is still queued, its job is
      // nobody's
      const taken = await asOwner((knex) =>
        knex('queue.job').whereRaw(`data->>'runId' = ?`, [id]).update({ state: 'active', started_on: '2020-01-01' }),
      )
      expect(taken).toBe(1)
      await inFirm(firmId, (trx) => trx('forecast_runs').where({ id }).update({ waits_since: '2020-01-01' }))
      workers.push(await startWorker())
      expect((await forecastIs(actors.owner, id, 'done')).done).toBe(1)
    },
    PATIENCE_MS,
  )

  it(
    'a forecast that somebody waits for does not stand behind those of the night',
    async () => {
      const crowd = await makeFirm('Pochard')
      for (let i = 0; i < 6; i++) await addPond(crowd.actors.owner, newPond({ name: `Pond ${i}` }))
      const { actors } = await makeFirm('Scaup')
      await addPond(actors.owner, newPond())
      expect(await nightlyForecast(crowd.firmId, 'Etc/UTC')).toBe(true)
      // one of the night that still waits goes ahead too, once somebody asks for it
      expect(await nightlyForecast(actors.owner.firmId, 'Etc/UTC')).toBe(true)
      const { id } = await askForecast(actors.owner)
      const queues = await asOwner((knex) => knex('queue.job').whereRaw(`data->>'runId' = ?`, [id]).pluck('name'))
      expect(queues.sort()).toEqual(['forecast-asked', 'forecast-ponds'])
      workers.push(await startWorker())
      expect((await forecastIs(actors.owner, id, 'done')).done).toBe(1)
    },
    PATIENCE_MS,
  )

  it('a letter whose sender died is sent by the next one, under the same id', async () => {
    const { actors, firmId, crewId } = await makeFirm('Wigeon')
    const pondId = await addPond(actors.owner, {
      ...newPond(),
      customer: { kind: 'new', customer: { name: 'Nessa', email: 'n@customer.example', phone: '' } },
    })
    const visitId = await planVisit(actors.office, {
      pondId,
      visitType: 'routine',
      day: from,
      startTime: '08:00',
      crewId,
      note: '',
    })
    await tellCustomers(actors.office, [visitId], 'http://firm.example')
    await inFirm(firmId, (trx) => trx('notices').update({ state: 'sending', claimed_at: '2020-01-01' }))
    await asOwner((knex) => knex('queue.job').whereRaw(`data->>'firmId' = ?`, [firmId]).delete())
    expect(await reviveLostNotices()).toBeGreaterThan(0)
    const [notice] = (await noticeBoard(actors.office)).sent
    expect(notice!.state).toBe('queued')
    expect(
      await asOwner((knex) => knex('queue.job').whereRaw(`data->>'noticeId' = ?`, [notice!.id]).pluck('name')),
    ).toEqual(['send-notice'])
  })

  it('a run and its job are there together or not at all', async () => {
    const { actors, firmId } = await makeFirm('Goldeneye')
    await expect(
      inFirm(firmId, async (trx) => {
        await sendJobIn(trx, 'windows-of-ponds', { firmId })
        throw new Error('refused after all')
      }),
    ).rejects.toThrow('refused after all')
    expect(
      await asOwner((knex) => knex('queue.job').whereRaw(`data->>'firmId' = ?`, [actors.owner.firmId]).pluck('name')),
    ).toEqual([])
  })
})

describe('workers', () => {
  it(
    'two of them on one queue work plans out once each, stop on request, and take over from one that died',
    async () => {
      const { actors, firmId } = await makeFirm('Teal')
      const pondId = await addPond(actors.owner, newPond())
      await setServicePlan(actors.office, pondId, 0, ServicePlan.parse([{ job: 'routine', everyDays: 28 }]))
      workers.push(...(await Promise.all([startWorker(), startWorker()])))
      const first = await askPlan(actors.office, wish())
      const second = await askPlan(actors.office, wish({ lateByDays: 5 }))
      for (const { id } of [first, second]) {
        const run = await runWhen(actors.office, id, isOver)
        expect(run.state).toBe('done')
        expect(run.result!.changes.some((c) => c.pondId === pondId)).toBe(true)
      }
      expect((await planningBoard(actors.office)).run?.id).toBe(second.id)

      // one that died left its run marked as running, and no sign of life since
      const left = crypto.randomUUID() as PlanRunId
      await inFirm(firmId, (trx) =>
        trx('plan_runs').insert({
          id: left,
          firm_id: firmId,
          state: 'running',
          wish: JSON.stringify(wish()),
          asked_by: actors.office.userId,
          heartbeat: '2020-01-01',
        }),
      )
      expect((await runWhen(actors.office, left, isOver)).state).toBe('done')

      // its job was lost between the row and the queue, or with a worker that had just taken it: it waits with nobody
      // to come
      const orphan = crypto.randomUUID() as PlanRunId
      await inFirm(firmId, (trx) =>
        trx('plan_runs').insert({
          id: orphan,
          firm_id: firmId,
          state: 'queued',
          wish: JSON.stringify(wish()),
          asked_by: actors.office.userId,
          waits_since: '2020-01-01',
        }),
      )
      expect((await runWhen(actors.office, orphan, isOver)).state).toBe('done')

      // stopped before any worker has it: nothing is worked out
      for (const worker of workers.splice(0)) worker.kill('SIGTERM')
      const stopped = await askPlan(actors.office, wish())
      await stopPlan(actors.office, stopped.id)
      workers.push(await startWorker())
      await new Promise((resolve) => setTimeout(resolve, 1500))
      expect(await inFirm(firmId, (trx) => findPlanRun(trx, stopped.id))).toMatchObject({
        state: 'stopped',
        result: null,
      })
    },
    PATIENCE_MS,
  )

  it(
    'a worker killed in the middle of a plan: the next one goes on from the best so far, and what stands is untouched until it is taken over',
    async () => {
      const { actors, firmId, crewId } = await makeFirm('Gadwall')
      const ponds = []
      for (let i = 0; i < PONDS; i++) {
        const pondId = await addPond(actors.owner, newPond({ name: `Pond ${i}` }))
        await setServicePlan(actors.office, pondId, 0, ServicePlan.parse([{ job: 'routine', everyDays: 3 }]))
        ponds.push(pondId)
      }
      const standing = await planVisit(actors.office, {
        pondId: ponds[0]!,
        visitType: 'routine',
        day: addDays(from, 2),
        startTime: '09:15',
        crewId,
        note: '',
      })
      const { id } = await askPlan(actors.office, wish())

      workers.push(await startWorker())
      await runWhen(actors.office, id, (run) =>
        inFirm(firmId, async (trx) => run.state === 'running' && (await bestSoFar(trx, id)).length > 0),
      )
      workers.pop()!.kill('SIGKILL')
      const best = await inFirm(firmId, (trx) => bestSoFar(trx, id))
      expect(best.length).toBeGreaterThan(PONDS)
      expect((await pondOnFile(actors.office, ponds[0]!)).visits).toMatchObject([
        { id: standing, day: addDays(from, 2), startTime: '09:15' },
      ])

      // as if the silence had been long enough
      await inFirm(firmId, (trx) => trx('plan_runs').where({ id }).update({ heartbeat: '2020-01-01' }))
      // told to stop before the next worker has it, that one still knows what the dead one had found
      await stopPlan(actors.office, id)
      workers.push(await startWorker())
      const run = await runWhen(actors.office, id, isOver)
      expect(run).toMatchObject({ state: 'stopped', result: { feasible: true } })
      expect(run.result!.changes.length).toBeGreaterThanOrEqual(best.length * 0.9)
      expect((await pondOnFile(actors.office, ponds[0]!)).visits).toMatchObject([
        { id: standing, day: addDays(from, 2), startTime: '09:15' },
      ])
    },
    PATIENCE_MS,
  )

  it(
    'a worker killed in the middle of a forecast: what it had worked out is kept, and the next one does the rest',
    async () => {
      const { actors, firmId } = await makeFirm('Garganey')
      const ponds: PondId[] = []
      for (let i = 0; i < FORECAST_PONDS; i++) ponds.push(await addPond(actors.owner, newPond({ name: `Pond ${i}` })))
      await logReadings(actors.owner, ponds[0]!, {
        at: new Date(Date.now() - 5 * 86_400_000).toISOString(),
        method: 'drops',
        readings: { tan: { value: 0.2, belowStep: false } },
        confirmedUnlikely: false,
      })
      const { id } = await askForecast(actors.owner)
      // asked twice, begun once
      expect((await askForecast(actors.office)).id).toBe(id)
      workers.push(await startWorker())
      const forecastWhen = async (ready: (run: ForecastRun) => boolean) => {
        for (let tries = 0; tries < 1800; tries++) {
          const run = await forecastRun(actors.owner, id)
          if (ready(run)) return run
          await new Promise((resolve) => setTimeout(resolve, 100))
        }
        throw new Error(`the forecast never came to it: ${JSON.stringify(await forecastRun(actors.owner, id))}`)
      }
      await forecastWhen((run) => run.state === 'running' && run.done > 0 && run.done < FORECAST_PONDS)
      workers.pop()!.kill('SIGKILL')
      const kept = await inFirm(firmId, (trx) => trx('pond_forecasts').select('pond_id', 'made_at'))
      expect(kept.length).toBeGreaterThan(0)
      expect(kept.length).toBeLessThan(FORECAST_PONDS)

      // as if the silence had been long enough
      await inFirm(firmId, (trx) => trx('forecast_runs').where({ id }).update({ heartbeat: '2020-01-01' }))
      workers.push(await startWorker())
      expect(await forecastWhen((run) => run.state === 'done')).toMatchObject({
        done: FORECAST_PONDS,
        ponds: FORECAST_PONDS,
      })
      expect(await inFirm(firmId, (trx) => trx('pond_forecasts').select('pond_id'))).toHaveLength(FORECAST_PONDS)
      const { forecast } = await pondOutlook(actors.owner, ponds[0]!)
      expect(forecast!.outlook.bands.waterC.p50).toHaveLength(21)
      expect(forecast!.outlook.from).toBe(new Date().toISOString().slice(0, 10))

      // it is kept as it was given out, and nobody else's ponds are seen
      const out = await inFirm(firmId, (trx) => trx('issued_forecasts').pluck('pond_id'))
      expect(out.sort()).toEqual([...ponds].sort())
      const stranger = await makeFirm('Smew')
      expect((await forecastsPage(stranger.actors.owner)).ponds).toBe(0)
      await expect(forecastRun(stranger.actors.owner, id)).rejects.toMatchObject({ problem: { kind: 'not-found' } })
      await expect(askForecast(stranger.actors.technician)).rejects.toMatchObject({ problem: { kind: 'forbidden' } })

      // stopped when asked
      for (const worker of workers.splice(0)) worker.kill('SIGTERM')
      const again = await askForecast(actors.owner)
      await stopForecast(actors.owner, again.id)
      expect((await forecastRun(actors.owner, again.id)).state).toBe('stopped')
    },
    PATIENCE_MS,
  )
})
