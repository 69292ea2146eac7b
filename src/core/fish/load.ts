import { assertInRange } from '../errors'
import { FISH_SPECIES, type FishSpeciesKey } from './species'

export interface FishGroup {
  readonly species: FishSpeciesKey
  readonly count: number
  readonly lengthM: number
}

export const FISH_RANGE = { count: [0, 100_000], lengthM: [0.005, 2], tempC: [-1, 45], protein: [0.05, 0.7] } as const

/**
 * Ration, share of body mass a day, by water temperature.
 * @source house default; steps as the trade's feeding charts give them
 */
const RATION_STEPS: readonly { readonly fromC: number; readonly share: number }[] = [
  { fromC: -Infinity, share: 0 },
  { fromC: 8, share: 0.002 },
  { fromC: 12, share: 0.006 },
  { fromC: 18, share: 0.013 },
  { fromC: 26, share: 0.01 },
  { fromC: 30.0001, share: 0.005 },
]

/**
 * TAN per kg feed per unit protein fraction.
 * @source Timmons & Ebeling, Recirculating Aquaculture: P_TAN = F·PC·0.092
 */
export const TAN_PER_FEED_PROTEIN = 0.092

/** Ration at a water temperature, share of body mass a day. */
export const rationShare = (tempC: number): number => RATION_STEPS.findLast((step) => tempC >= step.fromC)?.share ?? 0

/** Mass of one fish, kg: a·L³. */
export const fishMassKg = (species: FishSpeciesKey, lengthM: number): number =>
  (FISH_SPECIES[species].massFactor * (lengthM * 100) ** 3) / 1000

/**
 * What a stock weighs, eats and gives off.
 * @param protein of the feed, as a fraction (0.35 = 35 %)
 * @returns mass kg; feed and TAN, g per day
 * @throws {DomainError} a figure outside FISH_RANGE
 */
export function fishLoad(
  fish: readonly FishGroup[],
  tempC: number,
  protein: number,
): { massKg: number; feedGPerD: number; tanGPerD: number } {
  assertInRange('tempC', tempC, FISH_RANGE.tempC)
  assertInRange('protein', protein, FISH_RANGE.protein)
  const massKg = fish.reduce((sum, group, i) => {
    assertInRange(`fish.${i}.count`, group.count, FISH_RANGE.count)
    assertInRange(`fish.${i}.lengthM`, group.lengthM, FISH_RANGE.lengthM)
    return sum + group.count * fishMassKg(group.species, group.lengthM)
  }, 0)
  const feedGPerD = massKg * 1000 * rationShare(tempC)
  return { massKg, feedGPerD, tanGPerD: feedGPerD * protein * TAN_PER_FEED_PROTEIN }
}

/**
 * The same stock some years on: L(t) = L∞ − (L∞ − L₀)e^(−kt). Fish already past the usual adult length stay as they
 * are.
 * @param years ≥ 0
 * @source von Bertalanffy 1938
 */
export function grownFish(fish: readonly FishGroup[], years: number): FishGroup[] {
  assertInRange('years', years, [0, 50])
  return fish.map((group) => {
    const { adultLengthM, growthPerYear } = FISH_SPECIES[group.species]
    const grown = adultLengthM - (adultLengthM - group.lengthM) * Math.exp(-growthPerYear * years)
    return { ...group, lengthM: Math.max(group.lengthM, grown) }
  })
}

/** Short-stay holding density for a cleanout, kg of fish per m³ of aerated tank. @source house default */
export const HOLDING_KG_PER_M3 = 10

/** Holding-tank volume for a stock, m³, and the least width so that the largest fish can turn, m. */
export function holdingTank(
  fish: readonly FishGroup[],
  kgPerM3 = HOLDING_KG_PER_M3,
): { volumeM3: number; minWidthM: number } {
  const massKg = fish.reduce((sum, group) => sum + group.count * fishMassKg(group.species, group.lengthM), 0)
  const longest = fish.reduce((max, group) => (group.count > 0 ? Math.max(max, group.lengthM) : max), 0)
  return { volumeM3: massKg / kgPerM3, minWidthM: 2 * longest }
}
