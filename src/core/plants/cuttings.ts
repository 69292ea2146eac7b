import { assertInRange } from '../errors'

/**
 * What a bucket of fresh cuttings carries.
 * @source treatment-wetland handbooks: 80–90 % water, 1.5–3 % N and 0.2–0.4 % P of dry mass
 */
export const CUTTINGS = {
  bucketM3: 0.01,
  /** Loosely pressed, kg of fresh mass per m³. */
  freshKgPerM3: 220,
  dryShare: 0.15,
  nitrogenShare: 0.02,
  phosphorusShare: 0.003,
} as const

export interface NutrientsOut {
  readonly freshKg: number
  readonly nitrogenG: number
  readonly phosphorusG: number
}

/**
 * Nitrogen and phosphorus that cuttings carry out of a pond.
 * @param buckets ten-litre buckets that were taken away
 * @throws {DomainError} negative or NaN
 */
export function nutrientsOut(buckets: number): NutrientsOut {
  assertInRange('buckets', buckets, [0, 1e5])
  const freshKg = buckets * CUTTINGS.bucketM3 * CUTTINGS.freshKgPerM3
  const dryG = freshKg * CUTTINGS.dryShare * 1000
  return { freshKg, nitrogenG: dryG * CUTTINGS.nitrogenShare, phosphorusG: dryG * CUTTINGS.phosphorusShare }
}
