import { clockAfter, endsLate, overlapping } from './clash'
import { duration, longDate } from './dates'
import { proposedDays } from './proposed-days'
import { RIGHTS, ROLES } from './roles'
import { nextWindow, windowInYear } from './season-dates'
import { mayBecome, type VisitInContext } from './visit'

const visit = (startTime: string, plannedMinutes: number) => ({ startTime, plannedMinutes }) as VisitInContext

describe('clashes', () => {
  it('sees overlapping times and lets visits follow each other', () => {
    const day = [visit('08:00', 120)]
    expect(overlapping({ startTime: '09:59', minutes: 30 }, day)).toHaveLength(1)
    expect(overlapping({ startTime: '10:00', minutes: 30 }, day)).toHaveLength(0)
    expect(overlapping({ startTime: '06:00', minutes: 120 }, day)).toHaveLength(0)
  })
  it('counts clock times on past midnight', () => {
    expect(clockAfter('08:30', 255)).toBe('12:45')
    expect(clockAfter('20:00', 300)).toBe('25:00')
    expect(endsLate({ startTime: '12:00', minutes: 361 })).toBe(true)
  })
})

describe('windows on real calendars', () => {
  const window = { job: 'spring-cleanout' as const, earliest: '2001-03-01', best: '2001-03-20', latest: '2001-04-10' }
  it('takes this year’s while it lasts, else next year’s', () => {
    const any = { anyYear: [window], live: null }
    expect(nextWindow(any, 'spring-cleanout', '2027-04-10')?.latest).toBe('2027-04-10')
    expect(nextWindow(any, 'spring-cleanout', '2027-04-11')?.earliest).toBe('2028-03-01')
    expect(nextWindow(any, 'netting', '2027-04-11')).toBeNull()
  })
  it('takes the year that is known as it goes, and any year elsewhere', () => {
    const late = { ...window, earliest: '2027-03-20', best: '2027-04-02', latest: '2027-04-20' }
    const windows = { anyYear: [window], live: { year: 2027, windows: [late] } }
    expect(nextWindow(windows, 'spring-cleanout', '2027-04-15')).toEqual(late)
    expect(nextWindow(windows, 'spring-cleanout', '2027-04-21')?.earliest).toBe('2028-03-01')
    // a year in which it does not come at all
    expect(nextWindow({ ...windows, live: { year: 2027, windows: [] } }, 'spring-cleanout', '2027-01-05')?.earliest).toBe('2028-03-01')
  })
  it('keeps the length of a window that runs over New Year', () => {
    const over = { earliest: '2001-12-10', best: '2001-12-28', latest: '2002-01-14' }
    expect(windowInYear(over, 2027)).toEqual({ earliest: '2027-12-10', best: '2027-12-28', latest: '2028-01-14' })
  })
  it('proposes working days from tomorrow on, likeliest kept', () => {
    const likelihood = Array.from({ length: 365 }, (_, i) => (i >= 70 && i <= 85 ? 0.9 : 0.4))
    const days = proposedDays(
      { ...windowInYear(window, 2027), kind: 'span', likelihood, why: { waterC: 8, minAirC: 2, likelihood: 0.9, median: 79 } },
      '2027-03-15',
      5,
    )
    expect(days).toHaveLength(5)
    expect(days.every((d) => d.day > '2027-03-15' && d.likelihood === 0.9 && ![0, 6].includes(new Date(d.day).getUTCDay()))).toBe(true)
  })
})

describe('rights and states', () => {
  it('gives the owner every right and the technician no desk', () => {
    for (const roles of Object.values(RIGHTS)) expect(roles).toContain('owner')
    expect(RIGHTS['ponds.write']).not.toContain('technician')
    expect(RIGHTS['visits.override-gate']).not.toContain('technician')
    expect(ROLES).toHaveLength(5)
  })
  it('never reopens a finished visit', () => {
    for (const state of ['planned', 'under-way', 'cancelled'] as const) expect(mayBecome('done', state)).toBe(false)
  })
})

describe('dates in words', () => {
  it('reads as people say it', () => {
    expect(longDate('2027-04-09')).toBe('Friday, 9 April 2027')
    expect(duration(220)).toBe('3 h 40 min')
    expect(duration(59.7)).toBe('1 h')
  })
})
