import { VOLUME_CASES, volumeRates } from './volumes'

const PONDS = 4000

describe('volumes of ponds whose truth is known', () => {
  for (const [name, trial] of Object.entries(VOLUME_CASES))
    it(`lie in their band of 80 % in at least 75 %: ${name}`, () => {
      const { held, blamed } = volumeRates(trial, PONDS)
      expect(held).toBeGreaterThanOrEqual(0.75)
      expect(blamed.wrongly).toBeLessThan(0.05)
    })
  it('sound measurements are not made useless by it', () => {
    expect(volumeRates(VOLUME_CASES['four ways, all sound']!, PONDS).sigmaShare).toBeLessThan(0.035)
    expect(volumeRates(VOLUME_CASES['shape and meter, both sound']!, PONDS).sigmaShare).toBeLessThan(0.11)
  })
  it('of several ways the one that is off is named', () =>
    expect(volumeRates(VOLUME_CASES['four ways, the meter 20 % high']!, PONDS).blamed.rightly).toBeGreaterThan(0.75))
})
