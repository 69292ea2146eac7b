import { CLIMATE_KEYS, stationOf, type ClimateKey } from '../../../tests/fixtures/climates'
import { DEFAULT_SEASON_RULES, type WindowJob } from './house-rules'
import { yearTurns } from './turns'
import { pondSeason } from './windows'

const FROST_WORK: readonly WindowJob[] = ['winter-shutdown', 'winter-running', 'deicer-on', 'cut-back']
const SPRING: readonly WindowJob[] = ['spring-cleanout', 'spring-startup', 'feeding-start']

/** What must be there and what must not; months in which a job's best day lies; months of ice, at least and at most. */
interface Expected {
  readonly has: readonly WindowJob[]
  readonly hasNot: readonly WindowJob[]
  readonly best?: Partial<Record<WindowJob, readonly number[]>>
  readonly iceMonths: readonly [number, number]
}

const EXPECTED: Readonly<Record<ClimateKey, Expected>> = {
  'cold inland': {
    has: [...SPRING, 'winter-shutdown', 'winter-running', 'deicer-on', 'cut-back', 'netting'],
    hasNot: ['high-summer'],
    best: { 'spring-cleanout': [4, 5], netting: [9, 10], 'winter-shutdown': [9, 10] },
    iceMonths: [5, 7],
  },
  'mild coast': {
    has: [...SPRING, 'netting', 'feeding-stop'],
    hasNot: [...FROST_WORK, 'high-summer'],
    best: { 'spring-cleanout': [2, 3, 4], netting: [10, 11] },
    iceMonths: [0, 0.2],
  },
  alpine: {
    has: [...SPRING, 'winter-shutdown', 'winter-running', 'deicer-on', 'netting'],
    hasNot: ['high-summer', 'tender-planting'],
    best: { 'spring-cleanout': [5, 6] },
    iceMonths: [4.5, 7],
  },
  'high plateau on the equator': {
    has: ['wetland-flush'],
    hasNot: [...FROST_WORK, ...SPRING, 'feeding-stop', 'netting', 'tender-planting', 'high-summer', 'shade-down'],
    iceMonths: [0, 0],
  },
  'humid subtropics': {
    has: ['spring-cleanout', 'high-summer', 'dividing'],
    hasNot: [...FROST_WORK, 'feeding-stop', 'spring-startup', 'netting'],
    best: { 'spring-cleanout': [1, 2], 'high-summer': [6, 7, 8] },
    iceMonths: [0, 0],
  },
  'warm dry': {
    has: [...SPRING, 'high-summer', 'netting'],
    hasNot: ['deicer-on', 'winter-running'],
    best: { 'spring-cleanout': [1, 2], netting: [11, 12] },
    iceMonths: [0, 0.2],
  },
  monsoon: {
    has: ['spring-cleanout', 'high-summer'],
    hasNot: [...FROST_WORK, 'feeding-start', 'feeding-stop', 'spring-startup', 'bacteria', 'cold-bacteria'],
    iceMonths: [0, 0],
  },
  rainforest: {
    has: ['high-summer', 'wetland-flush'],
    hasNot: [...FROST_WORK, ...SPRING, 'feeding-stop', 'netting', 'bacteria', 'cold-bacteria', 'dividing'],
    iceMonths: [0, 0],
  },
  desert: {
    has: ['spring-cleanout', 'high-summer'],
    hasNot: [...FROST_WORK, 'feeding-stop', 'netting'],
    best: { 'high-summer': [6, 7, 8] },
    iceMonths: [0, 0],
  },
  subarctic: {
    has: [...SPRING, 'winter-shutdown', 'winter-running', 'deicer-on', 'netting', 'cut-back'],
    hasNot: ['high-summer'],
    best: { 'spring-cleanout': [5, 6], 'deicer-on': [8, 9] },
    iceMonths: [6, 8.5],
  },
  'southern coast': {
    has: [...SPRING, 'netting', 'feeding-stop'],
    hasNot: [...FROST_WORK],
    best: { 'spring-cleanout': [7, 8, 9], netting: [4, 5], 'feeding-start': [8, 9] },
    iceMonths: [0, 0.2],
  },
  'southern inland': {
    has: [...SPRING, 'high-summer', 'netting', 'winter-shutdown', 'cut-back'],
    hasNot: ['winter-running'],
    best: { 'spring-cleanout': [8, 9], netting: [4, 5], 'high-summer': [12, 1, 2], 'winter-shutdown': [5, 6] },
    iceMonths: [0, 1],
  },
}

describe.each(CLIMATE_KEYS)('%s', (key) => {
  const station = stationOf(key)
  const seasonOf = (winter: 'shutdown' | 'run-on') =>
    pondSeason({
      pond: { meanDepthM: 0.8, shade: 0.2, windShare: 0.5, altitudeM: station.altitudeM },
      station,
      rules: { ...DEFAULT_SEASON_RULES, winter },
      year: 2026,
      weatherYears: 100,
    })
  const [off, on] = [seasonOf('shutdown'), seasonOf('run-on')]
  const windows = new Map([...on.windows, ...off.windows].map((w) => [w.job, w]))
  const { has, hasNot, best = {}, iceMonths } = EXPECTED[key]
  it('has the work that its year asks for', () => expect(has.filter((job) => !windows.has(job))).toEqual([]))
  it('has no work that its year does not know', () => expect(hasNot.filter((job) => windows.has(job))).toEqual([]))
  it('has it in its own months', () => {
    const elsewhere = Object.entries(best).filter(
      ([job, months]) => !months.includes(Number(windows.get(job as WindowJob)!.best.slice(5, 7))),
    )
    expect(elsewhere.map(([job]) => `${job} ${windows.get(job as WindowJob)!.best}`)).toEqual([])
  })
  it('is under ice as long as it should be', () => {
    const months = (12 * off.iceChance.reduce((a, b) => a + b, 0)) / 365
    expect(months).toBeGreaterThanOrEqual(iceMonths[0])
    expect(months).toBeLessThanOrEqual(iceMonths[1])
  })
  it('orders every window, within its own season year', () => {
    const [first, last] = off.from === 1 ? ['2026-01-01', '2026-12-31'] : ['2026-07-01', '2027-06-30']
    for (const w of windows.values()) {
      expect([w.earliest, w.best, w.latest]).toEqual([w.earliest, w.best, w.latest].sort())
      expect(w.earliest >= first && w.latest <= last).toBe(true)
    }
  })
})

it('knows where the year turns, and on which half of the Earth it does', () => {
  const of = (key: ClimateKey) => yearTurns(stationOf(key))
  expect(CLIMATE_KEYS.filter((key) => !of(key).turns)).toEqual(['high plateau on the equator', 'rainforest'])
  expect(of('cold inland').warmDay).toBeGreaterThan(182)
  expect(of('southern inland').warmDay).toBeLessThan(40)
})
