import fc from 'fast-check'
import {
  ammoniaBand,
  ammoniaFraction,
  dechlorinatorPortions,
  ghDoseG,
  GRAMS_PER_M3,
  judgeReading,
  khDoseG,
  oxygenSaturationMgL,
  readingBand,
  saltDoseKg,
  chloramineAmmoniaMgL,
  thiosulfateDoseG,
  unionisedAmmonia,
  waterChanges,
} from '.'

describe('ammonia', () => {
  // Emerson et al. 1975, table of percent un-ionised ammonia
  it.each([
    [7, 10, 0.186],
    [8, 20, 3.82],
    [8.5, 20, 11.2],
    [9, 25, 36.3],
    [7.5, 15, 0.859],
  ])('agrees with the published table at pH %d and %d °C', (ph, tempC, percent) => {
    expect(ammoniaFraction(ph, tempC) * 100).toBeCloseTo(percent, percent > 10 ? 0 : 1)
  })
  it('bands by the toxic share', () => {
    expect(unionisedAmmonia(1, 7, 10).band).toBe('fine')
    expect([0.019, 0.02, 0.05, 0.051, 0.2, 0.21].map(ammoniaBand)).toEqual([
      'fine',
      'watch',
      'watch',
      'act',
      'act',
      'emergency',
    ])
  })
  it('grows with pH and with warmth', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 10, noNaN: true }), fc.double({ min: 0, max: 35, noNaN: true }), (ph, t) => {
        expect(ammoniaFraction(ph + 0.2, t)).toBeGreaterThan(ammoniaFraction(ph, t))
        expect(ammoniaFraction(ph, t + 1)).toBeGreaterThan(ammoniaFraction(ph, t))
      }),
    )
  })
  it('refuses NaN and impossible pH', () => {
    expect(() => ammoniaFraction(Number.NaN, 20)).toThrow('ph')
    expect(() => unionisedAmmonia(1, 15, 20)).toThrow('ph')
  })
})

describe('dissolved oxygen', () => {
  // Benson & Krause 1984 as tabled in APHA 4500-O
  it.each([
    [0, 14.62],
    [5, 12.77],
    [10, 11.29],
    [15, 10.08],
    [20, 9.09],
    [25, 8.26],
    [30, 7.56],
    [35, 6.95],
  ])('is the tabled saturation at %d °C', (tempC, mgL) => expect(oxygenSaturationMgL(tempC)).toBeCloseTo(mgL, 2))
  it('falls by about a tenth in 900 m', () =>
    expect(oxygenSaturationMgL(20, 900) / oxygenSaturationMgL(20)).toBeCloseTo(0.898, 2))
})

describe('doses', () => {
  it('follow from molar masses: 1 °d is 0.35663 meq/L', () => {
    expect(GRAMS_PER_M3.sodiumBicarbonatePerDKH / (0.35663 * 84.007)).toBeCloseTo(1, 3)
    expect(GRAMS_PER_M3.calciumChlorideDihydratePerDGH / ((0.35663 / 2) * 147.01)).toBeCloseTo(1, 2)
    expect(GRAMS_PER_M3.magnesiumSulfateHeptahydratePerDGH / ((0.35663 / 2) * 246.47)).toBeCloseTo(1, 2)
    expect(GRAMS_PER_M3.thiosulfatePentahydratePerGramChlorine / ((2 * 248.18) / 70.906)).toBeCloseTo(1, 2)
  })
  it('scale with volume and rise', () => {
    expect(khDoseG(10, 3, 5)).toBeCloseTo(10 * 2 * 29.96, 9)
    expect(ghDoseG(2, 4, 8, 0.75)).toEqual({
      calciumChlorideDihydrateG: 2 * 4 * 0.75 * 26.2,
      magnesiumSulfateHeptahydrateG: 2 * 4 * 0.25 * 43.95,
    })
    expect(saltDoseKg(5, 0, 0.1)).toBeCloseTo(5, 12)
    expect(thiosulfateDoseG(3, 0.5)).toBeCloseTo(10.5, 12)
    // one nitrogen (14.007) for each Cl2 (2 × 35.453) that monochloramine is measured as
    expect(chloramineAmmoniaMgL(2)).toBeCloseTo((2 * 14.007) / (2 * 35.453), 12)
    expect(() => chloramineAmmoniaMgL(-1)).toThrow(/combinedMgL/)
  })
  it('refuse to lower a figure', () => expect(() => khDoseG(1, 6, 5)).toThrow('toDKH'))
})

describe('dechlorinator portions', () => {
  it('are 2 to 8 and add up', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        fc.double({ min: 0.3, max: 8, noNaN: true }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (volumeM3, hoseM3PerH, riseM) => {
          const p = dechlorinatorPortions({ volumeM3, hoseM3PerH, riseM, freeChlorineMgL: 0.6 })
          expect(p.count).toBeGreaterThanOrEqual(2)
          expect(p.count).toBeLessThanOrEqual(8)
          expect(p.count * p.portionG).toBeCloseTo(thiosulfateDoseG(volumeM3, 0.6), 6)
        },
      ),
    )
  })
})

describe('water changes', () => {
  it('count thirds until the target is reached', () => {
    const { count, afterEach } = waterChanges(60, 5, 25, 1 / 3)
    expect(count).toBe(3)
    afterEach.forEach((level, i) => expect(level).toBeCloseTo(5 + 55 * (2 / 3) ** (i + 1), 9))
  })
  it('need none where the target is met, and refuse one the source cannot reach', () => {
    expect(waterChanges(20, 5, 20, 0.3)).toEqual({ count: 0, afterEach: [] })
    expect(() => waterChanges(60, 30, 25, 0.3)).toThrow('target')
  })
})

describe('readings', () => {
  it('tell impossible from unlikely', () => {
    expect(['possible', 'unlikely', 'impossible']).toEqual([
      judgeReading('ph', 7.4),
      judgeReading('ph', 10),
      judgeReading('ph', 74),
    ])
    expect(judgeReading('tan', Number.NaN)).toBe('impossible')
  })
  it('band oxygen downwards and nitrite upwards', () => {
    expect([8, 6, 4, 2].map((v) => readingBand('dissolvedOxygen', v))).toEqual(['fine', 'watch', 'act', 'emergency'])
    expect([0.05, 0.2, 0.6, 2].map((v) => readingBand('nitrite', v))).toEqual(['fine', 'watch', 'act', 'emergency'])
  })
})
