import { DURATION_CASES, durationRates } from './durations'

const FIRMS = 25

describe('durations of firms whose hands are known', () => {
  for (const [name, trial] of Object.entries(DURATION_CASES))
    it(`are held by what is said of four in five: ${name}`, () => {
      const { held, tookOverPlanned } = durationRates(trial, FIRMS)
      expect(held).toBeGreaterThanOrEqual(0.75)
      expect(held).toBeLessThanOrEqual(0.88)
      expect(Math.abs(tookOverPlanned - 1)).toBeLessThan(0.1)
    })
})
