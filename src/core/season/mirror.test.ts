import { daysBetween } from '../numeric/calendar'
import { mirrored, randomStation } from '../../../tests/fixtures/random-stations'
import { openWaterEvaporationOnDay } from './evaporation'
import { DEFAULT_SEASON_RULES } from './house-rules'
import { normalOn, type StationNormals } from './station'
import { pondSeason } from './windows'
import type { JobWindow } from './job-window'

/** The Earth is nearer to the sun in January: southern summers have 7 % more of it. On a round path both are alike. */
let orbit: 'round' | 'as it is' = 'round'
jest.mock('./sun', () => {
  const sun = jest.requireActual<typeof import('./sun')>('./sun')
  const nearer = (day: number) => (orbit === 'round' ? 1 + 0.033 * Math.cos((2 * Math.PI * day) / 365) : 1)
  return {
    ...sun,
    extraterrestrialMJ: (latitudeDeg: number, day: number) => sun.extraterrestrialMJ(latitudeDeg, day) / nearer(day),
    solarFromSunshineMJ: (latitudeDeg: number, day: number, sunshineH: number) =>
      sun.solarFromSunshineMJ(latitudeDeg, day, sunshineH) / nearer(day),
  }
})

/** Few for many stations, many for a few: one year in ten of few years hangs on the weather of one of them. */
const YEARS = { few: 40, many: 200 } as const
/** Half a year, 182 or 183 days, give or take four. */
const HALF_YEAR_DAYS = [178, 187] as const
const POND = { meanDepthM: 0.8, shade: 0.2, windShare: 0.5 }
const EDGES = ['earliest', 'best', 'latest'] as const

const seasonAt = (station: StationNormals, weatherYears: number) =>
  pondSeason({
    pond: { ...POND, altitudeM: station.altitudeM },
    station,
    rules: DEFAULT_SEASON_RULES,
    year: 2025,
    weatherYears,
  })
const pairsOf = (count: number, weatherYears: number = YEARS.few) =>
  Array.from({ length: count }, (_, seed) => {
    const north = randomStation(seed)
    const south = mirrored(north)
    return { north, south, of: { north: seasonAt(north, weatherYears), south: seasonAt(south, weatherYears) } }
  })
type Pair = ReturnType<typeof pairsOf>[number]

/** Days from each date of a northern window to that of the southern one. */
const apart = ({ of: { north, south } }: Pair) =>
  north.windows.flatMap((window) => {
    const there = south.windows.find(({ job }) => job === window.job)
    // what comes in about as many years as not may come on one half of the Earth only
    if (!there) return []
    return EDGES.map((edge) => ({ job: window.job, edge, days: daysBetween(window[edge], there[edge]) }))
  })
const outside = ({ days }: { days: number }) => days < HALF_YEAR_DAYS[0] || days > HALF_YEAR_DAYS[1]
const half = (day: number) => (day + 182) % 365
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length

describe('500 stations and the same ones half a year on south of the equator, were the Earth’s path round', () => {
  orbit = 'round'
  const pairs = pairsOf(500)
  it('begin their season years in January and in July', () =>
    pairs.forEach(({ of }) => expect([of.north.from, of.south.from]).toEqual([1, 7])))
  it('have the same windows half a year apart, but for a few that one day’s weather decides', () => {
    const all = pairs.flatMap(apart)
    expect(all.length).toBeGreaterThan(15_000)
    expect(all.filter(outside).length / all.length).toBeLessThan(0.02)
    const longer = pairsOf(30, YEARS.many).flatMap(apart)
    expect(longer.filter(outside).length / longer.length).toBeLessThan(0.005)
  })
  it('have no window that the other half has not', () => {
    const jobs = (windows: readonly JobWindow[]) => windows.map(({ job }) => job)
    const only = pairs.flatMap(({ of: { north, south } }) => {
      const [a, b] = [jobs(north.windows), jobs(south.windows)]
      return [...a.filter((job) => !b.includes(job)), ...b.filter((job) => !a.includes(job))]
    })
    // in about as many years as not
    expect(only.length / pairs.flatMap(({ of }) => of.north.windows).length).toBeLessThan(0.01)
  })
  it('have the same likelihoods and the same water', () => {
    for (const { of } of pairs) {
      const water = of.north.waterC.map((band, day) => Math.abs(band.p50 - of.south.waterC[half(day)]!.p50))
      expect(mean(water)).toBeLessThan(0.4)
      const likely = (w: JobWindow) => {
        const there = of.south.windows.find(({ job }) => job === w.job)
        return there ? [mean(w.likelihood.map((p, day) => Math.abs(p - there.likelihood[half(day)]!)))] : []
      }
      expect(Math.max(0, ...of.north.windows.flatMap(likely))).toBeLessThan(0.05)
    }
  })
  it('lose the same to the air', () => {
    const yearOf = (station: StationNormals) =>
      mean(
        Array.from({ length: 365 }, (_, i) =>
          openWaterEvaporationOnDay({ ...normalOn(station, i + 1), ...station }, i + 1),
        ),
      )
    for (const { north, south } of pairs.slice(0, 100)) {
      const [a, b] = [yearOf(north), yearOf(south)]
      expect(Math.abs(a - b)).toBeLessThan(0.01 * a + 0.01)
    }
  })
})

describe('stations on both halves of the Earth as it goes', () => {
  it('are half a year apart in nearly all windows; a nearer sun brings the southern spring on by a few days at most', () => {
    orbit = 'as it is'
    const all = pairsOf(60).flatMap(apart)
    expect(all.filter(outside).length / all.length).toBeLessThan(0.1)
    for (const job of new Set(all.map((date) => date.job))) {
      const days = mean(all.filter((date) => date.job === job).map((date) => date.days))
      expect(days).toBeGreaterThan(HALF_YEAR_DAYS[0] - 1)
      expect(days).toBeLessThan(HALF_YEAR_DAYS[1])
    }
  })
})
