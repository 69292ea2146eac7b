import { grownFish } from '../fish/load'
import { normalDeviate, seededRandom } from '../numeric/random'
import { koiPond } from '../../../tests/fixtures/design-pond'
import { designBands, SPREAD } from './bands'
import { evaluateDesign } from './design'
import type { DesignPond } from './design-input'
import { PUMP_CATALOGUE } from './flow/pump-catalogue'
import { DEFAULT_FILTER_RULES as rules } from './house-rules'
import { suggestDesign } from './suggest'

const bandsOf = (pond: DesignPond, type: 'lined-wetland' | 'none' = 'lined-wetland') => {
  const design = suggestDesign(pond, 'volume', rules, PUMP_CATALOGUE, type)
  const problem = { pond, design, rules, houseMethod: 'volume' as const, pumps: PUMP_CATALOGUE }
  const result = evaluateDesign(problem)
  return { result, bands: designBands(problem, result) }
}

describe('bands about a design', () => {
  it('hold the figure itself and are the same for the same design', () => {
    const { result, bands } = bandsOf(koiPond)
    for (const [[low, high], figure] of [
      [bands.worstTanMgL, result.worstTanMgL],
      [bands.flowM3PerH, result.flowM3PerH],
      [bands.flushDays!, result.flushDays],
      [bands.neededAreaM2, result.neededAreaM2],
    ] as const) {
      expect(low).toBeLessThan(figure)
      expect(high).toBeGreaterThan(figure)
    }
    expect(bandsOf(koiPond).bands).toEqual(bands)
  })
  it('are as wide as the survey is unsure, where the volume decides', () => {
    const width = (volumeSigmaShare: number) => {
      const [low, high] = bandsOf({ ...koiPond, volumeSigmaShare }).bands.neededAreaM2
      return (high - low) / (high + low)
    }
    expect(width(0.02)).toBeLessThan(0.05)
    // a normal spread of 12 % holds nine tenths within 1.645 of it
    expect(width(0.12)).toBeCloseTo(1.645 * 0.12, 1)
    expect(width(0.12)).toBeGreaterThan(3 * width(0.02))
  })
  it('rise without end where nothing treats the fish', () => {
    const crowded = { ...koiPond, fish: [{ species: 'koi' as const, count: 200, lengthM: 0.5 }] }
    expect(bandsOf(crowded, 'none').bands.worstTanMgL[1]).toBe(Infinity)
  })
})

describe('bands against surveys and constants drawn anew', () => {
  const RUNS = 240
  /** A pond as it may really be, and figures as they may really be, by another hand than the bands' own. */
  const truth = (seed: number, sigma: number) => {
    const random = seededRandom(seed)
    const about = (share: number) => Math.exp(share * normalDeviate(random) - share ** 2 / 2)
    const warmer = SPREAD.waterC * normalDeviate(random)
    const solids = about(SPREAD.solids)
    const [count, length] = [about(SPREAD.fishCount) * about(SPREAD.ration), about(SPREAD.fishLength)]
    const pond: DesignPond = {
      ...koiPond,
      volumeM3: koiPond.volumeM3 * about(sigma),
      // how large they will be is what is unsure, not how large they are
      fish: grownFish(koiPond.fish, rules.growthYears).map((f) => ({
        ...f,
        count: f.count * count,
        lengthM: f.lengthM * length,
      })),
      leafKgPerYear: koiPond.leafKgPerYear * solids,
      monthlyTempC: koiPond.monthlyTempC.map((tempC) => tempC + warmer),
    }
    const r20GPerM2D = rules.nitrification.r20GPerM2D * about(SPREAD.nitrification)
    return {
      pond,
      rules: {
        ...rules,
        growthYears: 0,
        feedProtein: rules.feedProtein * about(SPREAD.protein),
        nitrification: { ...rules.nitrification, r20GPerM2D },
        clogging: { ...rules.clogging, solidsPerFeed: rules.clogging.solidsPerFeed * solids },
      },
    }
  }
  it.each([
    ['volume', 0.12],
    ['nitrogen', 0.12],
    ['volume', 0.04],
  ] as const)('hold about nine tenths of them: sized by %s, volume known to %d', (method, sigma) => {
    const pond = { ...koiPond, volumeSigmaShare: sigma }
    const design = suggestDesign(pond, method, rules, PUMP_CATALOGUE)
    const given = { pond, design, rules, houseMethod: method, pumps: PUMP_CATALOGUE }
    const bands = designBands(given, evaluateDesign(given))
    const inside = { area: 0, tan: 0, flush: 0 }
    const within = (value: number, [low, high]: readonly [number, number]) => (value >= low && value <= high ? 1 : 0)
    for (let i = 0; i < RUNS; i++) {
      const result = evaluateDesign({ ...given, ...truth(1000 + i, sigma) })
      inside.area += within(result.neededAreaM2, bands.neededAreaM2) / RUNS
      inside.tan += within(result.worstTanMgL, bands.worstTanMgL) / RUNS
      inside.flush += within(result.flushDays, bands.flushDays!) / RUNS
    }
    for (const share of Object.values(inside)) {
      expect(share).toBeGreaterThan(0.84)
      expect(share).toBeLessThan(0.97)
    }
  })
})
