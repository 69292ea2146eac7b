import { LEAK_CASES, leakRates, leakReliability } from './leaks'

const PONDS = 60

describe('a leak or not, over ponds whose losses are known', () => {
  for (const [name, trial] of Object.entries(LEAK_CASES).filter(([, { leaks }]) => leaks === 'none'))
    it(`no more than 5 % false alarms: ${name}`, () => expect(leakRates(trial, PONDS).called).toBeLessThanOrEqual(0.05))
  for (const [name, trial] of Object.entries(LEAK_CASES).filter(([, { leaks }]) => leaks !== 'none'))
    it(`is found, or the look that would decide is asked for: ${name}`, () => {
      const { called, open } = leakRates(trial, PONDS)
      expect(called + open).toBeGreaterThan(0.9)
      expect(called).toBeGreaterThan(trial.leaks === 'shell' ? 0.9 : 0.25)
    })
  it('what is said to be likely comes true as often', () => {
    for (const { said, cases, leaked } of leakReliability(1200).filter((bin) => bin.cases >= 30))
      expect(Math.abs(leaked / cases - said)).toBeLessThan(0.1)
  })
})
