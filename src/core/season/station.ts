import { assertInRange, DomainError } from '../errors'

/** Long-term means of one calendar month. */
export interface MonthNormal {
  readonly minAirC: number
  readonly maxAirC: number
  /** Day-to-day spread of the daily mean, °C. */
  readonly sdC: number
  readonly humidityPercent: number
  readonly windMPerS: number
  readonly sunshineH: number
  readonly rainMm: number
}

/** A weather station with its monthly normals, January first. */
export interface StationNormals {
  readonly latitudeDeg: number
  readonly altitudeM: number
  readonly months: readonly MonthNormal[]
}

/** Fall of air temperature with height. @source ICAO standard atmosphere */
export const LAPSE_C_PER_M = -0.0065

/** A station's normals moved to a site's height: −6.5 °C per km. */
export function normalsAtHeight(station: StationNormals, altitudeM: number): StationNormals {
  assertStation(station)
  assertInRange('altitudeM', altitudeM, [-400, 5000])
  const change = (altitudeM - station.altitudeM) * LAPSE_C_PER_M
  return {
    ...station,
    altitudeM,
    months: station.months.map((m) => ({ ...m, minAirC: m.minAirC + change, maxAirC: m.maxAirC + change })),
  }
}

const mixed = (a: number, b: number, share: number): number => a + (b - a) * share

/** Mid-month values joined smoothly by day of the year (1..366): straight lines from mid-month to mid-month. */
export function normalOn(station: StationNormals, dayOfYear: number): MonthNormal {
  const position = (dayOfYear - 0.5) / 30.4375 - 0.5
  const below = ((Math.floor(position) % 12) + 12) % 12
  const share = position - Math.floor(position)
  const [a, b] = [station.months[below]!, station.months[(below + 1) % 12]!]
  return {
    minAirC: mixed(a.minAirC, b.minAirC, share),
    maxAirC: mixed(a.maxAirC, b.maxAirC, share),
    sdC: mixed(a.sdC, b.sdC, share),
    humidityPercent: mixed(a.humidityPercent, b.humidityPercent, share),
    windMPerS: mixed(a.windMPerS, b.windMPerS, share),
    sunshineH: mixed(a.sunshineH, b.sunshineH, share),
    rainMm: mixed(a.rainMm, b.rainMm, share),
  }
}

/** Normals of the days 1..365, day 1 first. */
export const dailyNormals = (station: StationNormals): MonthNormal[] =>
  Array.from({ length: 365 }, (_, i) => normalOn(station, i + 1))

export function assertStation(station: StationNormals): void {
  if (station.months.length !== 12)
    throw new DomainError('months', station.months.length, 'twelve months, January first')
  station.months.forEach((month, i) => {
    assertInRange(`months.${i}.minAirC`, month.minAirC, [-50, 45])
    assertInRange(`months.${i}.maxAirC`, month.maxAirC, [month.minAirC, 55])
  })
}
