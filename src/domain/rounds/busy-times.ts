import ICAL from 'ical.js'
import { DateTime } from 'luxon'
import { said, type Said } from '../shared/said'

/** Part of a day on which a crew is not there. */
export interface BusyTime {
  readonly uid: string
  readonly title: string
  readonly day: string
  readonly startMin: number
  readonly endMin: number
}

export interface BusyOutcome {
  readonly busy: readonly BusyTime[]
  readonly problems: readonly Said[]
}

const DAY_MIN = 24 * 60
/** An event that repeats is followed through so many turns, those before the days that are asked for among them. */
const MAX_TURNS = 30_000
const MAX_TIMES = 5000
const NO_CALENDAR: BusyOutcome = {
  busy: [],
  problems: [said('rounds.problems.noCalendar')],
}

/**
 * Busy times out of an iCalendar file between two days, in a firm's time zone. Repeats are followed, cancelled and
 * free events left out;
 * an event over midnight takes its part of each day. Times without a zone are the firm's own.
 */
export function readBusyTimes(text: string, from: string, to: string, timeZone: string): BusyOutcome {
  let component: ICAL.Component
  try {
    component = new ICAL.Component(ICAL.parse(text))
  } catch {
    return NO_CALENDAR
  }
  // text without any line, or of several calendars, is read as something that has no name
  if (component.name !== 'vcalendar') return NO_CALENDAR
  const zones = new Map(
    component
      .getAllSubcomponents('vtimezone')
      .map((zone) => [String(zone.getFirstPropertyValue('tzid')), new ICAL.Timezone(zone)]),
  )
  const instantOf = (time: ICAL.Time): DateTime => {
    if (time.isDate || time.zone === ICAL.Timezone.localTimezone) {
      const local = DateTime.fromObject(
        { year: time.year, month: time.month, day: time.day, hour: time.hour, minute: time.minute },
        { zone: timeZone },
      )
      return local
    }
    return DateTime.fromJSDate(time.toJSDate(), { zone: timeZone })
  }
  const busy: BusyTime[] = []
  const problems: Said[] = []
  for (const event of component.getAllSubcomponents('vevent')) {
    const uid = String(event.getFirstPropertyValue('uid') ?? '')
    const title = String(event.getFirstPropertyValue('summary') ?? '')
    if (
      String(event.getFirstPropertyValue('status')).toUpperCase() === 'CANCELLED' ||
      String(event.getFirstPropertyValue('transp')).toUpperCase() === 'TRANSPARENT'
    )
      continue
    try {
      for (const name of ['dtstart', 'dtend']) {
        const property = event.getFirstProperty(name)
        const zone = property && zones.get(String(property.getParameter('tzid')))
        if (property && zone) (property.getFirstValue() as ICAL.Time).zone = zone
      }
      const whole = new ICAL.Event(event)
      for (const [start, end] of occurrences(whole, from)) {
        const [first, last] = [instantOf(start), instantOf(end)]
        if (first.toISODate()! > to) break
        busy.push(...daysOf(uid, title, first, last, { from, to, timeZone }))
        if (busy.length > MAX_TIMES)
          return {
            busy: busy.slice(0, MAX_TIMES),
            problems: [said('rounds.problems.tooManyTimes', { most: MAX_TIMES })],
          }
      }
    } catch (error) {
      problems.push(said('rounds.problems.unreadable', { event: title || uid, reason: (error as Error).message }))
    }
  }
  return { busy, problems }
}

/** @param from turns that are over before this day are passed by */
function* occurrences(event: ICAL.Event, from: string): Generator<[ICAL.Time, ICAL.Time]> {
  if (!event.isRecurring()) {
    yield [event.startDate, event.endDate]
    return
  }
  const iterator = event.iterator()
  // a day more on either side, since zones differ
  const early = DateTime.fromISO(from, { zone: 'utc' }).minus({ days: 2 }).toSeconds() - event.duration.toSeconds()
  for (let n = 0; n < MAX_TURNS; n++) {
    const next = iterator.next()
    if (!next) return
    if (next.toUnixTime() < early) continue
    const { startDate, endDate } = event.getOccurrenceDetails(next)
    yield [startDate, endDate]
  }
}

/** The parts of each day that a span takes, between two days; one of no length takes nothing. */
function daysOf(
  uid: string,
  title: string,
  start: DateTime,
  end: DateTime,
  within: { readonly from: string; readonly to: string; readonly timeZone: string },
): BusyTime[] {
  const found: BusyTime[] = []
  const [first, last] = [
    DateTime.fromISO(within.from, { zone: within.timeZone }),
    DateTime.fromISO(within.to, { zone: within.timeZone }).endOf('day'),
  ]
  for (
    let day = DateTime.max(start.startOf('day'), first);
    day < DateTime.min(end, last);
    day = day.plus({ days: 1 })
  ) {
    const minutesFrom = (at: DateTime) => at.hour * 60 + at.minute
    const startMin = day < start ? minutesFrom(start) : 0
    const endMin = day.plus({ days: 1 }) <= end ? DAY_MIN : minutesFrom(end)
    if (endMin > startMin) found.push({ uid, title, day: day.toISODate()!, startMin, endMin })
  }
  return found
}
