/**
 * Quantile of sorted values with linear interpolation between order statistics.
 * @param share 0..1
 * @source Hyndman & Fan 1996, type 7
 */
export function quantileOfSorted(sorted: ArrayLike<number>, share: number): number {
  if (sorted.length === 0) return Number.NaN
  const position = (sorted.length - 1) * share
  const below = Math.floor(position)
  const above = Math.min(below + 1, sorted.length - 1)
  return sorted[below]! + (sorted[above]! - sorted[below]!) * (position - below)
}
