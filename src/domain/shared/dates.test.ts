import { duration, longDate } from './dates'

describe('dates in words', () => {
  it('reads as people say it', () => {
    expect(longDate('2027-04-09')).toBe('Friday, 9 April 2027')
    expect(duration(220)).toBe('3 h 40 min')
    expect(duration(59.7)).toBe('1 h')
  })
})
