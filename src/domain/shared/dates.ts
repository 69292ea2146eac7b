import { DateTime } from 'luxon'
import { HOUR_MS } from '../../core/numeric/time'
import { REGION_HABITS, type Region } from './region'

const at = (date: string, region: Region) => DateTime.fromISO(date, { zone: 'utc' }).setLocale(region)

/** "Friday, 9 April 2027" or "Friday, April 9, 2027" from a calendar day. */
export const longDate = (date: string, region: Region = 'en-GB'): string =>
  at(date, region).toLocaleString({ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' })

/** Long lists name the same few days over and over, and writing a date is slow. */
const written = new Map<string, string>()
const MAX_KEPT = 2000

/** "Fri 9 Apr" or "Fri, Apr 9" from a calendar day. */
export function shortDate(date: string, region: Region = 'en-GB'): string {
  const key = `${region} ${date}`
  const kept = written.get(key)
  if (kept !== undefined) return kept
  if (written.size >= MAX_KEPT) written.clear()
  const text = at(date, region).toFormat(REGION_HABITS[region].shortDate)
  written.set(key, text)
  return text
}

/** "Fri 9 Apr 2027" or "Fri, Apr 9, 2027" from a calendar day. */
export const datedDay = (date: string, region: Region = 'en-GB'): string =>
  at(date, region).toFormat(REGION_HABITS[region].datedDay)

/** "9 Apr" or "Apr 9" from a calendar day. */
export const dayMonth = (date: string, region: Region = 'en-GB'): string =>
  at(date, region).toFormat(REGION_HABITS[region].dayMonth)

/** "9 Apr 2027, 14:05" or "Apr 9, 2027, 14:05" from an instant, in a time zone. */
export const instant = (iso: string, timeZone: string, region: Region = 'en-GB'): string =>
  DateTime.fromISO(iso, { zone: timeZone }).setLocale(region).toFormat(REGION_HABITS[region].instant)

/** Clock time of a moment, "14:05". */
export const clockTimeOf = (iso: string, timeZone: string): string =>
  DateTime.fromISO(iso, { zone: timeZone }).toFormat('HH:mm')

/** The calendar day of an instant in a time zone. */
export const dayIn = (iso: string, timeZone: string): string => DateTime.fromISO(iso, { zone: timeZone }).toISODate()!

/**
 * When something was done that is written down by its day alone: now for today, else about noon, later lines after
 * earlier ones.
 * @returns ISO instant
 */
export function instantOn(day: string, timeZone: string, now: Date): string {
  if (dayIn(now.toISOString(), timeZone) === day) return now.toISOString()
  const noon = DateTime.fromISO(`${day}T12:00`, { zone: timeZone })
  return noon
    .plus({ milliseconds: now.getTime() % HOUR_MS })
    .toUTC()
    .toISO()!
}

/** "3 h 40 min" from minutes. */
export function duration(minutes: number): string {
  const whole = Math.round(minutes)
  const [h, min] = [Math.floor(whole / 60), whole % 60]
  if (h === 0) return `${min} min`
  return min === 0 ? `${h} h` : `${h} h ${min} min`
}
