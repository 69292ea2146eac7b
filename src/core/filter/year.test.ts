import fc from 'fast-check'
import { grownFish } from '../fish/load'
import { NO_GUESTS } from './load/guests'
import type { DesignPond } from './design-input'
import { evaluateDesign } from './design'
import { PUMP_CATALOGUE } from './flow/pump-catalogue'
import { suggestDesign } from './suggest'
import { DEFAULT_LAYERS, treatingGravel } from './bed/layers'
import { DEFAULT_FILTER_RULES as rules, POND_USES, SIZING_METHODS } from './house-rules'
import { sizeThroughYear } from './sizing/yearly-sizing'

const pond: DesignPond = {
  volumeM3: 15,
  areaM2: 20,
  use: 'many-fish',
  fish: [{ species: 'goldfish', count: 30, lengthM: 0.15 }],
  guests: NO_GUESTS,
  fillPhosphateMgL: 0.02,
  lining: 'liner',
  volumeSigmaShare: 0.12,
  shoreM: 18.2,
  altitudeM: 20,
  monthlyTempC: [3, 4, 7, 11, 15, 19, 21, 20, 16, 11, 7, 4],
  leafKgPerYear: 4,
  freeboardM: 0.1,
  ground: null,
}
const bed = treatingGravel(DEFAULT_LAYERS, rules.materials)

describe('sizing through the year', () => {
  const year = sizeThroughYear(pond, pond.fish, bed, rules)
  it('feeds nothing in cold months and most in warm ones', () => {
    expect(year.months.map((m) => m.feedKgPerD > 0)).toEqual(
      [3, 4, 7, 11, 15, 19, 21, 20, 16, 11, 7, 4].map((t) => t >= 8),
    )
    expect(year.feedKgPerYear).toBeGreaterThan(0)
  })
  it('lets the month that asks most govern each school', () => {
    for (const [i, sizingMethod] of SIZING_METHODS.entries())
      expect(year.sizingMethods[i]!.areaM2).toBe(
        Math.max(...year.months.map((m) => m.sizingMethods.find((s) => s.sizingMethod === sizingMethod)!.areaM2)),
      )
  })
  it('takes water under ice as 0 °C', () => {
    const frozen = sizeThroughYear(
      { ...pond, monthlyTempC: pond.monthlyTempC.map((t) => t - 8) },
      pond.fish,
      bed,
      rules,
    )
    expect(frozen.months[0]!.tempC).toBe(0)
    expect(Number.isFinite(frozen.sizingMethods[3]!.areaM2)).toBe(true)
  })
  it('asks at least as much of grown fish as of today’s, by every school', () => {
    const grown = sizeThroughYear(pond, grownFish(pond.fish, 4), bed, rules)
    year.sizingMethods.forEach((s, i) => expect(grown.sizingMethods[i]!.areaM2).toBeGreaterThanOrEqual(s.areaM2 - 1e-9))
  })
})

describe('a bed to begin with', () => {
  it.each(POND_USES.flatMap((use) => SIZING_METHODS.map((sizingMethod) => [use, sizingMethod] as const)))(
    'for %s by %s is large enough and can be built',
    (use, sizingMethod) => {
      const design = suggestDesign({ ...pond, use }, sizingMethod, rules, PUMP_CATALOGUE)
      const result = evaluateDesign({
        pond: { ...pond, use },
        design,
        rules,
        houseMethod: sizingMethod,
        pumps: PUMP_CATALOGUE,
      })
      expect(result.areaM2).toBeGreaterThanOrEqual(result.neededAreaM2 * 0.999)
      expect((design.lengthM * 4) % 1).toBeCloseTo(0, 9)
      expect((design.widthM * 4) % 1).toBeCloseTo(0, 9)
      expect(result.duty.status).not.toBe('no-flow')
    },
  )
  it('never answers with something that cannot be drawn, whatever the pond', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 400, noNaN: true }),
        fc.double({ min: 0.2, max: 300, noNaN: true }),
        fc.integer({ min: 0, max: 60 }),
        fc.double({ min: 0.03, max: 0.7, noNaN: true }),
        (volumeM3, areaM2, count, lengthM) => {
          const any = {
            ...pond,
            volumeM3,
            areaM2,
            fish: count > 0 ? [{ species: 'koi' as const, count, lengthM }] : [],
          }
          const design = suggestDesign(any, 'nitrogen', rules, PUMP_CATALOGUE)
          const result = evaluateDesign({ pond: any, design, rules, houseMethod: 'volume', pumps: PUMP_CATALOGUE })
          for (const figure of [
            result.areaM2,
            result.depthM,
            result.flowM3PerH,
            result.head.totalM,
            result.cleanLossMm,
            result.uniformity,
            result.stop.drainBackM3,
            result.worstTanMgL,
          ])
            expect(Number.isFinite(figure)).toBe(true)
          expect(result.uniformity).toBeGreaterThanOrEqual(0)
          expect(result.uniformity).toBeLessThanOrEqual(1)
        },
      ),
      { numRuns: 60 },
    )
  })
})
