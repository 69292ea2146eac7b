import { lowTanRateMPerD, type Nitrification } from '../sizing/nitrification'
import type { Passed } from './capture'
import type { TrainUnit } from './train-unit'
import { UNIT_FACTS } from './unit-facts'

/**
 * Flow over a tower's plan that wets all of its media, m/h.
 * @source least hydraulic loading of trickling filters, about 100 m a day
 */
export const WETTING_M_PER_H = 4

/** Share of a unit's media that water reaches: towers want enough flow on their plan. */
export function wettedShare(unit: TrainUnit, flowM3PerH: number): number {
  if (unit.kind !== 'trickle-tower' || unit.heightM <= 0 || unit.mediaL <= 0) return 1
  const planM2 = unit.mediaL / 1000 / unit.heightM
  return Math.min(1, flowM3PerH / planM2 / WETTING_M_PER_H)
}

/** Surface of a unit's media that works at its flow, m². */
export const workingSurfaceM2 = ({ unit, flowM3PerH }: Passed): number =>
  unit.mediaL * UNIT_FACTS[unit.kind].mediaM2PerL * wettedShare(unit, flowM3PerH)

/** What nitrification goes by at a moment. */
export interface NitrifyingAt {
  readonly tempC: number
  /** Factor on all nitrification, for bands. */
  readonly rate: number
  readonly nitrification: Nitrification
}

/**
 * Share of its TAN that water loses in one pass through a unit: tanks in series at a first-order rate r20·θ^(T−20)/K.
 * @source as the bed, on the unit's own surface and with its own mixing
 */
export function passRemoval(passed: Passed, { tempC, rate, nitrification }: NitrifyingAt): number {
  const surfaceM2 = workingSurfaceM2(passed)
  if (surfaceM2 === 0 || passed.flowM3PerH <= 0) return 0
  const rateM3PerD = rate * surfaceM2 * lowTanRateMPerD(nitrification, tempC)
  const { tanks } = UNIT_FACTS[passed.unit.kind]
  return -Math.expm1(-tanks * Math.log1p(rateM3PerD / (tanks * passed.flowM3PerH * 24)))
}
