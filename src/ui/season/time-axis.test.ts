import { axisAround, dayCarried, marksOf, percentAt, shifted, ZOOMS } from './time-axis'

describe('the stretch of days that is shown', () => {
  it('is the year, quarter, month or week around a day', () => {
    const of = (zoom: (typeof ZOOMS)[number], day = '2028-02-17') => {
      const { from, days } = axisAround({ year: 2028, seasonFrom: 1 }, zoom, day)
      return [from, days]
    }
    expect(of('year')).toEqual(['2028-01-01', 366])
    expect(of('quarter')).toEqual(['2028-01-01', 91])
    expect(of('quarter', '2028-11-02')).toEqual(['2028-10-01', 92])
    expect(of('month')).toEqual(['2028-02-01', 29])
    expect(of('month', '2028-12-31')).toEqual(['2028-12-01', 31])
    expect(of('week')).toEqual(['2028-02-14', 7])
  })
  it('goes on and back within its year, and no further', () => {
    const month = axisAround({ year: 2027, seasonFrom: 1 }, 'month', '2027-01-20')
    expect(shifted(month, 'month', 1)).toMatchObject({ from: '2027-02-01', days: 28 })
    expect(shifted(month, 'month', -1)).toBeNull()
    expect(shifted(axisAround({ year: 2027, seasonFrom: 1 }, 'quarter', '2027-12-01'), 'quarter', 1)).toBeNull()
    expect(shifted(axisAround({ year: 2027, seasonFrom: 1 }, 'year', '2027-12-01'), 'year', 1)).toBeNull()
    expect(shifted(axisAround({ year: 2027, seasonFrom: 1 }, 'week', '2027-06-16'), 'week', -1)).toMatchObject({
      from: '2027-06-07',
      days: 7,
    })
  })
})

describe('a day on the stretch', () => {
  const april = axisAround({ year: 2027, seasonFrom: 1 }, 'month', '2027-04-01')
  it('begins at its share of the width', () => {
    expect(percentAt(april, '2027-04-01')).toBe(0)
    expect(percentAt(april, '2027-04-16')).toBeCloseTo(50, 12)
    expect(percentAt(april, '2027-05-01')).toBeCloseTo(100, 12)
    expect(percentAt(april, '2027-03-31')).toBeLessThan(0)
  })
  it('is carried to the nearest day, and never off the stretch', () => {
    expect(dayCarried(april, '2027-04-10', 0)).toBe('2027-04-10')
    expect(dayCarried(april, '2027-04-10', 100 / 30)).toBe('2027-04-11')
    expect(dayCarried(april, '2027-04-10', 1.4)).toBe('2027-04-10')
    expect(dayCarried(april, '2027-04-10', -1.8)).toBe('2027-04-09')
    expect(dayCarried(april, '2027-04-10', 400)).toBe('2027-04-30')
    expect(dayCarried(april, '2027-04-10', -400)).toBe('2027-04-01')
  })
})

describe('marks', () => {
  it('stand at months, Mondays or days, by the stretch', () => {
    expect(
      marksOf(axisAround({ year: 2027, seasonFrom: 1 }, 'year', '2027-01-01'), 'year').map((m) => m.label),
    ).toHaveLength(12)
    expect(marksOf(axisAround({ year: 2027, seasonFrom: 1 }, 'quarter', '2027-04-01'), 'quarter')[0]).toEqual({
      day: '2027-04-05',
      label: '5 Apr',
    })
    expect(marksOf(axisAround({ year: 2027, seasonFrom: 1 }, 'month', '2027-04-01'), 'month').at(-1)).toEqual({
      day: '2027-04-30',
      label: '30',
    })
    expect(marksOf(axisAround({ year: 2027, seasonFrom: 1 }, 'week', '2027-04-07'), 'week')[0]!.label).toMatch(
      /^Mon,? 5 Apr$/,
    )
  })
})

describe('the axis of a season year from July to June', () => {
  const shown = { year: 2026, seasonFrom: 7 } as const
  it('begins in July and ends in June', () => {
    const axis = axisAround(shown, 'year', '2026-12-24')
    expect(axis).toMatchObject({ from: '2026-07-01', days: 365 })
    const marks = marksOf(axis, 'year')
    expect([marks[0]!.day, marks.at(-1)!.day]).toEqual(['2026-07-01', '2027-06-01'])
  })
  it('has February in the second calendar year', () =>
    expect(axisAround(shown, 'month', '2027-02-10')).toMatchObject({ from: '2027-02-01', days: 28 }))
  it('goes on over New Year, and no further than its own ends', () => {
    const quarter = axisAround(shown, 'quarter', '2026-11-05')
    expect(quarter).toMatchObject({ from: '2026-10-01', days: 92 })
    expect(shifted(quarter, 'quarter', 1)).toMatchObject({ from: '2027-01-01', days: 90 })
    expect(shifted(axisAround(shown, 'month', '2027-06-02'), 'month', 1)).toBeNull()
    expect(axisAround(shown, 'month', '2027-06-02')).toMatchObject({ from: '2027-06-01', days: 30 })
    expect(shifted(axisAround(shown, 'month', '2026-07-02'), 'month', -1)).toBeNull()
  })
})
