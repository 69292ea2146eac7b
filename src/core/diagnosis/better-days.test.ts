import fc from 'fast-check'
import { BACTERIA_SLOW_C, betterDays, slowedByCold } from './better-days'
import { CAUSE_KEYS, causeOf } from './causes'

describe('when it should look better', () => {
  it('bacteria: the stated days in water of 20 °C or warmer', () => {
    expect(betterDays('settling-in', () => 20)).toEqual([21, 42])
    expect(betterDays('settling-in', () => 27)).toEqual([21, 42])
  })
  it('bacteria in December water of 1.7 °C: no results by 20 December, but when the water has warmed', () => {
    // 1.7 °C until the end of March, then 0.15 °C warmer every day
    const ahead = (day: number) => 1.7 + Math.max(0, day - 115) * 0.15
    const [from, to] = betterDays('settling-in', ahead)!
    expect(from).toBeGreaterThan(80)
    expect(to).toBeGreaterThan(from)
    expect(slowedByCold('settling-in', ahead)).toBe(true)
  })
  it('at 10 °C it takes at least twice as long', () => {
    const [, warm] = betterDays('green-cleaned', () => 20)!
    expect(betterDays('green-cleaned', () => 10)![1]).toBeGreaterThanOrEqual(2 * warm)
  })
  it('promises nothing where it does not get there within a year', () =>
    expect(betterDays('green-filter-young', () => 0.5)).toBeNull())
  it('what does not hang on bacteria keeps its days, and is not slowed', () => {
    expect(betterDays('basket-full', () => 1)).toEqual(causeOf('basket-full').betterDays)
    expect(slowedByCold('basket-full', () => 1)).toBe(false)
    expect(slowedByCold('settling-in', () => BACTERIA_SLOW_C)).toBe(false)
  })
  it('is never sooner in colder water', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...CAUSE_KEYS.filter((key) => causeOf(key).byWarmth)),
        fc.double({ min: 6, max: 22, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (cause, c, colder) => {
          const [warm, cold] = [betterDays(cause, () => c)!, betterDays(cause, () => c - colder)]
          if (cold) expect([cold[0] >= warm[0], cold[1] >= warm[1]]).toEqual([true, true])
        },
      ),
    ))
})
