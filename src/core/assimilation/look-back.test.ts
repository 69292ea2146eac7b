import { addDays } from '../numeric/calendar'
import { seededRandom } from '../numeric/random'
import type { DatedWeather } from '../season/weather-ahead'
import { weatherYear } from '../season/weather-year'
import { SAMPLE_POND, SAMPLE_STATION } from '../ecosystem/trials/sample-pond'
import { forecastPond } from './forecast-pond'
import { STATE } from '../ecosystem/states'
import { lookBackDays, lookedBackAt } from './look-back'
import type { DatedReading } from './reading'

const FROM = '2027-05-01'
const TODAY = '2027-07-10'
const weather: DatedWeather[] = weatherYear(SAMPLE_STATION, seededRandom(4))
  .slice(120, 200)
  .map((day, i) => ({ ...day, date: addDays(FROM, i) }))
const read = (day: string, value: number): DatedReading => ({
  day,
  kind: 'tan',
  value,
  method: 'meter',
  belowStep: false,
})

const lookedBack = (observed: readonly DatedWeather[], readings: readonly DatedReading[]) =>
  forecastPond({
    pond: SAMPLE_POND,
    deepestM: 1.1,
    station: SAMPLE_STATION,
    known: { today: TODAY, observed, forecast: [] },
    from: FROM,
    filter: null,
    readings,
    events: [],
    volumeSigmaShare: 0.05,
    scores: [],
    members: 12,
  }).lookedBack

describe('what a forecast would have said before the tests on file', () => {
  const tests = [read('2027-06-10', 0.3), read('2027-07-01', 0.4)]
  const back = lookedBack(weather, tests)

  it('is asked 2, 7 and 16 days before each test, where the filter knew the pond by then', () => {
    expect(back.map((each) => each.on)).toEqual([
      '2027-05-25',
      '2027-06-03',
      '2027-06-08',
      '2027-06-15',
      '2027-06-24',
      '2027-06-29',
    ])
    expect(lookBackDays([read('2027-05-10', 0.3)], FROM, TODAY)).toEqual(['2027-05-03', '2027-05-08'])
    expect(lookBackDays([{ ...read('2027-06-10', 5), kind: 'kh' }], FROM, TODAY)).toEqual([])
  })
  it('looks back on no more than some days where a probe tests daily', () => {
    const daily = Array.from({ length: 60 }, (_, i) => read(addDays('2027-05-08', i), 0.3))
    const days = lookBackDays(daily, FROM, TODAY)
    expect(days).toHaveLength(18)
    expect(new Set(days).size).toBe(18)
    expect(days[0]! < '2027-05-05' && days[17]! > '2027-06-28').toBe(true)
  })
  it('knows nothing of the weather that came after its day', () => {
    // a heatwave from the day after the third forecast on: it changes none of the three, and those that come later
    const heat = weather.map((d) =>
      d.date > '2027-06-08' ? { ...d, minAirC: d.minAirC + 12, maxAirC: d.maxAirC + 12 } : d,
    )
    const hot = lookedBack(heat, tests)
    expect(hot.slice(0, 3)).toEqual(back.slice(0, 3))
    expect(hot[5]!.bands.waterC.p50[0]! - back[5]!.bands.waterC.p50[0]!).toBeGreaterThan(3)
  })
  it('speaks from the whole filter, not from the members that stand first', () => {
    const task = { pond: SAMPLE_POND, deepestM: 1.1, station: SAMPLE_STATION, readings: [], events: [], from: FROM }
    const known = { today: TODAY, observed: weather, forecast: [] }
    const { filter } = forecastPond({ ...task, known, filter: null, members: 50, volumeSigmaShare: 0, scores: [] })
    // the second half of them stands in water of another kind
    const clean = filter.members[0]!
    const y = clean.state.y.slice()
    y[STATE.tan] = 40 * SAMPLE_POND.volumeM3
    const foul = { ...clean, state: { ...clean.state, y } }
    const halves = { ...filter, members: filter.members.map((_, i) => (i < 25 ? clean : foul)) }
    const { bands } = lookedBackAt(halves, {
      ...task,
      known,
      filter: halves,
      members: 50,
      volumeSigmaShare: 0,
      scores: [],
    })
    expect(bands.tan.p90[0]! - bands.tan.p10[0]!).toBeGreaterThan(10)
  })
  it('nor of the test it is held against', () => {
    const other = lookedBack(weather, [tests[0]!, read('2027-07-01', 3)])
    expect(other).toEqual(back)
    const earlier = lookedBack(weather, [read('2027-06-10', 0.9), tests[1]!])
    expect(earlier.slice(0, 3)).toEqual(back.slice(0, 3))
    expect(earlier[5]!.bands.tan.p90[2]!).toBeGreaterThan(1.05 * back[5]!.bands.tan.p90[2]!)
  })
})
