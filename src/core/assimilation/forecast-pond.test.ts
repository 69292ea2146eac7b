import { addDays, daysBetween } from '../numeric/calendar'
import { seededRandom } from '../numeric/random'
import type { DatedWeather } from '../season/weather-ahead'
import { weatherYear } from '../season/weather-year'
import { forecastPond, LATE_DAYS, withNormals, type ForecastTask } from './forecast-pond'
import type { DatedReading } from './reading'
import { SAMPLE_POND, SAMPLE_STATION } from '../ecosystem/trials/sample-pond'

const FROM = '2027-06-01'
const TODAY = '2027-07-10'
const weather: DatedWeather[] = weatherYear(SAMPLE_STATION, seededRandom(4))
  .slice(151, 260)
  .map((day, i) => ({ ...day, date: addDays(FROM, i) }))
const knownOn = (today: string) => ({
  today,
  observed: weather.filter((d) => d.date < today),
  forecast: weather.filter((d) => d.date >= today).slice(0, 8),
})
const task = (over: Partial<ForecastTask> = {}): ForecastTask => ({
  pond: SAMPLE_POND,
  deepestM: 1.1,
  station: SAMPLE_STATION,
  known: knownOn(TODAY),
  from: FROM,
  filter: null,
  readings: [],
  events: [],
  volumeSigmaShare: 0.05,
  scores: [],
  members: 24,
  ...over,
})
const nitrite = (day: string, value: number): DatedReading => ({
  day,
  kind: 'nitrite',
  value,
  method: 'meter',
  belowStep: false,
})
const first = (over: Partial<ForecastTask> = {}) => forecastPond(task(over)).outlook.bands.nitrite.p50[0]

const untested = forecastPond(task())

describe('a pond’s forecast', () => {
  it('begins today, and keeps a filter that stands some days back', () => {
    expect(untested.outlook.from).toBe(TODAY)
    expect(untested.filter.day).toBe(addDays(TODAY, -LATE_DAYS))
    expect(untested.outlook.bands.waterC.p50).toHaveLength(21)
  })
  it('takes what was tested today into account at once, and looks on from tomorrow', () => {
    const { outlook, issued } = forecastPond(
      task({ readings: [nitrite(addDays(TODAY, -20), 0.1), nitrite(TODAY, 1.5)] }),
    )
    expect(outlook.from).toBe(addDays(TODAY, 1))
    // a single test so far out is a slip or an event: neither shrugged off nor taken for certain
    expect(outlook.bands.nitrite.p90[0]).toBeGreaterThan(2 * untested.outlook.bands.nitrite.p90[1]!)
    expect(outlook.bands.nitrite.p90[0]).toBeLessThan(3)
    expect(outlook.bands.nitrite.p10[0]).toBeLessThan(0.3)
    expect(outlook.risks.nitrite.week).toBeGreaterThan(0.2)
    // the next test tells which
    const confirmed = forecastPond(
      task({ readings: [nitrite(addDays(TODAY, -20), 0.1), nitrite(addDays(TODAY, -1), 1.6), nitrite(TODAY, 1.5)] }),
    )
    expect(confirmed.outlook.bands.nitrite.p50[0]).toBeGreaterThan(0.45)
    expect(confirmed.outlook.risks.nitrite.week).toBeGreaterThan(0.8)
    // given out today, of tomorrow and on
    expect(issued).toMatchObject({ on: TODAY, from: addDays(TODAY, 1), bands: outlook.bands })
    expect(issued.past.nitrite[0]).toBeGreaterThan(untested.issued.past.nitrite[1]!)
  })
  it('learns a test that came in late as if it had come in time', () => {
    const tested = addDays(TODAY, -1)
    const night = forecastPond(task())
    const next = { from: night.filter.day, filter: night.filter, known: knownOn(addDays(TODAY, 1)) }
    const late = forecastPond(task({ ...next, readings: [nitrite(tested, 1.5)] }))
    const never = forecastPond(task(next))
    const inTime = forecastPond(task({ known: knownOn(addDays(TODAY, 1)), readings: [nitrite(tested, 1.5)] }))
    expect(late.outlook.bands.nitrite.p90[0]).toBeGreaterThan(2 * never.outlook.bands.nitrite.p90[0]!)
    expect(late.outlook.risks.nitrite.week).toBeGreaterThan(0.2)
    // of two dozen members two or three may take the other side
    expect(Math.abs(late.outlook.risks.nitrite.week - inTime.outlook.risks.nitrite.week)).toBeLessThan(0.15)
  })
  it('goes on from what was kept as if it had been worked out in one', () => {
    const night = forecastPond(task())
    const next = forecastPond(task({ from: night.filter.day, filter: night.filter, known: knownOn(addDays(TODAY, 5)) }))
    const once = forecastPond(task({ known: knownOn(addDays(TODAY, 5)) }))
    expect(next.filter.day).toBe(once.filter.day)
    expect(next.outlook.bands.tan.p50[3]! / once.outlook.bands.tan.p50[3]!).toBeCloseTo(1, 1)
  })
  it('carries what was done today into the water', () => {
    const change = {
      kind: 'water-change',
      fraction: 0.9,
      dechlorinated: true,
      day: daysBetween(FROM, TODAY) + 0.4,
    } as const
    const tested = [nitrite(addDays(TODAY, -9), 1.5)]
    expect(
      first({ readings: [...tested, { ...nitrite(TODAY, 20), kind: 'waterTemp' }], events: [change] }),
    ).toBeLessThan(0.6 * first({ readings: [...tested, { ...nitrite(TODAY, 20), kind: 'waterTemp' }] })!)
  })
  it('stands where it is when what was kept is newer than the settled days', () => {
    const ahead = { ...untested.filter, day: addDays(TODAY, -1) }
    const again = forecastPond(task({ from: ahead.day, filter: ahead }))
    expect(again.filter.day).toBe(ahead.day)
    expect(again.outlook.from).toBe(TODAY)
  })
})

describe('weather without gaps', () => {
  it('is what was observed, and the usual where nothing was', () => {
    const seen = weather.filter((_, i) => i !== 3)
    const days = withNormals(seen, SAMPLE_STATION, FROM, addDays(FROM, 6))
    expect(days.map((d) => d.date)).toEqual(Array.from({ length: 6 }, (_, i) => addDays(FROM, i)))
    expect(days[2]).toEqual(weather[2])
    expect(days[3]).not.toEqual(weather[3])
    // rain of a usual month in mm, spread over its days
    expect(days[3]!.rainMm).toBeLessThan(12)
  })
})
