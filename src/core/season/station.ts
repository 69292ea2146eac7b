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
const LAPSE_C_PER_M = -0.0065

/** A station's normals moved to a site's height: −6.5 °C per km. */
export function normalsAtHeight(station: StationNormals, altitudeM: number): StationNormals {
  assertStation(station)
  assertInRange('altitudeM', altitudeM, [-400, 5000])
  const change = (altitudeM - station.altitudeM) * LAPSE_C_PER_M
  return { ...station, altitudeM, months: station.months.map((m) => ({ ...m, minAirC: m.minAirC + change, maxAirC: m.maxAirC + change })) }
}

/** Mid-month values joined smoothly by day of the year (1..366): straight lines from mid-month to mid-month. */
export function normalOn(station: StationNormals, dayOfYear: number): MonthNormal {
  const position = (dayOfYear - 0.5) / 30.4375 - 0.5
  const below = ((Math.floor(position) % 12) + 12) % 12
  const share = position - Math.floor(position)
  const [a, b] = [station.months[below], station.months[(below + 1) % 12]]
  const mix = (key: keyof MonthNormal) => a[key] + (b[key] - a[key]) * share
  return {
    minAirC: mix('minAirC'),
    maxAirC: mix('maxAirC'),
    sdC: mix('sdC'),
    humidityPercent: mix('humidityPercent'),
    windMPerS: mix('windMPerS'),
    sunshineH: mix('sunshineH'),
    rainMm: mix('rainMm'),
  }
}

export function assertStation(station: StationNormals): void {
  if (station.months.length !== 12) throw new DomainError('months', station.months.length, 'twelve months, January first')
  station.months.forEach((month, i) => {
    assertInRange(`months.${i}.minAirC`, month.minAirC, [-50, 45])
    assertInRange(`months.${i}.maxAirC`, month.maxAirC, [month.minAirC, 55])
  })
}
