import { assertInRange } from '../errors'
import type { PumpPoint } from './pump'

/** Alike pumps working together at one speed. */
export interface PumpSet {
  readonly arrangement: 'single' | 'parallel' | 'series'
  readonly count: number
  /** Speed over full speed. */
  readonly speed: number
}

export const PUMP_SET_RANGE = { count: [1, 4], speed: [0.3, 1] } as const

const working = ({ arrangement, count }: PumpSet): { wide: number; tall: number } => ({
  wide: arrangement === 'parallel' ? count : 1,
  tall: arrangement === 'series' ? count : 1,
})

/**
 * One curve for a set of alike pumps: flows add in parallel, heads in series; affinity laws Q ∝ n, H ∝ n².
 * @throws {DomainError} count or speed out of PUMP_SET_RANGE
 * @source Affinity laws, any pump handbook
 */
export function pumpSetCurve(curve: readonly PumpPoint[], set: PumpSet): PumpPoint[] {
  assertInRange('count', set.count, PUMP_SET_RANGE.count)
  assertInRange('speed', set.speed, PUMP_SET_RANGE.speed)
  const { wide, tall } = working(set)
  return curve.map((p) => ({ flowM3PerH: p.flowM3PerH * set.speed * wide, headM: p.headM * set.speed ** 2 * tall }))
}

/**
 * Electric power of the set, W: rated power × n³ for each pump that runs. Drives and motors lose more at low speed;
 * that is left out.
 */
export const pumpSetPowerW = (ratedW: number, set: PumpSet): number =>
  ratedW * set.speed ** 3 * (set.arrangement === 'single' ? 1 : set.count)

/** Range the set is meant for, m³/h. */
export const pumpSetRange = ([min, max]: readonly [number, number], set: PumpSet): [number, number] => {
  const { wide } = working(set)
  return [min * set.speed * wide, max * set.speed * wide]
}
