import fc from 'fast-check'
import { shoalAfterDay, stressOf, STRESSORS, takesOfMeal } from './health'

const GOOD = { nh3: 0.01, nitrite: 0.1, oxygen: 8, chlorine: 0, saltMgL: 0 }

describe('health of the fish', () => {
  it('is not touched by good water, and mends in it', () => {
    expect(stressOf(GOOD)).toBe(0)
    const day = shoalAfterDay({ condition: 0.8, alive: 10 }, 0)
    expect(day.condition).toBeGreaterThan(0.8)
    expect(day.alive).toBe(10)
  })

  it.each([
    ['nh3', STRESSORS.nh3.lethal],
    ['nitrite', STRESSORS.nitrite.lethal],
    ['oxygen', STRESSORS.oxygen.lethal],
    ['chlorine', STRESSORS.chlorine.lethal],
  ] as const)('ends at a lethal level of %s: within four days half or more are dead', (what, level) => {
    const stress = stressOf({ ...GOOD, [what]: level })
    expect(stress).toBe(1)
    let shoal = { condition: 1, alive: 100 }
    for (let day = 0; day < 4; day++) shoal = shoalAfterDay(shoal, stress)
    expect(shoal.alive).toBeLessThanOrEqual(50)
  })

  it('suffers less nitrite in salted water', () => {
    expect(stressOf({ ...GOOD, nitrite: 4, saltMgL: 1000 })).toBeLessThan(0.3 * stressOf({ ...GOOD, nitrite: 4 }))
  })

  it('worsens with every stressor, and no stress makes fish', () => {
    const level = (max: number) => fc.double({ min: 0, max, noNaN: true })
    fc.assert(
      fc.property(level(2), level(10), level(12), level(0.5), level(2), (nh3, nitrite, oxygen, chlorine, more) => {
        const water = { nh3, nitrite, oxygen, chlorine, saltMgL: 0 }
        const stress = stressOf(water)
        expect(stress >= 0 && stress <= 1).toBe(true)
        expect(stressOf({ ...water, nh3: nh3 + more })).toBeGreaterThanOrEqual(stress)
        expect(stressOf({ ...water, nitrite: nitrite + more })).toBeGreaterThanOrEqual(stress)
        expect(stressOf({ ...water, oxygen: oxygen + more })).toBeLessThanOrEqual(stress)
        expect(shoalAfterDay({ condition: 0.5, alive: 7 }, stress).alive).toBeLessThanOrEqual(7)
      }),
    )
  })

  it('leaves its food below 3 mg/L of oxygen, above 0.2 of ammonia, 2 of nitrite without salt, or in hot water', () => {
    const fine = { ...GOOD, tempC: 20 }
    expect(takesOfMeal(fine)).toBe(1)
    expect(takesOfMeal({ ...fine, oxygen: 3 })).toBe(0)
    expect(takesOfMeal({ ...fine, oxygen: 0.1 })).toBe(0)
    expect(takesOfMeal({ ...fine, nh3: 0.2 })).toBe(0)
    expect(takesOfMeal({ ...fine, nitrite: 2 })).toBe(0)
    expect(takesOfMeal({ ...fine, nitrite: 2, saltMgL: 1000 })).toBe(1)
    expect(takesOfMeal({ ...fine, tempC: 34 })).toBe(0)
    expect(takesOfMeal({ ...fine, oxygen: 3.75 })).toBeCloseTo(0.5, 9)
  })

  it('gets used to a little that lasts, and not to much', () => {
    const after = (stress: number, days: number) => {
      let shoal = { condition: 1, alive: 100 }
      for (let day = 0; day < days; day++) shoal = shoalAfterDay(shoal, stress)
      return shoal
    }
    expect(after(0.08, 200).alive).toBe(100)
    expect(after(0.08, 200).condition).toBeCloseTo(1 - (0.3 * 0.08) / 0.06, 3)
    expect(after(0.3, 60).alive).toBeLessThan(50)
  })

  it('names a stress that cannot be', () => {
    expect(() => shoalAfterDay({ condition: 1, alive: 1 }, Number.NaN)).toThrow(/stress/)
  })
})
