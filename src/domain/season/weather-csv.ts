import { dayNumber } from '../../core/numeric/calendar'
import type { DatedWeather } from '../../core/season/weather-ahead'
import { csvNumber, readCsv, type CsvRowProblem } from '../shared/csv'

const WEATHER_CSV_COLUMNS = ['date', 'min', 'max', 'rain', 'wind', 'humidity', 'sun'] as const

/**
 * What a column may hold and what stands in for an empty cell. Temperatures in °C, rain in mm, wind in m/s, humidity
 * in %, sun in hours.
 */
const COLUMNS = {
  min: { range: [-60, 50], instead: null },
  max: { range: [-60, 60], instead: null },
  rain: { range: [0, 1000], instead: 0 },
  wind: { range: [0, 80], instead: 3 },
  humidity: { range: [1, 100], instead: 78 },
  sun: { range: [0, 24], instead: 4 },
} as const

const isDay = (text: string): boolean => {
  try {
    dayNumber(text)
    return true
  } catch {
    return false
  }
}

/**
 * Observed days out of a CSV; rows that do not read are named by their line and left out. Only date, min and max are
 * needed.
 */
export function readWeatherCsv(text: string, today: string): { days: DatedWeather[]; problems: CsvRowProblem[] } {
  const file = readCsv(text, WEATHER_CSV_COLUMNS, ['date', 'min', 'max'])
  const problems = [...file.problems]
  const days = new Map<string, DatedWeather>()
  file.rows.forEach(({ line, cell }) => {
    const date = cell('date')
    const say = (message: string) => problems.push({ line, message })
    if (!isDay(date)) return say(`date: “${date}” is not a day such as 2026-04-09.`)
    if (date >= today) return say(`date: ${date} is not over yet.`)
    const value = (name: keyof typeof COLUMNS): number | null => {
      const { range, instead } = COLUMNS[name]
      const text = cell(name)
      if (text === '' && instead !== null) return instead
      const number = csvNumber(text)
      if (number === null || !(number >= range[0] && number <= range[1])) {
        say(`${name}: “${text}” is not between ${range[0]} and ${range[1]}.`)
        return null
      }
      return number
    }
    const [minAirC, maxAirC, rainMm] = [value('min'), value('max'), value('rain')]
    const [windMPerS, humidityPercent, sunshineH] = [value('wind'), value('humidity'), value('sun')]
    if (
      minAirC === null ||
      maxAirC === null ||
      rainMm === null ||
      windMPerS === null ||
      humidityPercent === null ||
      sunshineH === null
    )
      return
    if (maxAirC < minAirC) return say(`max: ${maxAirC} lies below the minimum ${minAirC}.`)
    days.set(date, { date, minAirC, maxAirC, rainMm, windMPerS, humidityPercent, sunshineH })
  })
  return { days: [...days.values()], problems }
}
