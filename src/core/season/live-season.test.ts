import { addDays, type IsoDate } from '../numeric/calendar'
import { normalDeviate, seededRandom } from '../numeric/random'
import { calibrate } from './calibrate'
import { DEFAULT_SEASON_RULES, WINDOW_JOBS } from './house-rules'
import { waterTemperatures } from './water-temperature'
import { forecastErrorC, possibleWeather, weatherAtHeight, type DatedWeather, type KnownWeather } from './weather-ahead'
import { plainDayOfYear } from './season-year'
import { weatherYear } from './weather-year'
import { pondSeason } from './windows'
import { STATIONS } from '../../../stand-ins/weather-desk/stations'

const coast = STATIONS.find((s) => s.id === 'marrow-quay')!.normals
const upland = STATIONS.find((s) => s.id === 'cold-ash-common')!.normals
const dated = (from: IsoDate, days: number, seed: number, station = coast): DatedWeather[] => {
  const random = seededRandom(seed)
  const years = Array.from({ length: Math.ceil(days / 365) + 1 }, () => weatherYear(station, random)).flat()
  const first = plainDayOfYear(from) - 1
  return Array.from({ length: days }, (_, i) => ({ date: addDays(from, i), ...years[first + i]! }))
}
const warmer = (days: readonly DatedWeather[], byC: number) =>
  days.map((d) => ({ ...d, minAirC: d.minAirC + byC, maxAirC: d.maxAirC + byC }))

describe('rain', () => {
  const random = seededRandom(3)
  const years = Array.from({ length: 40 }, () => weatherYear(coast, random))
  const january = years.map((y) => y.slice(0, 31))
  it('falls as much in a month as the normals say', () => {
    const mm =
      january.map((days) => days.reduce((sum, d) => sum + d.rainMm, 0)).reduce((a, b) => a + b, 0) / years.length
    expect(mm).toBeGreaterThan(coast.months[0]!.rainMm * 0.85)
    expect(mm).toBeLessThan(coast.months[0]!.rainMm * 1.15)
  })
  it('comes in spells: a wet day follows a wet day more often than a dry one', () => {
    const pairs = january.flatMap((days) => days.slice(1).map((d, i) => [days[i]!.rainMm > 0, d.rainMm > 0]))
    const after = (wet: boolean) =>
      pairs.filter(([before, now]) => before === wet && now).length / pairs.filter(([before]) => before === wet).length
    expect(after(true)).toBeGreaterThan(after(false) + 0.15)
  })
})

describe('weather ahead', () => {
  const today = '2027-03-10'
  const known: KnownWeather = { today, observed: dated('2027-01-01', 68, 1), forecast: dated(today, 10, 2) }
  const draw = possibleWeather(known, coast, '2027-01-01', 90)
  const members = Array.from({ length: 200 }, (_, i) => draw(seededRandom(i)))
  const spread = (i: number) => {
    const means = members.map((m) => (m[i]!.minAirC + m[i]!.maxAirC) / 2)
    const mean = means.reduce((a, b) => a + b, 0) / means.length
    return Math.sqrt(means.reduce((sum, v) => sum + (v - mean) ** 2, 0) / means.length)
  }
  it('takes observed days as they were', () =>
    members.slice(0, 5).forEach((m) => expect(m[20]).toEqual(known.observed[20])))
  it('spreads around the forecast as its error says, wider with each day, and is any weather afterwards', () => {
    expect(spread(68)).toBeCloseTo(forecastErrorC(0), 0)
    expect(spread(77)).toBeGreaterThan(spread(69) * 2)
    expect(spread(77)).toBeCloseTo(forecastErrorC(9), 0)
    expect(spread(89)).toBeGreaterThan(2)
  })
  it('goes on from the last day it knows', () => {
    const next = (byC: number) => {
      const k = { ...known, forecast: warmer(known.forecast, byC) }
      const drawn = possibleWeather(k, coast, '2027-01-01', 90)
      const all = Array.from({ length: 60 }, (_, i) => drawn(seededRandom(i))[79])
      return all.reduce((sum, d) => sum + d!.maxAirC, 0) / all.length
    }
    expect(next(5)).toBeGreaterThan(next(-5) + 2)
  })
  it('counts 29 February as the 28th', () =>
    expect([plainDayOfYear('2028-02-29'), plainDayOfYear('2028-03-01')]).toEqual([59, 60]))
  it('cools with height', () =>
    expect(weatherAtHeight(known.observed, 12, 1012)[0]!.minAirC).toBeCloseTo(known.observed[0]!.minAirC - 6.5, 9))
})

