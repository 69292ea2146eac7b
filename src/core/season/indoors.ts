import type { StationNormals } from './station'
import type { WeatherDay } from './weather-year'

/** What a room lets through of the weather outside. @source house default: glass, no rain, hardly any draught */
const INDOORS = { sunShare: 0.25, windMPerS: 0.1, humidityPercent: 60, sdC: 0.5 } as const

/** A day in a room that is held at a temperature, °C. */
export const dayIndoors = <Day extends WeatherDay>(day: Day, roomTempC: number): Day => ({
  ...day,
  minAirC: roomTempC,
  maxAirC: roomTempC,
  humidityPercent: INDOORS.humidityPercent,
  windMPerS: INDOORS.windMPerS,
  sunshineH: day.sunshineH * INDOORS.sunShare,
  rainMm: 0,
})

/** A station's year as it is in that room. */
export const normalsIndoors = (station: StationNormals, roomTempC: number): StationNormals => ({
  ...station,
  months: station.months.map((month) => ({ ...dayIndoors(month, roomTempC), sdC: INDOORS.sdC })),
})
