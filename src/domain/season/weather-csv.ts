import { dayNumber } from '../../core/numeric/calendar'
import type { DatedWeather } from '../../core/season/weather-ahead'
import { csvNumber, readCsv, type CsvRowProblem } from '../shared/csv'
import { said, type Said } from '../shared/said'

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
    const say = (message: Said) => problems.push({ line, message })
    if (!isDay(date)) return say(said('season.problems.csvDay', { date }))
    if (date >= today) return say(said('season.problems.csvDayNotOver', { date }))
    const value = (name: keyof typeof COLUMNS): number | null => {
      const { range, instead } = COLUMNS[name]
      const text = cell(name)
      if (text === '' && instead !== null) return instead
      const number = csvNumber(text)
      if (number === null || !(number >= range[0] && number <= range[1])) {
        say(said('season.problems.csvRange', { name, text, from: range[0], to: range[1] }))
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
    if (maxAirC < minAirC) return say(said('season.problems.csvMaxBelowMin', { max: maxAirC, min: minAirC }))
    days.set(date, { date, minAirC, maxAirC, rainMm, windMPerS, humidityPercent, sunshineH })
  })
  return { days: [...days.values()], problems }
}
