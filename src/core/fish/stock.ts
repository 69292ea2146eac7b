import { assertPositive } from '../errors'
import type { PondUse } from '../filter/house-rules'
import { fishMassKg, grownFish, type FishGroup } from './load'
import { FISH_SPECIES, type FishSpeciesKey } from './species'

type StockVerdict = 'fine' | 'full' | 'too-many'

interface StockLimit {
  readonly fineKgPerM3: number
  readonly maxKgPerM3: number
  readonly fineLitresPerCm: number
  readonly minLitresPerCm: number
}

/**
 * Fish that a system of each kind carries: kg per m³, comfortable and at most, and water for each centimetre of fish,
 * comfortable and
 * at least. Mass tells for large fish, length for many small ones.
 * @source trade rules of thumb
 */
const STOCK_LIMITS: Readonly<Record<PondUse, StockLimit>> = {
  wildlife: { fineKgPerM3: 0.1, maxKgPerM3: 0.3, fineLitresPerCm: 100, minLitresPerCm: 50 },
  'few-small-fish': { fineKgPerM3: 0.5, maxKgPerM3: 1, fineLitresPerCm: 30, minLitresPerCm: 15 },
  'many-fish': { fineKgPerM3: 1.2, maxKgPerM3: 2.5, fineLitresPerCm: 20, minLitresPerCm: 10 },
  koi: { fineKgPerM3: 2, maxKgPerM3: 4, fineLitresPerCm: 20, minLitresPerCm: 10 },
  swimming: { fineKgPerM3: 0.05, maxKgPerM3: 0.15, fineLitresPerCm: 200, minLitresPerCm: 100 },
}

export interface StockDensity {
  readonly massKg: number
  readonly kgPerM3: number
  /** Water for each centimetre of fish, the trade's measure; Infinity without fish. */
  readonly litresPerCm: number
  readonly verdict: StockVerdict
  /** Share of the fish that would have to go to come down to the most the system carries. */
  readonly toRehome: number
}

/**
 * How full a pond is, by mass and by length: the worse of the two counts.
 * @param volumeM3 adopted volume of the pond
 */
export function stockDensity(fish: readonly FishGroup[], volumeM3: number, use: PondUse): StockDensity {
  assertPositive('volumeM3', volumeM3)
  const massKg = fish.reduce((sum, f) => sum + f.count * fishMassKg(f.species, f.lengthM), 0)
  const lengthCm = fish.reduce((sum, f) => sum + f.count * f.lengthM * 100, 0)
  const count = fish.reduce((sum, f) => sum + f.count, 0)
  const kgPerM3 = massKg / volumeM3
  const litresPerCm = lengthCm > 0 ? (volumeM3 * 1000) / lengthCm : Infinity
  const { fineKgPerM3, maxKgPerM3, fineLitresPerCm, minLitresPerCm } = STOCK_LIMITS[use]
  const full = Math.max(kgPerM3 / fineKgPerM3, fineLitresPerCm / litresPerCm)
  const over = Math.max(kgPerM3 / maxKgPerM3, minLitresPerCm / litresPerCm)
  const verdict = () => {
    if (full <= 1) return 'fine'
    if (over <= 1) return 'full'
    return 'too-many'
  }
  return {
    massKg,
    kgPerM3,
    litresPerCm,
    verdict: verdict(),
    toRehome: over > 1 ? Math.ceil(count * (1 - 1 / over)) : 0,
  }
}

/** The same now and in some years. */
export const stockOutlook = (fish: readonly FishGroup[], volumeM3: number, use: PondUse, years: number) => ({
  now: stockDensity(fish, volumeM3, use),
  grown: stockDensity(grownFish(fish, years), volumeM3, use),
})

export type WinterPlace = 'stays' | 'at-risk' | 'comes-in'

/**
 * Water deeper than this keeps about 3 °C at its bottom under ice when it is left unstirred.
 * @source density maximum of water; trade rule for depth
 */
const WINTER_REFUGE = { depthM: 0.8, bottomC: 3 } as const
const RISK_C = 3

/** Which kinds can stay out over winter, by the coldest month's water and whether the pond has a deep refuge. */
export function winterPlaces(
  fish: readonly FishGroup[],
  coldestMonthC: number,
  maxDepthM: number,
): { species: FishSpeciesKey; place: WinterPlace }[] {
  const refugeC = maxDepthM >= WINTER_REFUGE.depthM ? Math.max(coldestMonthC, WINTER_REFUGE.bottomC) : coldestMonthC
  const kinds = [...new Set(fish.filter((f) => f.count > 0).map((f) => f.species))]
  return kinds.map((species) => {
    const short = FISH_SPECIES[species].winterToC - refugeC
    const place = () => {
      if (short <= 0) return 'stays'
      if (short <= RISK_C) return 'at-risk'
      return 'comes-in'
    }
    return { species, place: place() }
  })
}
