import type { WeatherDay } from '../../season/weather-year'

/**
 * The same mild day over and over, for trials in which the weather should not matter.
 * @param airC mean of the air, °C
 */
export const steadyWeather = (days: number, airC: number, sunshineH = 7): WeatherDay[] =>
  Array.from({ length: days }, () => ({
    minAirC: airC - 4,
    maxAirC: airC + 4,
    humidityPercent: 75,
    windMPerS: 2,
    sunshineH,
    rainMm: 1,
  }))
