import { addDays, dayNumber, type IsoDate } from '../../src/core/numeric/calendar'
import { normalDeviate, seededRandom } from '../../src/core/numeric/random'
import { FORECAST_ERROR, forecastErrorC, type DatedWeather } from '../../src/core/season/weather-ahead'
import { actualDays } from './actual'

const FORECAST_DAYS = 10

/** What the desk foretells on a day for it and the nine after: the weather that will come, with an error that grows. */
export function forecastFrom(stationId: string, issued: IsoDate): DatedWeather[] {
  const random = seededRandom(dayNumber(issued))
  let miss = normalDeviate(random)
  return actualDays(stationId, issued, addDays(issued, FORECAST_DAYS - 1)).map((day, lead) => {
    miss = FORECAST_ERROR.persistence * miss + Math.sqrt(1 - FORECAST_ERROR.persistence ** 2) * normalDeviate(random)
    const off = Number((miss * forecastErrorC(lead)).toFixed(1))
    const rainOff = Math.exp(0.15 * lead * normalDeviate(random))
    return {
      ...day,
      minAirC: Number((day.minAirC + off).toFixed(1)),
      maxAirC: Number((day.maxAirC + off).toFixed(1)),
      rainMm: Number((day.rainMm * rainOff).toFixed(1)),
    }
  })
}