describe('this year’s season', () => {
  const pond = { meanDepthM: 0.7, shade: 0.3, windShare: 0.5, altitudeM: 12 }
  const run = (known: KnownWeather, changes: object = {}) =>
    pondSeason({
      pond,
      station: coast,
      rules: DEFAULT_SEASON_RULES,
      year: Number(known.today.slice(0, 4)),
      weatherYears: 40,
      known,
      ...changes,
    })
  const today = '2027-03-05'
  const observed = dated('2026-10-01', 155, 4)
  const known: KnownWeather = { today, observed, forecast: dated(today, 10, 6) }
  const bestOf = (s: ReturnType<typeof run>, job: string) => s.windows.find((w) => w.job === job)!.best

  it('has no band on days that are past and a growing one ahead', () => {
    const season = run(known)
    expect(season.waterC[40]!.p90 - season.waterC[40]!.p10).toBeCloseTo(0, 9)
    const wide = (i: number) => season.waterC[i]!.p90 - season.waterC[i]!.p10
    expect(wide(64)).toBeLessThan(wide(72) / 2)
  })
  it('brings the windows of a warm spring forward and puts a cold one off', () => {
    const warm = run({ ...known, observed: warmer(observed, 3), forecast: warmer(known.forecast, 4) })
    const cold = run({ ...known, observed: warmer(observed, -3), forecast: warmer(known.forecast, -4) })
    expect(bestOf(warm, 'spring-startup') < bestOf(cold, 'spring-startup')).toBe(true)
  })
  it('moves with the forecast alone', () => {
    const shift = (byC: number) => bestOf(run({ ...known, forecast: warmer(known.forecast, byC) }), 'spring-startup')
    expect(shift(5) < shift(-5)).toBe(true)
  })
  it('goes on from a reading', () => {
    const at = run(known).waterC[63]!.p50
    const met = run(known, { reading: { date: '2027-03-04', waterC: at + 5 } })
    expect(met.waterC[63]!.p50).toBeGreaterThan(at + 1)
    expect(met.waterC[160]!.p50).toBeCloseTo(run(known).waterC[160]!.p50, 0)
  })
  it('works through a leap year day by day', () => {
    const leap = run({
      today: '2028-03-02',
      observed: dated('2027-10-01', 153, 4),
      forecast: dated('2028-03-02', 10, 5),
    })
    expect(leap.waterC).toHaveLength(365)
    leap.windows.forEach((w) => expect(w.earliest <= w.best && w.best <= w.latest).toBe(true))
  })
  it('follows the house in what it does at all', () => {
    const jobs = (changes: object) =>
      run(known, { rules: { ...DEFAULT_SEASON_RULES, ...changes } }).windows.map((w) => w.job)
    expect(jobs({ spring: 'never-drain' })).not.toContain('spring-cleanout')
    expect(jobs({ bacteria: 'none' })).not.toContain('bacteria')
    const freezing = pondSeason({
      pond: { ...pond, altitudeM: 410 },
      station: upland,
      rules: { ...DEFAULT_SEASON_RULES, winter: 'run-on' },
      year: 2027,
    })
    expect(freezing.windows.map((w) => w.job)).toContain('winter-running')
    expect(freezing.windows.map((w) => w.job)).not.toContain('winter-shutdown')
  })
  it('puts the year in its order in the uplands', () => {
    const s = pondSeason({
      pond: { ...pond, altitudeM: 410 },
      station: upland,
      rules: DEFAULT_SEASON_RULES,
      year: 2027,
    })
    const best = (job: (typeof WINDOW_JOBS)[number]) => s.windows.find((w) => w.job === job)!.best
    const inOrder = [
      best('cold-bacteria'),
      best('bacteria'),
      best('feeding-normal'),
      best('netting'),
      best('netting-off'),
    ]
    expect([...inOrder].sort()).toEqual(inOrder)
    expect(best('feeding-start') <= best('feeding-normal')).toBe(true)
    expect(best('netting') < best('deicer-on')).toBe(true)
    expect(s.windows.map((w) => w.job)).not.toContain('high-summer')
  })
})

describe('calibration', () => {
  const weather = dated('2025-01-01', 700, 11)
  const survey = { latitudeDeg: 45, meanDepthM: 0.9, shade: 0.3, windShare: 0.5 }
  const truth = { shade: 0.65, windShare: 0.3, airOffsetC: -0.8, depthShare: 1.4 }
  const readings = (every: number, fit: object, noiseC = 0.5) => {
    const random = seededRandom(8)
    const water = waterTemperatures(weather, { ...survey, ...fit }, { waterC: 5, iceM: 0 })
    return weather.flatMap((d, i) =>
      i > 80 && i % every === 0 ? [{ date: d.date, waterC: water[i]!.waterC + noiseC * normalDeviate(random) }] : [],
    )
  }
  it('foretells readings it has not seen better than the survey does', () => {
    const found = calibrate(survey, weather, readings(21, truth))
    expect(found.status).toBe('used')
    expect(found.heldOut!.readings).toBeGreaterThanOrEqual(6)
    expect(found.heldOut!.fitErrorC).toBeLessThan(found.heldOut!.surveyErrorC * 0.6)
    expect(found.fitErrorC).toBeLessThan(1)
  })
  it('comes near the planted pond with many readings', () => {
    const { fit } = calibrate(survey, weather, readings(3, truth, 0.2))
    expect(fit!.airOffsetC).toBeCloseTo(truth.airOffsetC, 0)
    expect(fit!.depthShare).toBeGreaterThan(1.1)
    expect(fit!.shade).toBeGreaterThan(0.45)
  })
  it('leaves a pond alone that is as surveyed', () => {
    const found = calibrate(survey, weather, readings(21, {}))
    expect(found.status === 'no-better' || Math.abs(found.fit!.airOffsetC) < 0.6).toBe(true)
    expect(found.fitErrorC).toBeLessThan(0.8)
  })
  it('asks for more readings before it learns', () => {
    expect(calibrate(survey, weather, readings(21, truth).slice(0, 5)).status).toBe('few')
    expect(calibrate(survey, [], readings(21, truth)).status).toBe('few')
  })
  it('bridges missing weather', () => {
    const gappy = weather.filter((_, i) => i % 30 !== 7)
    expect(calibrate(survey, gappy, readings(21, truth)).status).toBe('used')
  })
})
