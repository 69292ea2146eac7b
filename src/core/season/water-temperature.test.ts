import fc from 'fast-check'
import { waterTemperatures, type ThermalPond } from './water-temperature'
import type { WeatherDay } from './weather-year'

const POND: ThermalPond = { latitudeDeg: 45, meanDepthM: 0.8, shade: 0.2, windShare: 0.5 }
const winter = (meanC: number, days = 100): WeatherDay[] =>
  Array.from({ length: days }, () => ({
    minAirC: meanC - 4,
    maxAirC: meanC + 4,
    humidityPercent: 80,
    windMPerS: 3,
    sunshineH: 2.5,
    rainMm: 1,
  }))
const iceOf = (meanC: number, days?: number, pond = POND) =>
  waterTemperatures(winter(meanC, days), pond, { waterC: 2, iceM: 0 }, 335).map(({ iceM }) => iceM)

describe('ice', () => {
  it('is 15 to 45 cm after a winter of −5 °C on a pond of 0.8 m, 8 to 20 cm at −1 °C', () => {
    const [hard, mild] = [iceOf(-5).at(-1)!, iceOf(-1).at(-1)!]
    expect(hard).toBeGreaterThan(0.15)
    expect(hard).toBeLessThan(0.45)
    expect(mild).toBeGreaterThan(0.08)
    expect(mild).toBeLessThan(0.2)
  })
  it('thickens with the root of the freezing degree days: four times as long, about twice as thick', () => {
    const ice = iceOf(-8, 81)
    expect(ice[80]! / ice[20]!).toBeGreaterThan(1.6)
    expect(ice[80]! / ice[20]!).toBeLessThan(2.4)
  })
  it('is never more than the water there is, however hard the winter', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -30, max: 2, noNaN: true }),
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        (meanC, meanDepthM) => {
          const ice = iceOf(meanC, 120, { ...POND, meanDepthM })
          for (const iceM of ice) expect(iceM).toBeLessThanOrEqual(meanDepthM + 1e-9)
        },
      ),
      { numRuns: 60 },
    ))
  it('goes when it is warm again, and the water warms only then', () => {
    const spring = [...winter(-5, 60), ...winter(8, 60)]
    const days = waterTemperatures(spring, POND, { waterC: 2, iceM: 0 }, 335)
    for (const { waterC, iceM } of days) if (iceM > 0) expect(waterC).toBe(0)
    expect(days.at(-1)).toMatchObject({ iceM: 0 })
    expect(days.at(-1)!.waterC).toBeGreaterThan(3)
  })
})
