import { normalShareBelow, Z90 } from './normal'

/** A spread that may reach further up than down, by its 10, 50 and 90 %. */
export interface Spread {
  readonly p10: number
  readonly p50: number
  readonly p90: number
}

/**
 * Share of a two-piece normal below a value, the band's own spread widened by what a test adds.
 * @param scatter standard deviation of the test, on the band's scale, above 0
 * @source two halves of normals that meet in the middle, Fechner 1897
 */
export function shareBelow({ p10, p50, p90 }: Spread, value: number, scatter: number): number {
  if (!Number.isFinite(value)) return value > 0 ? 1 : 0
  const half = value < p50 ? p50 - p10 : p90 - p50
  return normalShareBelow((value - p50) / Math.hypot(half / Z90, scatter))
}
