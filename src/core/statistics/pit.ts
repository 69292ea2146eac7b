/**
 * Where a test fell in what was forecast: shares of the forecast below its lower and its upper end; the same twice
 * where it is exact.
 */
export interface Placed {
  readonly low: number
  readonly high: number
}

/**
 * How much of a test lies inside a forecast's band: 1 or 0 for an exact one, a share for one that is only known to lie
 * between two steps. Over many tests the mean is what the band holds.
 * @param band the band as shares of the forecast
 * @source non-randomised probability integral transform, Czado, Gneiting & Held 2009
 */
export function insideShare({ low, high }: Placed, band: readonly [number, number] = [0.1, 0.9]): number {
  if (high - low < 1e-9) return low >= band[0] && low <= band[1] ? 1 : 0
  return Math.max(0, Math.min(high, band[1]) - Math.max(low, band[0])) / (high - low)
}
