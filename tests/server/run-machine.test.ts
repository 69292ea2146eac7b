import { randomUUID } from 'node:crypto'
import type { FirmId, ForecastRunId } from '@/domain/shared/ids'
import { closeDatabase } from '@/server/platform/db/connection'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { insertForecastRun, findForecastRun } from '@/server/forecasts/forecast-repository'
import { runMachine, type RunEnd } from '@/server/platform/queue/run-machine'
import { cancelRun } from '@/server/platform/queue/run-rows'
import { makeFirm } from '../fixtures/firm'

afterAll(closeDatabase)

/** A machine over the table of forecasts that only remembers what it would send. */
async function withRun(name: string) {
  const { firmId } = await makeFirm(name)
  const id = randomUUID() as ForecastRunId
  await inFirm(firmId, (trx) => insertForecastRun(trx, firmId, id, null))
  const sent: string[] = []
  const machine = runMachine<ForecastRunId>({
    table: 'forecast_runs',
    send: async (_, __, run) => void sent.push(run),
    brokeOff: 'It broke off; try again.',
  })
  const run = async () => (await inFirm(firmId, (trx) => findForecastRun(trx, id)))!
  return { firmId: firmId as FirmId, id, machine, sent, run }
}
const aborted = (signal: AbortSignal) =>
  new Promise<void>((resolve) => signal.addEventListener('abort', () => resolve()))

describe('a run', () => {
  it('is worked on once, however often it is taken up, and ends with what was found', async () => {
    const { firmId, id, machine, run } = await withRun('Bunting')
    let works = 0
    const work = async (): Promise<RunEnd> => ({ state: 'done', columns: { ponds: 3, done: ++works } })
    await Promise.all([machine.perform(firmId, id, work), machine.perform(firmId, id, work)])
    expect(works).toBe(1)
    expect(await run()).toMatchObject({ state: 'done', ponds: 3, done: 1, problem: '' })
  })
  it('that breaks off says so in plain words, and nothing of what went wrong inside', async () => {
    const { firmId, id, machine, run } = await withRun('Siskin')
    await machine.perform(firmId, id, () => Promise.reject(new Error('secret inside')))
    expect(await run()).toMatchObject({ state: 'failed', problem: 'It broke off; try again.' })
  })
  it('hears within a beat that it shall stop, and its progress is seen meanwhile', async () => {
    const { firmId, id, machine, run } = await withRun('Linnet')
    const end = machine.perform(firmId, id, async ({ stop, reports }) => {
      reports(() => ({ ponds: 9, done: 4 }))
      await aborted(stop)
      return { state: 'stopped', columns: {} }
    })
    while ((await run()).state !== 'running') await new Promise((resolve) => setTimeout(resolve, 20))
    await inFirm(firmId, (trx) => cancelRun(trx, 'forecast_runs', id))
    await end
    expect(await run()).toMatchObject({ state: 'stopped', ponds: 9, done: 4 })
  })
  it('goes back to the queue with its job when its process ends, and nothing more is written of it there', async () => {
    const { firmId, id, machine, sent, run } = await withRun('Redpoll')
    const end = machine.perform(firmId, id, async ({ handBack }) => {
      await aborted(handBack)
      return { state: 'done', columns: { done: 99 } }
    })
    while ((await run()).state !== 'running') await new Promise((resolve) => setTimeout(resolve, 20))
    await machine.handBack()
    await end
    expect(sent).toEqual([id])
    expect(await run()).toMatchObject({ state: 'queued', done: 0 })
  })
  it('that was stopped while it waited never starts', async () => {
    const { firmId, id, machine, run } = await withRun('Twite')
    await inFirm(firmId, (trx) => cancelRun(trx, 'forecast_runs', id))
    await machine.perform(firmId, id, () => Promise.reject(new Error('must not be worked on')))
    expect(await run()).toMatchObject({ state: 'stopped', problem: '' })
  })
})
