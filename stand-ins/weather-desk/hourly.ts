import { addDays, dayNumber, type IsoDate } from '../../src/core/numeric/calendar'
import { seededRandom } from '../../src/core/numeric/random'
import { actualDays } from './actual'

export interface Hour {
  readonly at: string
  readonly airC: number
  readonly humidityPercent: number
  readonly windMPerS: number
  readonly rainMm: number
}

const COLDEST_HOUR = 5
const WARMEST_HOUR = 15
const HOURS = 24

/** Hours of some days between their coldest and warmest hour, as a thermometer would have shown them. */
export function hoursOf(stationId: string, from: IsoDate, to: IsoDate): Hour[] {
  const days = actualDays(stationId, addDays(from, -1), addDays(to, 1))
  return days.slice(1, -1).flatMap((day, i) => {
    const [yesterday, tomorrow] = [days[i]!, days[i + 2]!]
    const random = seededRandom(dayNumber(day.date) * 31)
    const wetHours = day.rainMm > 0 ? 2 + Math.floor(random() * 6) : 0
    const wetFrom = Math.floor(random() * (HOURS - wetHours))
    const mean = (day.minAirC + day.maxAirC) / 2
    return Array.from({ length: HOURS }, (_, hour) => {
      const airC = temperatureAt(hour, yesterday.maxAirC, day, tomorrow.minAirC)
      return {
        at: `${day.date}T${String(hour).padStart(2, '0')}:00`,
        airC: Number(airC.toFixed(1)),
        // the same vapour in colder air is moister
        humidityPercent: Math.round(Math.min(100, Math.max(20, day.humidityPercent - 3 * (airC - mean)))),
        windMPerS: Number((day.windMPerS * (0.6 + 0.8 * random())).toFixed(1)),
        rainMm: hour >= wetFrom && hour < wetFrom + wetHours ? Number((day.rainMm / wetHours).toFixed(1)) : 0,
      }
    })
  })
}

/** Half cosine waves from the coldest hour up to the warmest and down to the next day's coldest. */
function temperatureAt(
  hour: number,
  maxBefore: number,
  day: { minAirC: number; maxAirC: number },
  minAfter: number,
): number {
  const up = (hour - COLDEST_HOUR) / (WARMEST_HOUR - COLDEST_HOUR)
  const night = HOURS - WARMEST_HOUR + COLDEST_HOUR
  if (hour < COLDEST_HOUR) return wave(maxBefore, day.minAirC, (hour + HOURS - WARMEST_HOUR) / night)
  if (hour <= WARMEST_HOUR) return wave(day.minAirC, day.maxAirC, up)
  return wave(day.maxAirC, minAfter, (hour - WARMEST_HOUR) / night)
}

const wave = (from: number, to: number, share: number): number =>
  from + ((to - from) * (1 - Math.cos(Math.PI * share))) / 2
