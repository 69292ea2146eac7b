import { SAMPLE_STATION } from '../ecosystem/trials/sample-pond'
import { seededRandom } from '../numeric/random'
import { normalsIndoors, dayIndoors } from './indoors'
import { weatherYear } from './weather-year'

describe('weather in a room', () => {
  it('stays near the room’s temperature all year, without rain', () => {
    const year = weatherYear(normalsIndoors(SAMPLE_STATION, 20), seededRandom(5))
    const means = year.map((d) => (d.minAirC + d.maxAirC) / 2)
    expect(Math.min(...means)).toBeGreaterThan(14)
    expect(Math.max(...means)).toBeLessThan(26)
    expect(year.every((d) => d.rainMm === 0)).toBe(true)
  })
  it('keeps a day’s date and takes most of its sun', () => {
    const day = {
      date: '2027-05-01',
      minAirC: 2,
      maxAirC: 14,
      humidityPercent: 80,
      windMPerS: 5,
      sunshineH: 8,
      rainMm: 4,
    }
    expect(dayIndoors(day, 20)).toEqual({
      date: '2027-05-01',
      minAirC: 20,
      maxAirC: 20,
      humidityPercent: 60,
      windMPerS: 0.1,
      sunshineH: 2,
      rainMm: 0,
    })
  })
})
