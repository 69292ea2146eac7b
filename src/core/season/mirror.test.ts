import { daysBetween } from '../numeric/calendar'
import { mirrored, randomStation } from '../../../tests/fixtures/random-stations'
import { openWaterEvaporationOnDay } from './evaporation'
import { DEFAULT_SEASON_RULES } from './house-rules'
import { normalOn, type StationNormals } from './station'
import { pondSeason, type JobWindow } from './windows'

const STATIONS = Number(process.env.MIRROR_STATIONS ?? 500)
const WEATHER_YEARS = Number(process.env.MIRROR_YEARS ?? 40)
/** Half a year, and how far the same day may lie from it: 182 or 183 days, give or take four. */
const HALF_YEAR_DAYS = [178, 187] as const
const POND = { meanDepthM: 0.8, shade: 0.2, windShare: 0.5 }

const seasonAt = (station: StationNormals) =>
  pondSeason({
    pond: { ...POND, altitudeM: station.altitudeM },
    station,
    rules: DEFAULT_SEASON_RULES,
    year: 2025,
    weatherYears: WEATHER_YEARS,
  })

const pairs = Array.from({ length: STATIONS }, (_, seed) => {
  const north = randomStation(seed)
  const south = mirrored(north)
  return { north, south, of: { north: seasonAt(north), south: seasonAt(south) } }
})
const half = (day: number) => (day + 182) % 365
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length

describe(`${STATIONS} stations and the same ones half a year on south of the equator`, () => {
  it('begin their season years in January and in July', () =>
    pairs.forEach(({ of }) => expect([of.north.from, of.south.from]).toEqual([1, 7])))
  it('have the same windows, half a year apart', () => {
    const apart: string[] = []
    pairs.forEach(({ of: { north, south } }, i) => {
      const other = new Map(south.windows.map((w) => [w.job, w]))
      for (const window of north.windows) {
        const there = other.get(window.job)
        // what comes in nearly as many years as not may come in one half of the Earth only
        if (!there) continue
        for (const edge of ['earliest', 'best', 'latest'] as const) {
          const days = daysBetween(window[edge], there[edge])
          if (days < HALF_YEAR_DAYS[0] || days > HALF_YEAR_DAYS[1]) apart.push(`${i} ${window.job} ${edge} ${days}`)
        }
      }
    })
    expect(apart).toEqual([])
  })
  it('have the same likelihoods and the same water', () => {
    for (const { of } of pairs) {
      const water = of.north.waterC.map((band, day) => Math.abs(band.p50 - of.south.waterC[half(day)]!.p50))
      expect(mean(water)).toBeLessThan(0.6)
      const likely = (w: JobWindow) => {
        const there = of.south.windows.find(({ job }) => job === w.job)
        return there ? [mean(w.likelihood.map((p, day) => Math.abs(p - there.likelihood[half(day)]!)))] : []
      }
      expect(Math.max(0, ...of.north.windows.flatMap(likely))).toBeLessThan(0.08)
    }
  })
  it('lose the same to the air', () => {
    const yearOf = (station: StationNormals) =>
      mean(
        Array.from({ length: 365 }, (_, i) =>
          openWaterEvaporationOnDay({ ...normalOn(station, i + 1), ...station }, i + 1),
        ),
      )
    for (const { north, south } of pairs) {
      const [a, b] = [yearOf(north), yearOf(south)]
      // the Earth is nearer to the sun in southern summers
      expect(Math.abs(a - b)).toBeLessThan(0.04 * a + 0.05)
    }
  })
})
