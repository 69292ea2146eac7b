import { SEASON_CASES, seasonRates } from './seasons'

const PONDS = 10
const MAY = 4
const OCTOBER = 9

describe('season bands of ponds whose truth is known', () => {
  for (const name of ['never calibrated', '40 readings'])
    it(`hold four of five days from May to October of years nobody had seen: ${name}`, () => {
      const { byMonth } = seasonRates(SEASON_CASES[name]!, PONDS)
      const open = byMonth.slice(MAY, OCTOBER + 1)
      const share = open.reduce((sum, m) => sum + m, 0) / open.length
      expect(share).toBeGreaterThan(0.74)
      expect(share).toBeLessThan(0.9)
    })
  it('a probe 3 °C low is found out in part, and carries no season away', () => {
    const { probeC, all } = seasonRates(SEASON_CASES['24 readings, the probe 3 °C low']!, PONDS)
    expect(probeC).toBeLessThan(-1)
    expect(all).toBeGreaterThan(0.7)
  })
})
