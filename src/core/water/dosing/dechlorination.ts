import { assertInRange, assertPositive } from '../../errors'
import { thiosulfateDoseG } from './doses'
import { portions } from './portions'

export interface RefillPlan {
  readonly volumeM3: number
  readonly hoseM3PerH: number
  /** Depth that the refill covers, m. */
  readonly riseM: number
  readonly freeChlorineMgL: number
}

/** Dechlorinator of a refill as chemistry asks for it; the firm's product and its measure say how it is given. */
export interface Portions {
  readonly count: number
  readonly everyMinutes: number
  readonly everyRiseM: number
  readonly portionG: number
  readonly totalG: number
}

/**
 * Dechlorinator for tap water in portions as the pond fills, so that no fill is untreated for long.
 * @throws {DomainError} volume, hose flow or rise not above 0, chlorine out of range
 */
export function dechlorinatorPortions(plan: RefillPlan): Portions {
  assertPositive('hoseM3PerH', plan.hoseM3PerH)
  assertPositive('riseM', plan.riseM)
  assertInRange('freeChlorineMgL', plan.freeChlorineMgL, [0, 20])
  const totalG = thiosulfateDoseG(plan.volumeM3, plan.freeChlorineMgL)
  const minutes = (plan.volumeM3 / plan.hoseM3PerH) * 60
  const count = Math.max(1, portions(totalG, plan.riseM * 1000, Math.min(minutes, 20_000)).length)
  return { count, everyMinutes: minutes / count, everyRiseM: plan.riseM / count, portionG: totalG / count, totalG }
}
