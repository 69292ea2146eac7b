import { assertInRange } from '../errors'
import { dayOfYear, type IsoDate } from '../numeric/calendar'

/** Longest day north of the equator, and longest south of it; days of the year. */
export const JUNE_SOLSTICE = 172
export const DECEMBER_SOLSTICE = 355

/** Latitudes that people keep ponds at, °. */
export const LATITUDE_RANGE = [-65, 70] as const

const SOLAR_CONSTANT_MJ = 0.082 // MJ/m²/min

const rad = (deg: number) => (deg * Math.PI) / 180

/** Solar declination, rad, by day of the year. @source Allen et al. 1998 (FAO-56) eq. 24 */
const declinationRad = (day: number): number => 0.409 * Math.sin((2 * Math.PI * day) / 365 - 1.39)

/** Sunset hour angle, rad; clipped to polar night and polar day. @source FAO-56 eq. 25 */
function sunsetAngleRad(latitudeDeg: number, day: number): number {
  const cosine = -Math.tan(rad(latitudeDeg)) * Math.tan(declinationRad(day))
  return Math.acos(Math.min(1, Math.max(-1, cosine)))
}

/** Hours from sunrise to sunset (geometric) on a calendar day. @source FAO-56 eq. 34 */
export function daylightHours(latitudeDeg: number, date: IsoDate): number {
  assertInRange('latitudeDeg', latitudeDeg, [-90, 90])
  return daylightHoursOnDay(latitudeDeg, dayOfYear(date))
}

/** The same by day of the year, 1 on 1 January. */
export const daylightHoursOnDay = (latitudeDeg: number, day: number): number => sunOfYear(latitudeDeg).hours[day]!

/** Sun of a latitude's days 1..366, worked out once: a season asks for it tens of thousands of times. */
interface SunOfYear {
  readonly hours: Float64Array
  readonly radiationMJ: Float64Array
}
const kept = new Map<number, SunOfYear>()
const KEPT_LATITUDES = 64
const LAST_DAY = 366

function sunOfYear(latitudeDeg: number): SunOfYear {
  let sun = kept.get(latitudeDeg)
  if (!sun) {
    sun = { hours: new Float64Array(LAST_DAY + 1), radiationMJ: new Float64Array(LAST_DAY + 1) }
    for (let day = 1; day <= LAST_DAY; day++) {
      const angle = sunsetAngleRad(latitudeDeg, day)
      sun.hours[day] = (24 / Math.PI) * angle
      sun.radiationMJ[day] = radiationMJ(latitudeDeg, day, angle)
    }
    if (kept.size >= KEPT_LATITUDES) kept.clear()
    kept.set(latitudeDeg, sun)
  }
  return sun
}

/**
 * Equation of time, minutes by which the sun is ahead of the clock.
 * @source usual two-term approximation, good to half a minute
 */
export function equationOfTimeMin(day: number): number {
  const b = (2 * Math.PI * (day - 81)) / 364
  return 9.87 * Math.sin(2 * b) - 7.53 * Math.cos(b) - 1.5 * Math.sin(b)
}

/**
 * Sunrise and sunset (geometric), minutes of the day on a clock so many minutes ahead of UTC.
 * @returns [0, 0] in polar night, [0, 1440] in polar day
 */
export function sunMinutes(
  latitudeDeg: number,
  longitudeDeg: number,
  date: IsoDate,
  utcOffsetMin: number,
): [number, number] {
  assertInRange('latitudeDeg', latitudeDeg, [-90, 90])
  assertInRange('longitudeDeg', longitudeDeg, [-180, 180])
  const day = dayOfYear(date)
  const half = (daylightHoursOnDay(latitudeDeg, day) * 60) / 2
  if (half <= 0) return [0, 0]
  if (half >= 720) return [0, 1440]
  const noon = 720 - 4 * longitudeDeg - equationOfTimeMin(day) + utcOffsetMin
  return [noon - half, noon + half]
}

/** Extraterrestrial radiation on a level surface, MJ/m²/d. @source FAO-56 eq. 21 */
export const extraterrestrialMJ = (latitudeDeg: number, day: number): number => sunOfYear(latitudeDeg).radiationMJ[day]!

function radiationMJ(latitudeDeg: number, day: number, ws: number): number {
  const phi = rad(latitudeDeg)
  const delta = declinationRad(day)
  const distance = 1 + 0.033 * Math.cos((2 * Math.PI * day) / 365)
  return (
    ((24 * 60) / Math.PI) *
    SOLAR_CONSTANT_MJ *
    distance *
    (ws * Math.sin(phi) * Math.sin(delta) + Math.cos(phi) * Math.cos(delta) * Math.sin(ws))
  )
}

/** Solar radiation from hours of sunshine, MJ/m²/d. @source Ångström formula, FAO-56 eq. 35 with a = 0.25, b = 0.5 */
export function solarFromSunshineMJ(latitudeDeg: number, day: number, sunshineH: number): number {
  const sun = sunOfYear(latitudeDeg)
  const hours = sun.hours[day]!
  const share = hours > 0 ? Math.min(1, sunshineH / hours) : 0
  return (0.25 + 0.5 * share) * sun.radiationMJ[day]!
}
