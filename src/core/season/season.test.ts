import { seededRandom } from '../numeric/random'
import { openWaterEvaporationMmPerD } from './evaporation'
import { DEFAULT_SEASON_RULES } from './house-rules'
import { normalsAtHeight } from './station'
import { daylightHours, equationOfTimeMin, extraterrestrialMJ, solarFromSunshineMJ, sunMinutes } from './sun'
import { exchangeWPerM2K, waterTemperatures } from './water-temperature'
import { weatherYear } from './weather-year'
import { pondSeason } from './windows'
import { dayToDate } from './season-year'
import { STATIONS } from '../../../stand-ins/weather-desk/stations'

const coast = STATIONS.find((s) => s.id === 'marrow-quay')!.normals
const upland = STATIONS.find((s) => s.id === 'cold-ash-common')!.normals
const pond = { meanDepthM: 0.7, shade: 0.3, windShare: 0.5, altitudeM: 20 }
const season = (changes: Partial<Parameters<typeof pondSeason>[0]> = {}) =>
  pondSeason({ pond, station: coast, rules: DEFAULT_SEASON_RULES, year: 2027, ...changes })

describe('the sun', () => {
  // FAO-56 examples 8, 9 and 10
  it('gives the published day length and radiation at 20° S on 3 September', () => {
    expect(daylightHours(-20, '2001-09-03')).toBeCloseTo(11.7, 1)
    expect(extraterrestrialMJ(-20, 246)).toBeCloseTo(32.2, 1)
  })
  it('gives the published solar radiation at 22.9° S in mid May with 7.1 h of sunshine', () =>
    expect(solarFromSunshineMJ(-22.9, 135, 7.1)).toBeCloseTo(14.5, 1))
  it('never sets at midsummer inside the polar circle', () => expect(daylightHours(70, '2027-06-21')).toBe(24))
  it('has the sun ahead of the clock in November and behind it in February, as almanacs say', () => {
    expect(equationOfTimeMin(307)).toBeCloseTo(16.4, 0)
    expect(equationOfTimeMin(42)).toBeCloseTo(-14.2, 0)
  })
  it('rises and sets by the clock of a place', () => {
    // published for 51.48° N on the meridian, less the six minutes or so that refraction and the sun's edge give
    const [rise, set] = sunMinutes(51.48, 0, '2026-06-21', 0)
    expect(Math.abs(rise - (3 * 60 + 43 + 6))).toBeLessThan(4)
    expect(Math.abs(set - (20 * 60 + 21 - 6))).toBeLessThan(4)
    // three hours west on a clock three hours behind: the same hours of the day
    expect(sunMinutes(51.48, -45, '2026-06-21', -180)[0]).toBeCloseTo(rise, 6)
    expect([sunMinutes(80, 0, '2026-06-21', 0), sunMinutes(80, 0, '2026-12-21', 0)]).toEqual([
      [0, 1440],
      [0, 0],
    ])
  })
  it('refuses a day that does not exist', () => expect(() => daylightHours(45, '2027-02-30')).toThrow('date'))
})

describe('open-water evaporation', () => {
  // weather of FAO-56 example 18, where reference grass loses 3.9 mm/d: darker open water loses somewhat more
  const day = {
    date: '2027-07-06',
    latitudeDeg: 50.8,
    minAirC: 12.3,
    maxAirC: 21.5,
    humidityPercent: 73.5,
    windMPerS: 2.078,
    sunshineH: 9.25,
    altitudeM: 100,
  }
  it('lies between grass and half as much again', () => {
    const mm = openWaterEvaporationMmPerD(day)
    expect(mm).toBeGreaterThan(3.9)
    expect(mm).toBeLessThan(3.9 * 1.5)
  })
  it('grows with wind, sun and dryness', () => {
    const base = openWaterEvaporationMmPerD(day)
    expect(openWaterEvaporationMmPerD({ ...day, windMPerS: 5 })).toBeGreaterThan(base)
    expect(openWaterEvaporationMmPerD({ ...day, sunshineH: 13 })).toBeGreaterThan(base)
    expect(openWaterEvaporationMmPerD({ ...day, humidityPercent: 45 })).toBeGreaterThan(base)
  })
  it('is driven by radiation alone in still, saturated air', () => {
    const wet = openWaterEvaporationMmPerD({ ...day, humidityPercent: 100, windMPerS: 0 })
    expect(openWaterEvaporationMmPerD({ ...day, humidityPercent: 100, windMPerS: 8 })).toBeCloseTo(wet, 9)
  })
  it('asks for sunshine or radiation', () =>
    expect(() => openWaterEvaporationMmPerD({ ...day, sunshineH: undefined })).toThrow('sunshineH'))
})

describe('weather years', () => {
  const years = (n: number) => {
    const random = seededRandom(5)
    return Array.from({ length: n }, () => weatherYear(coast, random))
  }
  it('average to the normals', () => {
    const july = years(60).flatMap((y) => y.slice(181, 212).map((d) => (d.minAirC + d.maxAirC) / 2))
    expect(july.reduce((a, b) => a + b, 0) / july.length).toBeCloseTo(
      (coast.months[6]!.minAirC + coast.months[6]!.maxAirC) / 2,
      0,
    )
  })
  it('repeat for the same seed', () => expect(years(2)).toEqual(years(2)))
  it('hang on the day before', () => {
    const departures = years(20).flatMap((y) =>
      y.map(
        (d, i) =>
          (d.minAirC + d.maxAirC) / 2 -
          y.slice(Math.max(0, i - 15), i + 15).reduce((s, x) => s + (x.minAirC + x.maxAirC) / 2, 0) /
            Math.min(30, y.length),
      ),
    )
    const lag =
      departures.slice(1).reduce((s, v, i) => s + v * departures[i]!, 0) / departures.reduce((s, v) => s + v * v, 0)
    expect(lag).toBeGreaterThan(0.4)
  })
  it('cool with height by 6.5 °C per km', () =>
    expect(normalsAtHeight(coast, coast.altitudeM + 1000).months[0]!.minAirC).toBeCloseTo(
      coast.months[0]!.minAirC - 6.5,
      9,
    ))
})

