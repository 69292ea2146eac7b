import { assertInRange, assertPositive } from '../../errors'

/**
 * Tanks in series and background of the recirculating model.
 * @source Kadlec & Wallace give P ≈ 3 for gravel beds; the background is what a test kit cannot see
 */
export const CLOSED_LOOP = { tanks: 3, backgroundMgL: 0.02 } as const

export interface ClosedLoop {
  readonly loadGPerD: number
  readonly flowM3PerH: number
  readonly bedVolumeM3: number
  /** First-order rate, 1/d. */
  readonly ratePerD: number
  /** Tanks in series that describe the bed's mixing. */
  readonly tanks: number
  readonly backgroundMgL: number
}

/**
 * Level a pond settles at when a bed treats it over and over.
 * η = 1 − (1 + k·V/(P·Q))^(−P); C = C* + L/(Q·η)
 * @returns removal per pass (0..1) and the steady concentration, mg/L
 * @throws {DomainError} flow, volume, rate or tanks not above 0
 * @source P-k-C* model, Kadlec & Wallace, Treatment Wetlands, 2nd ed.
 */
export function closedLoop(loop: ClosedLoop): { eta: number; concentrationMgL: number } {
  assertInRange('loadGPerD', loop.loadGPerD, [0, 1e7])
  assertPositive('flowM3PerH', loop.flowM3PerH)
  assertPositive('bedVolumeM3', loop.bedVolumeM3)
  assertPositive('ratePerD', loop.ratePerD)
  assertPositive('tanks', loop.tanks)
  assertInRange('backgroundMgL', loop.backgroundMgL, [0, 1e4])
  const flowM3PerD = loop.flowM3PerH * 24
  // log1p/expm1 keep a very small or very fast bed exact
  const eta = -Math.expm1(-loop.tanks * Math.log1p((loop.ratePerD * loop.bedVolumeM3) / (loop.tanks * flowM3PerD)))
  return { eta, concentrationMgL: loop.backgroundMgL + loop.loadGPerD / (flowM3PerD * eta) }
}
