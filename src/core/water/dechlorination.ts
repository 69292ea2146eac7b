import { assertInRange, assertPositive } from '../errors'
import { thiosulfateDoseG } from './doses'

/** While filling, a portion is due at least at each of these. @source house practice: treat water as it comes in, not after */
export const PORTION_RULE = { riseM: 0.1, minutes: 10 } as const

export interface RefillPlan {
  readonly volumeM3: number
  readonly hoseM3PerH: number
  /** Depth that the refill covers, m. */
  readonly riseM: number
  readonly freeChlorineMgL: number
}

export interface Portions {
  readonly count: number
  readonly everyMinutes: number
  readonly everyRiseM: number
  readonly portionG: number
  readonly totalG: number
}

/**
 * Dechlorinator for tap water in portions as the pond fills, so that no fill is untreated for long.
 * @returns equal portions: one at least each PORTION_RULE.riseM of rise and each PORTION_RULE.minutes
 * @throws {DomainError} volume, hose flow or rise not above 0, chlorine out of range
 */
export function dechlorinatorPortions(plan: RefillPlan): Portions {
  assertPositive('hoseM3PerH', plan.hoseM3PerH)
  assertPositive('riseM', plan.riseM)
  assertInRange('freeChlorineMgL', plan.freeChlorineMgL, [0, 20])
  const totalG = thiosulfateDoseG(plan.volumeM3, plan.freeChlorineMgL)
  const minutes = (plan.volumeM3 / plan.hoseM3PerH) * 60
  const count = Math.max(1, Math.ceil(plan.riseM / PORTION_RULE.riseM - 1e-9), Math.ceil(minutes / PORTION_RULE.minutes - 1e-9))
  return { count, everyMinutes: minutes / count, everyRiseM: plan.riseM / count, portionG: totalG / count, totalG }
}
