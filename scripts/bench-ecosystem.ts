import { availableParallelism } from 'node:os'
import { Worker, isMainThread, parentPort, workerData } from 'node:worker_threads'
import { ComparisonRunner, type Comparison } from '../src/core/ecosystem/comparison/comparison'
import { forecastPond, type ForecastTask } from '../src/core/assimilation/forecast-pond'
import { simulate } from '../src/core/ecosystem/simulate'
import { SAMPLE_POND, SAMPLE_STATION } from '../src/core/ecosystem/trials/sample-pond'
import { addDays } from '../src/core/numeric/calendar'
import { seededRandom } from '../src/core/numeric/random'
import { weatherYear } from '../src/core/season/weather-year'

/** The pond simulator's figures; run as one bundle, as browsers and threads get it. */
const YEARS = 40
const MEMBERS = 500
const PONDS = 500
const WORKERS = 2
const FROM = '2027-06-01'

const print = (name: string, value: number, unit: string, n: number) =>
  process.stdout.write(`${JSON.stringify({ name, value: Number(value.toFixed(3)), unit, n })}\n`)
const middle = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]

const known = { today: FROM, observed: [], forecast: [] }
/** 120 days of one scenario; a new pond, so that no run-in is counted. */
const comparison: Comparison = {
  pond: SAMPLE_POND,
  station: SAMPLE_STATION,
  known,
  from: FROM,
  days: 120,
  scenarios: [{ pond: SAMPLE_POND, events: [] }],
  start: 'green',
  water: {},
  seed: 3,
}
/** So long a pond has been followed before the night that is timed. */
const LEARNT_DAYS = 10
const taskFor = (filter: ForecastTask['filter']): ForecastTask => ({
  pond: SAMPLE_POND,
  deepestM: 1.2,
  station: SAMPLE_STATION,
  known: { ...known, today: addDays(FROM, filter ? LEARNT_DAYS + 1 : LEARNT_DAYS) },
  from: filter?.day ?? FROM,
  filter,
  readings: [],
  events: [],
  volumeSigmaShare: 0.1,
  scores: [],
  members: 100,
})

type Work =
  { readonly kind: 'members'; readonly members: readonly number[] } | { readonly kind: 'ponds'; readonly ponds: number }

function work(of: Work): void {
  if (of.kind === 'members') {
    const runner = new ComparisonRunner(comparison)
    for (const member of of.members) runner.member(member)
    return
  }
  // what a night costs: a kept filter is brought forward a day, then through the days that tests may still come for,
  // and three weeks ahead
  const { filter } = forecastPond(taskFor(null))
  parentPort!.postMessage('ready')
  for (let i = 0; i < of.ponds; i++) forecastPond(taskFor(filter))
}

/** @returns seconds from when all are ready to when all are done */
async function inWorkers(works: readonly Work[], untilReady: boolean): Promise<number> {
  let started = performance.now()
  let ready = 0
  await Promise.all(
    works.map(
      (of) =>
        new Promise<void>((resolve, reject) => {
          const worker = new Worker(new URL(import.meta.url), { workerData: of })
          worker.on('message', () => {
            if (untilReady && ++ready === works.length) started = performance.now()
          })
          worker.on('error', reject)
          worker.on('exit', () => resolve())
        }),
    ),
  )
  return (performance.now() - started) / 1000
}

async function main(): Promise<void> {
  const weather = weatherYear(SAMPLE_STATION, seededRandom(3))
  const year = () => {
    const started = performance.now()
    simulate({
      pond: SAMPLE_POND,
      weather,
      startDay: 1,
      days: 365,
      events: [],
      start: { kind: 'settled' },
      every: 'hour',
    })
    return performance.now() - started
  }
  for (let i = 0; i < 10; i++) year()
  const times = Array.from({ length: YEARS }, year)
  print('sim.year_ms', middle(times)!, 'ms', YEARS)
  print('sim.year_best_ms', Math.min(...times), 'ms', YEARS)
  const shares = Array.from({ length: WORKERS }, (_, w) =>
    Array.from({ length: MEMBERS / WORKERS }, (_, i) => i * WORKERS + w),
  )
  print(
    'sim.ensemble500x120d_s',
    await inWorkers(
      shares.map((members) => ({ kind: 'members', members })),
      false,
    ),
    's',
    MEMBERS,
  )
  const each = PONDS / WORKERS
  print(
    'forecast.500ponds_s',
    await inWorkers(
      Array.from({ length: WORKERS }, () => ({ kind: 'ponds', ponds: each })),
      true,
    ),
    's',
    PONDS,
  )
  print('machine.cores', availableParallelism(), 'cores', 1)
}

if (isMainThread) await main()
else work(workerData as Work)
