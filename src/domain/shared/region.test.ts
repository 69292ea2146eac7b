import { datedDay, dayMonth, instant, longDate, shortDate } from './dates'
import { REGIONS, regionOf } from './region'

describe('the habits of a region', () => {
  it('go by the first language that a browser asks for', () => {
    expect(regionOf('en-US,en;q=0.9')).toBe('en-US')
    expect(regionOf('es-US')).toBe('en-US')
    expect(regionOf('en-CA')).toBe('en-US')
    for (const languages of ['en-GB,en-US;q=0.8', 'de-DE', 'en', 'en-USA-made-up', ''])
      expect(regionOf(languages)).toBe('en-GB')
  })
  it('write the same day in their own order', () => {
    const [day, at] = ['2027-04-09', '2027-04-09T14:05:00Z']
    const written = REGIONS.map((region) => [
      shortDate(day, region),
      datedDay(day, region),
      dayMonth(day, region),
      longDate(day, region),
      instant(at, 'Etc/UTC', region),
    ])
    expect(written).toEqual([
      ['Fri 9 Apr', 'Fri 9 Apr 2027', '9 Apr', 'Friday, 9 April 2027', '9 Apr 2027, 14:05'],
      ['Fri, Apr 9', 'Fri, Apr 9, 2027', 'Apr 9', 'Friday, April 9, 2027', 'Apr 9, 2027, 14:05'],
    ])
  })
})
