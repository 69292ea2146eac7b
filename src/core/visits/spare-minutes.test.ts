import { spareMinutes } from './spare-minutes'

describe('minutes kept free after a visit', () => {
  it('are none of one that is known, and few of a short one', () => {
    expect(spareMinutes(0)).toBe(0)
    expect(spareMinutes(8)).toBe(0)
    expect(spareMinutes(15)).toBe(5)
  })
  it('of a long one near what it needs alone: 0.84 of its spread', () => expect(spareMinutes(90)).toBe(70))
  it('add up over a day to about what its visits need together', () => {
    const sds = [60, 15, 15, 20]
    const needed = 0.8416 * Math.hypot(...sds)
    const kept = sds.reduce((sum, sd) => sum + spareMinutes(sd), 0)
    expect(Math.abs(kept - needed)).toBeLessThan(15)
  })
})
