import { proposedDays } from '../schedule/proposed-days'
import { monthDayIn, nextWindow, windowInYear, windowsBetween, windowsIn } from './season-dates'

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
  describe('south of the equator, where the season year runs from July to June', () => {
    const cleanout = { job: 'spring-cleanout', earliest: '2001-08-28', best: '2001-09-15', latest: '2001-10-08' }
    const netting = { job: 'netting', earliest: '2002-03-20', best: '2002-04-02', latest: '2002-04-20' }
    const shade = { job: 'high-summer', earliest: '2001-12-20', best: '2002-01-20', latest: '2002-02-20' }
    const windows = { anyYear: [cleanout, netting, shade], live: null }
    it('has this year’s netting of the season that began last year', () => {
      expect(nextWindow(windows, 'netting', '2027-04-10')?.best).toBe('2027-04-02')
      expect(nextWindow(windows, 'netting', '2027-04-21')?.best).toBe('2028-04-02')
      expect(nextWindow(windows, 'spring-cleanout', '2027-04-10')?.best).toBe('2027-09-15')
    })
    it('has every window once in a calendar year, and once in a season year', () => {
      expect(windowsIn(windows, 2027).map((w) => w.best)).toEqual(['2027-04-02', '2027-01-20', '2027-09-15'])
      expect(windowsBetween(windows, '2026-07-01', '2027-06-30').map((w) => w.best)).toEqual([
        '2026-09-15',
        '2027-04-02',
        '2027-01-20',
      ])
    })
    it('is in high summer over New Year', () =>
      expect(nextWindow(windows, 'high-summer', '2027-01-03')).toMatchObject({
        earliest: '2026-12-20',
        latest: '2027-02-20',
      }))
    it('takes the season as it goes by the year in which it began', () => {
      const late = { ...netting, earliest: '2027-03-28', best: '2027-04-09', latest: '2027-04-28' }
      const live = { year: 2026, windows: [late] }
      expect(nextWindow({ ...windows, live }, 'netting', '2027-04-10')).toEqual(late)
      expect(nextWindow({ ...windows, live }, 'spring-cleanout', '2027-04-10')?.best).toBe('2027-09-15')
    })
    it('turns days of the year by half a year', () =>
      expect(['04-20', '10-15', '12-31', '01-01', '08-31'].map((day) => monthDayIn(day, 7))).toEqual([
        '10-20',
        '04-15',
        '06-28',
        '07-01',
        '02-28',
      ]))
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
