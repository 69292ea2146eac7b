import fc from 'fast-check'
import {
  carbonateConstants,
  carbonDioxideMgL,
  carbonDioxideShare,
  hydrogenMolL,
  inorganicCarbonMgL,
  phOf,
} from './carbonate'

describe('carbonate equilibrium', () => {
  it.each([
    [0, 6.579, 10.629, 14.944],
    [10, 6.464, 10.49, 14.535],
    [20, 6.381, 10.377, 14.167],
    [25, 6.352, 10.329, 13.995],
    [30, 6.327, 10.29, 13.833],
  ])('has the published constants at %s °C', (tempC, pK1, pK2, pKw) => {
    const { k1, k2, kw } = carbonateConstants(tempC)
    expect(-Math.log10(k1)).toBeCloseTo(pK1, 1)
    expect(Math.abs(-Math.log10(k1) - pK1)).toBeLessThan(0.01)
    expect(Math.abs(-Math.log10(k2) - pK2)).toBeLessThan(0.01)
    expect(Math.abs(-Math.log10(kw) - pKw)).toBeLessThan(0.02)
  })

  it('gives pure water its neutral pH', () => expect(phOf(0, 0, 25)).toBeCloseTo(7, 1))

  it('gives water of 100 mg/L hardness in balance with air a pH of about 8.3', () => {
    // 13.6 µmol/L CO2 at 25 °C and 400 ppm, Stumm & Morgan
    const ph = 8.28
    expect(carbonDioxideMgL(100, ph, 25)).toBeCloseTo(0.6, 0)
  })

  // 1.427 mmol/L bicarbonate × 10^(6.354 − 7) × 44.01; the fish-keepers’ table says 12 with an older constant
  it('finds 14 mg/L of CO2 in water of KH 4 and pH 7', () =>
    expect(carbonDioxideMgL(4 * 17.848, 7, 25)).toBeCloseTo(14.2, 0))

  it('finds back the pH that the carbon was worked out from', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5.5, max: 10, noNaN: true }),
        fc.double({ min: 5, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 35, noNaN: true }),
        (ph, alkalinity, tempC) => {
          const carbon = inorganicCarbonMgL(alkalinity, ph, tempC)
          fc.pre(carbon > 0.01)
          expect(phOf(alkalinity, carbon, tempC)).toBeCloseTo(ph, 2)
        },
      ),
      { seed: 3 },
    )
  })

  it('turns sour as carbon rises, whatever the guess', () => {
    const constants = carbonateConstants(15)
    const h = [5, 20, 60, 200].map((carbon) => hydrogenMolL(constants, 80, carbon, 1e-9))
    expect([...h].sort((a, b) => a - b)).toEqual(h)
    expect(hydrogenMolL(constants, 80, 60, 1e-5)).toBeCloseTo(h[2]!, 11)
    expect(carbonDioxideShare(constants, 1e-5)).toBeGreaterThan(0.9)
  })

  it('refuses a pH that no pond has', () => expect(() => inorganicCarbonMgL(100, 2, 20)).toThrow(/ph/))
})
