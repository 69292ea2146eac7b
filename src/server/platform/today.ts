import { DateTime } from 'luxon'

/** The calendar day in a firm's time zone. */
export function todayIn(timeZone: string, now: Date = new Date()): string {
  return new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(now)
}

/** Minutes of the day at a moment in a firm's time zone. */
export function minuteIn(timeZone: string, at: Date): number {
  const { hour, minute } = DateTime.fromJSDate(at, { zone: timeZone })
  return hour * 60 + minute
}