describe('water temperature', () => {
  it('exchanges heat as Edinger and others give it', () =>
    expect(exchangeWPerM2K(20, 10, 3)).toBeCloseTo(4.5 + 1 + (0.35 + 0.225 + 0.27 + 0.47) * (9.2 + 0.46 * 9), 6))
  const steady = Array.from({ length: 400 }, () => ({
    minAirC: 12,
    maxAirC: 18,
    humidityPercent: 70,
    windMPerS: 3,
    sunshineH: 5,
    rainMm: 0,
  }))
  const thermal = { ...pond, latitudeDeg: 45 }
  it('forgets where it began', () => {
    const from = (waterC: number) => waterTemperatures(steady, thermal, { waterC, iceM: 0 })[120]!.waterC
    expect(from(2)).toBeCloseTo(from(25), 3)
  })
  it('lags more in deeper water and warms less in shade', () => {
    const after = (changes: object) =>
      waterTemperatures(steady, { ...thermal, ...changes }, { waterC: 4, iceM: 0 }, 100)[4]!.waterC
    expect(after({ meanDepthM: 3 })).toBeLessThan(after({ meanDepthM: 0.3 }))
    expect(after({ shade: 0.8 })).toBeLessThan(after({ shade: 0 }))
  })
  it('freezes at 0 °C, thickens, and thaws before it warms', () => {
    const cold = Array.from({ length: 30 }, () => ({
      minAirC: -12,
      maxAirC: -6,
      humidityPercent: 75,
      windMPerS: 2,
      sunshineH: 1,
      rainMm: 0,
    }))
    const frozen = waterTemperatures(cold, thermal, { waterC: 3, iceM: 0 }, 1)
    expect(frozen.at(-1)!.iceM).toBeGreaterThan(0.05)
    expect(Math.min(...frozen.map((d) => d.waterC))).toBe(0)
    const thaw = waterTemperatures(steady, thermal, frozen.at(-1)!, 90)
    const firstOpen = thaw.findIndex((d) => d.iceM === 0)
    expect(thaw.slice(0, firstOpen).every((d) => d.waterC === 0)).toBe(true)
    expect(thaw.at(-1)!.waterC).toBeGreaterThan(8)
  })
})

describe('windows', () => {
  const mild = season()
  const cold = season({ station: upland, pond: { ...pond, altitudeM: 410 } })
  const of = (s: typeof mild, job: string) => s.windows.find((w) => w.job === job)!
  it('keeps its band in order on every day', () =>
    mild.waterC.forEach((b) => expect(b.p10 <= b.p50 && b.p50 <= b.p90).toBe(true)))
  it('orders every window earliest, best, latest', () =>
    [...mild.windows, ...cold.windows].forEach((w) => expect(w.earliest <= w.best && w.best <= w.latest).toBe(true)))
  it('comes later in spring and earlier in autumn in the uplands', () => {
    for (const job of ['spring-cleanout', 'spring-startup', 'feeding-start'])
      expect(of(cold, job).best > of(mild, job).best).toBe(true)
    for (const job of ['netting', 'feeding-stop', 'winter-shutdown'])
      expect(of(cold, job).best < of(mild, job).best).toBe(true)
  })
  it('freezes upland ponds from December to March and not the coast’s', () => {
    expect(cold.iceChance[20]).toBeGreaterThan(0.9)
    expect(mild.iceChance[80]).toBeLessThan(0.1)
  })
  it('starts feeding later when the house waits for warmer water', () => {
    const later = season({ rules: { ...DEFAULT_SEASON_RULES, feedingStartWaterC: 13 } })
    expect(of(later, 'feeding-start').best > of(mild, 'feeding-start').best).toBe(true)
  })
  it('gives the cleanout water within its limits on the best day', () => {
    const { why } = of(mild, 'spring-cleanout')
    expect(why.waterC).toBeGreaterThanOrEqual(4)
    expect(why.waterC).toBeLessThanOrEqual(13)
  })
  it('leaves out what cannot happen: no feeding start in water that stays cold', () => {
    const arctic = {
      ...upland,
      months: upland.months.map((m) => ({ ...m, minAirC: m.minAirC - 14, maxAirC: m.maxAirC - 14 })),
    }
    expect(season({ station: arctic }).windows.map((w) => w.job)).not.toContain('feeding-start')
  })
  it('repeats for the same seed and moves a little for another', () => {
    expect(season()).toEqual(mild)
    expect(season({ seed: 9 }).waterC).not.toEqual(mild.waterC)
  })
  it('counts days over 29 February', () => {
    expect(dayToDate(2028, 59)).toBe('2028-02-28')
    expect(dayToDate(2028, 60)).toBe('2028-03-01')
    expect(dayToDate(2027, 365)).toBe('2027-12-31')
  })
})
