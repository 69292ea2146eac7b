import { proposedDays } from '../schedule/proposed-days'
import { nextWindow, windowInYear } from './season-dates'

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
    expect(
      nextWindow({ ...windows, live: { year: 2027, windows: [] } }, 'spring-cleanout', '2027-01-05')?.earliest,
    ).toBe('2028-03-01')
  })
  it('keeps the length of a window that runs over New Year', () => {
    const over = { earliest: '2001-12-10', best: '2001-12-28', latest: '2002-01-14' }
    expect(windowInYear(over, 2027)).toEqual({ earliest: '2027-12-10', best: '2027-12-28', latest: '2028-01-14' })
  })
  it('proposes working days from tomorrow on, likeliest kept', () => {
    const likelihood = Array.from({ length: 365 }, (_, i) => (i >= 70 && i <= 85 ? 0.9 : 0.4))
    const days = proposedDays(
      {
        ...windowInYear(window, 2027),
        kind: 'span',
        likelihood,
        why: { waterC: 8, minAirC: 2, likelihood: 0.9, median: 79 },
      },
      '2027-03-15',
      5,
    )
    expect(days).toHaveLength(5)
    expect(
      days.every((d) => d.day > '2027-03-15' && d.likelihood === 0.9 && ![0, 6].includes(new Date(d.day).getUTCDay())),
    ).toBe(true)
  })
})
