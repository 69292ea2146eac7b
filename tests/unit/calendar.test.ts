import ICAL from 'ical.js'
import { readBusyTimes } from '@/domain/rounds/busy-times'
import { calendarText, calendarUid, instantOf, type CalendarVisit } from '@/server/rounds/calendar'

const visit = (over: Partial<CalendarVisit> = {}): CalendarVisit => ({
  id: '0b7f2c58-0000-4000-8000-000000000001',
  day: '2027-04-02',
  startTime: '08:00',
  minutes: 90,
  title: 'Routine visit, Lark House',
  place: 'Signal Brae 3, Marrow Quay',
  details: 'Side gate; mind the dog, it is friendly',
  lat: 45.01,
  lon: -45.12,
  cancelled: false,
  version: 1,
  changedAt: '2027-02-01T10:00:00.000Z',
  ...over,
})
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text))
    .getAllSubcomponents('vevent')
    .map((e) => ({ event: new ICAL.Event(e), of: (name: string) => e.getFirstPropertyValue(name) }))

describe('a calendar feed, read by a calendar library', () => {
  it('gives a visit its instant, place and words', () => {
    const { event, of } = read(calendarText('Otter', 'Etc/GMT+3', [visit()]))[0]!
    expect(event.uid).toBe(calendarUid(visit().id))
    expect(event.startDate.toJSDate().toISOString()).toBe('2027-04-02T11:00:00.000Z')
    expect(event.endDate.toJSDate().toISOString()).toBe('2027-04-02T12:30:00.000Z')
    expect(event.description).toContain('mind the dog, it is friendly')
    expect(of('geo')).toEqual([45.01, -45.12])
  })
  it('keeps the UID through a move and raises the sequence', () => {
    const only = (v: CalendarVisit) => read(calendarText('Otter', 'Etc/GMT+3', [v]))[0]!
    const [before, after] = [only(visit()), only(visit({ day: '2027-04-05', version: 3 }))]
    expect(after.event.uid).toBe(before.event.uid)
    expect(after.event.sequence).toBeGreaterThan(before.event.sequence)
  })
  it('keeps a visit that was called off, as cancelled', () =>
    expect(read(calendarText('Otter', 'Etc/GMT+3', [visit({ cancelled: true })]))[0]!.of('status')).toBe('CANCELLED'))
  it('holds the clock time on both sides of a clock change', () => {
    // a zone with summer time; clocks go forward on 28 March 2027
    const at = (day: string) => instantOf(day, '08:00', 'CET').toISOString()
    expect(at('2027-03-26')).toBe('2027-03-26T07:00:00.000Z')
    expect(at('2027-03-29')).toBe('2027-03-29T06:00:00.000Z')
  })
  it('knows 29 February', () =>
    expect(instantOf('2028-02-29', '08:00', 'Etc/GMT+3').toISOString()).toBe('2028-02-29T11:00:00.000Z'))
})

const ics = (...events: string[]) =>
  `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//test//EN\r\n${events.map((e) => `BEGIN:VEVENT\r\nUID:u\r\n${e.replaceAll('\n', '\r\n')}\r\nEND:VEVENT\r\n`).join('')}END:VCALENDAR\r\n`
const busy = (...events: string[]) => readBusyTimes(ics(...events), '2027-03-01', '2027-04-30', 'Etc/GMT+3')

describe('busy times out of an .ics file', () => {
  it('takes an hour in UTC into the firm’s day', () =>
    expect(busy('SUMMARY:Dentist\nDTSTART:20270402T130000Z\nDTEND:20270402T143000Z').busy).toEqual([
      { uid: 'u', title: 'Dentist', day: '2027-04-02', startMin: 600, endMin: 690 },
    ]))
  it('takes whole days, also several', () =>
    expect(
      busy('SUMMARY:Away\nDTSTART;VALUE=DATE:20270405\nDTEND;VALUE=DATE:20270408').busy.map((b) => [
        b.day,
        b.startMin,
        b.endMin,
      ]),
    ).toEqual([
      ['2027-04-05', 0, 1440],
      ['2027-04-06', 0, 1440],
      ['2027-04-07', 0, 1440],
    ]))
  it('takes a time without a zone as the firm’s own, and splits it over midnight', () =>
    expect(
      busy('DTSTART:20270402T220000\nDTEND:20270403T020000').busy.map((b) => [b.day, b.startMin, b.endMin]),
    ).toEqual([
      ['2027-04-02', 1320, 1440],
      ['2027-04-03', 0, 120],
    ]))
  it('follows repeats within the days asked for, less the exceptions', () =>
    expect(
      busy(
        'DTSTART:20270302T090000Z\nDTEND:20270302T100000Z\nRRULE:FREQ=WEEKLY;COUNT=5\nEXDATE:20270316T090000Z',
      ).busy.map((b) => b.day),
    ).toEqual(['2027-03-02', '2027-03-09', '2027-03-23', '2027-03-30']))
  it('leaves out what is cancelled or free', () =>
    expect(
      busy(
        'STATUS:CANCELLED\nDTSTART:20270402T130000Z\nDTEND:20270402T140000Z',
        'TRANSP:TRANSPARENT\nDTSTART:20270402T130000Z\nDTEND:20270402T140000Z',
      ).busy,
    ).toEqual([]))
  it('says what is not a calendar, and names an event it cannot read', () => {
    expect(readBusyTimes('hello', '2027-03-01', '2027-04-30', 'UTC').problems[0]).toBe('rounds.problems.noCalendar')
    expect(
      busy('SUMMARY:Broken\nDTSTART:20271302T990000Z\nDTEND:oops').problems.length +
        busy('SUMMARY:Broken').problems.length,
    ).toBeGreaterThan(0)
  })
})
