import { koiPond } from '../../../tests/fixtures/design-pond'
import { designBands } from './bands'
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
