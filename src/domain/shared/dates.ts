import { DateTime } from 'luxon'
import { HOUR_MS } from '../../core/numeric/time'

const at = (date: string, locale: string) => DateTime.fromISO(date, { zone: 'utc' }).setLocale(locale)

/** "Friday, 9 April 2027" from a calendar day. */
export const longDate = (date: string, locale = 'en-GB'): string =>
  at(date, locale).toLocaleString({ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' })

/** Long lists name the same few days over and over, and writing a date is slow. */
const written = new Map<string, string>()
const MAX_KEPT = 2000

/** "Fri 9 Apr" from a calendar day. */
export function shortDate(date: string, locale = 'en-GB'): string {
  const key = `${locale} ${date}`
  const kept = written.get(key)
  if (kept !== undefined) return kept
  if (written.size >= MAX_KEPT) written.clear()
  const text = at(date, locale).toFormat('ccc d LLL')
  written.set(key, text)
  return text
}

/** "9 Apr" from a calendar day. */
export const dayMonth = (date: string, locale = 'en-GB'): string => at(date, locale).toFormat('d LLL')

/** "9 Apr 2027, 14:05" from an instant, in a time zone. */
export const instant = (iso: string, timeZone: string, locale = 'en-GB'): string =>
  DateTime.fromISO(iso, { zone: timeZone }).setLocale(locale).toFormat('d LLL yyyy, HH:mm')

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
