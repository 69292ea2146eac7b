import { seasonPlanInput } from '../tests/fixtures/season-plan-input'
import { VRPTW_BEST_KNOWN, vrptwText } from '../tests/fixtures/vrptw-instance'
import type { Assignment } from '../src/core/schedule/plan/day-times'
import { makePlan } from '../src/core/schedule/plan/make-plan'
import { planIterations } from '../src/core/schedule/plan/plan-input'
import { checkVrptw } from '../src/core/routing/vrptw/check'
import { readVrptw } from '../src/core/routing/vrptw/instance'
import { solveVrptw } from '../src/core/routing/vrptw/solve'
import { seededRandom } from '../src/core/numeric/random'
import { evaluateDesign } from '../src/core/filter/design'
import { checkDesign } from '../src/core/filter/checks'
import { networkOf } from '../src/core/filter/flow/flow-network'
import { firstFlowPlan } from '../src/core/filter/flow/flow-plan'
import { PUMP_CATALOGUE } from '../src/core/filter/flow/pump-catalogue'
import { writeInp } from '../src/core/hydraulics/network/inp'
import { solveInp } from '../src/core/hydraulics/network/solve-inp'
import { NO_GUESTS } from '../src/core/filter/load/guests'
import { suggestDesign } from '../src/core/filter/suggest'
import { DEFAULT_FILTER_RULES } from '../src/core/filter/house-rules'
import { sizeFilter } from '../src/core/filter/sizing/sizing'
import { DEFAULT_SEASON_RULES } from '../src/core/season/house-rules'
import { pondSeason } from '../src/core/season/windows'
import { STATIONS } from '../stand-ins/weather-desk/stations'

const pond = {
  volumeM3: 44,
  areaM2: 28,
  use: 'koi' as const,
  fish: [{ species: 'koi' as const, count: 20, lengthM: 0.45 }],
  guests: NO_GUESTS,
  lining: 'liner' as const,
  fillPhosphateMgL: 0.02,
  volumeSigmaShare: 0.12,
  shoreM: 20.4,
  altitudeM: 400,
  monthlyTempC: [2, 3, 5, 9, 14, 18, 20, 19, 15, 9, 5, 3],
  leafKgPerYear: 3,
  freeboardM: 0.1,
  ground: null,
}
const WARM_UP = 50

function time(name: string, n: number, work: () => void): void {
  for (let i = 0; i < Math.min(WARM_UP, n); i++) work()
  const times = Array.from({ length: n }, () => {
    const started = performance.now()
    work()
    return performance.now() - started
  }).sort((a, b) => a - b)
  process.stdout.write(
    `${JSON.stringify({ name, value: Number(times[Math.floor(n * 0.95)]!.toFixed(3)), unit: 'ms', n })}\n`,
  )
}

async function timeAsync(name: string, n: number, work: () => Promise<unknown>): Promise<void> {
  const times: number[] = []
  for (let i = 0; i < n + 10; i++) {
    const started = performance.now()
    await work()
    if (i >= 10) times.push(performance.now() - started)
  }
  times.sort((a, b) => a - b)
  process.stdout.write(
    `${JSON.stringify({ name, value: Number(times[Math.floor(n * 0.95)]!.toFixed(3)), unit: 'ms', n })}\n`,
  )
}

time('filter.size_ms_p95', 2000, () =>
  sizeFilter(
    { volumeM3: 44, areaM2: 28, use: 'koi', feedKgPerD: 0.5, protein: 0.35, tempC: 20 },
    { depthM: 0.45, grainM: 0.02, porosity: 0.4 },
  ),
)
const design = suggestDesign(pond, 'volume', DEFAULT_FILTER_RULES, PUMP_CATALOGUE)
/** What one step of a drag costs: a width that changes each time, worked through and checked. */
let step = 0
time('design.recompute_ms_p95', 500, () => {
  const dragged = { ...design, widthM: design.widthM + (step++ % 40) * 0.05 }
  const given = {
    pond,
    design: dragged,
    rules: DEFAULT_FILTER_RULES,
    houseMethod: 'volume' as const,
    pumps: PUMP_CATALOGUE,
  }
  checkDesign({ ...given, result: evaluateDesign(given) })
})
const network = writeInp(networkOf(design, firstFlowPlan(design), 'summer', PUMP_CATALOGUE, DEFAULT_FILTER_RULES))
await timeAsync('network.solve_ms_p95', 200, () => solveInp(network))
time('season.pond_ms_p95', 20, () =>
  pondSeason({
    pond: { meanDepthM: 1, shade: 0.3, windShare: 0.5, altitudeM: 20 },
    station: STATIONS[0]!.normals,
    rules: DEFAULT_SEASON_RULES,
    year: 2001,
  }),
)

const print = (name: string, value: number, unit: string, n: number) =>
  process.stdout.write(`${JSON.stringify({ name, value: Number(value.toFixed(3)), unit, n })}\n`)

/** Routes of made-up instances in the classic style against the best of long runs. */
const SECONDS = 30
const gaps = VRPTW_BEST_KNOWN.map(({ style, seed, distance }) => {
  const instance = readVrptw(vrptwText(style, seed))
  const started = performance.now()
  const found = solveVrptw(instance, {
    random: seededRandom(1),
    iterations: 1e12,
    spent: () => (performance.now() - started) / 1000 / SECONDS,
  })
  if (!checkVrptw(instance, found.routes).feasible) throw new Error(`${style} ${seed}: the routes cannot be driven`)
  return (found.distance / distance - 1) * 100
})
print('route.100_gap_percent_30s', Math.max(...gaps), '% over the best known, worst of all', gaps.length)

/** A year of a firm, eight needs a site, planned and checked. */
for (const sites of [500, 2000]) {
  const input = seasonPlanInput(sites, 5)
  const started = performance.now()
  const plan = makePlan(input, { random: seededRandom(1), iterations: planIterations(input.visits.length) })
  if (!plan.feasible) throw new Error(`The plan of ${sites} sites cannot be driven`)
  print(`plan.season${sites}_s`, (performance.now() - started) / 1000, 's', input.visits.length)
  print(
    `plan.season${sites}_placed_percent`,
    (100 * plan.assignments.length) / input.visits.length,
    '%',
    input.visits.length,
  )
}
print('plan.memory_MB', process.memoryUsage().rss / 1e6, 'MB', 1)

const byCrewDay = (assignments: readonly Assignment[]) => {
  const days = new Map<string, Assignment[]>()
  for (const a of assignments) days.set(`${a.crew} ${a.day}`, [...(days.get(`${a.crew} ${a.day}`) ?? []), a])
  return days
}

/** One crew's day worked out anew, everything else locked where it is. */
const whole = seasonPlanInput(80, 7)
const year = makePlan(whole, { random: seededRandom(1), iterations: 4000 })
const busiest = [...byCrewDay(year.assignments).values()].sort((a, b) => b.length - a.length)[0]!
const dayStarted = performance.now()
const { day } = busiest[0]!
makePlan(
  {
    ...whole,
    days: [day],
    visits: whole.visits
      .filter((v) => busiest.some((a) => a.visit === v.id))
      .map((v) => ({ ...v, earliest: day, latest: day, after: [] })),
  },
  { random: seededRandom(2), iterations: 20_000 },
)
print('plan.replanDay_s', (performance.now() - dayStarted) / 1000, 's', busiest.length)
