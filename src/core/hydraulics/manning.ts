import { assertInRange, assertPositive } from '../errors'
import { PIPE_RANGE } from './pipe'

const MANNING_RANGE = { n: [0.005, 0.1], slope: [0, 1], fill: [0, 1] } as const

/** Smooth plastic pipe running part full. @source any open-channel table: 0.009–0.011 */
const PLASTIC_PIPE_N = 0.01

/**
 * Flow of a round pipe running part full under gravity, m³/h: Q = (1/n)·A·R^(2/3)·√S.
 * @param fill depth of water over diameter, 0..1
 * @param slope fall over length, m/m
 * @throws {DomainError} a figure out of range
 * @source Manning 1891; segment geometry of a circle
 */
export function partFullFlowM3PerH(diameterM: number, slope: number, fill: number, n: number = PLASTIC_PIPE_N): number {
  assertPositive('diameterM', diameterM)
  assertInRange('diameterM', diameterM, PIPE_RANGE.diameterM)
  assertInRange('slope', slope, MANNING_RANGE.slope)
  assertInRange('fill', fill, MANNING_RANGE.fill)
  assertInRange('n', n, MANNING_RANGE.n)
  if (fill === 0) return 0
  const angle = 2 * Math.acos(1 - 2 * fill)
  const areaM2 = (diameterM ** 2 / 8) * (angle - Math.sin(angle))
  const wettedM = (diameterM * angle) / 2
  return (areaM2 * (areaM2 / wettedM) ** (2 / 3) * Math.sqrt(slope) * 3600) / n
}
