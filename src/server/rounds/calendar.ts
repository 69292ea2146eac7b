import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator'
import { DateTime } from 'luxon'

/** A visit as a calendar shows it. */
export interface CalendarVisit {
  readonly id: string
  readonly day: string
  readonly startTime: string
  readonly minutes: number
  readonly title: string
  readonly place: string
  readonly details: string
  readonly lat: number | null
  readonly lon: number | null
  readonly cancelled: boolean
  /** Grows with every change. */
  readonly version: number
  readonly changedAt: string
}

/** The instant of a clock time on a day in a time zone; an hour that the clock skips counts from the hour before it. */
export function instantOf(day: string, clock: string, timeZone: string): Date {
  const [hour, minute] = clock.split(':').map(Number)
  const [year, month, date] = day.split('-').map(Number)
  return DateTime.fromObject({ year, month, day: date, hour, minute }, { zone: timeZone }).toJSDate()
}

/** One name for a visit in every feed and for ever. */
export const calendarUid = (visitId: string): string => `visit-${visitId}@slow-reed`

/**
 * Visits as an iCalendar file. Times are instants (UTC), so that every program shows them right across clock changes;
 * a move raises the sequence, a cancellation stays in the file as cancelled.
 */
export function calendarText(name: string, timeZone: string, visits: readonly CalendarVisit[]): string {
  const calendar = ical({
    name,
    prodId: { company: 'Slow Reed', product: 'Visits', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 900,
  })
  calendar.x('X-WR-TIMEZONE', timeZone)
  for (const visit of visits) {
    const start = instantOf(visit.day, visit.startTime, timeZone)
    const event = calendar.createEvent({
      id: calendarUid(visit.id),
      sequence: visit.version - 1,
      start,
      end: new Date(start.getTime() + visit.minutes * 60_000),
      stamp: new Date(visit.changedAt),
      lastModified: new Date(visit.changedAt),
      summary: visit.title,
      description: visit.details,
      status: visit.cancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    })
    if (visit.place)
      event.location({
        title: visit.place,
        ...(visit.lat !== null && visit.lon !== null ? { geo: { lat: visit.lat, lon: visit.lon } } : {}),
      })
  }
  return calendar.toString()
}
