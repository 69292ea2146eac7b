import { ECOSYSTEM_PARAMETERS } from '../ecosystem/parameters'
import { causeOf, type CauseKey } from './causes'

/** Expected water, °C, so many days from now. */
export type WaterAhead = (daysAhead: number) => number

/** Below this bacteria hardly grow: weeks become months. @source house practice, as for ordinary bacteria products */
export const BACTERIA_SLOW_C = 8
/** Warmth that the causes' days are of, °C. */
const STATED_C = 20
/** Later than this nothing is promised. */
const LATEST_DAYS = 365

/**
 * When it should look better: days from now, soonest and latest. Where bacteria must grow first, the stated days are
 * of water of 20 °C and each colder day counts for less.
 * @returns null where it does not mend by itself, or not within a year
 * @source Arrhenius factor of nitrifiers' growth as in the pond simulator (IWA models)
 */
export function betterDays(cause: CauseKey, waterAhead: WaterAhead): readonly [number, number] | null {
  const { betterDays: stated, byWarmth } = causeOf(cause)
  if (!stated || !byWarmth) return stated
  const theta = ECOSYSTEM_PARAMETERS.nitrifierTheta.value
  let grown = 0
  let soonest: number | null = stated[0] === 0 ? 0 : null
  for (let day = 0; day < LATEST_DAYS; day++) {
    grown += Math.min(1, theta ** (waterAhead(day) - STATED_C))
    if (soonest === null && grown >= stated[0]) soonest = day + 1
    if (soonest !== null && grown >= stated[1]) return [soonest, day + 1]
  }
  return null
}

/** Whether bacteria must grow in water that is too cold for it. */
export const slowedByCold = (cause: CauseKey, waterAhead: WaterAhead): boolean =>
  causeOf(cause).byWarmth === true && waterAhead(0) < BACTERIA_SLOW_C
