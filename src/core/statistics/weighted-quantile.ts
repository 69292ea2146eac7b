export interface Weighted {
  readonly value: number
  readonly weight: number
}

/**
 * Value that a share of the weight lies at or below, joined by straight lines between the middles of the weights.
 * @param share 0..1
 * @returns NaN of nothing
 */
export function weightedQuantile(all: readonly Weighted[], share: number): number {
  const sorted = [...all].filter((w) => w.weight > 0).sort((a, b) => a.value - b.value)
  const total = sorted.reduce((sum, w) => sum + w.weight, 0)
  if (sorted.length === 0) return Number.NaN
  let before = 0
  let last: { at: number; value: number } | null = null
  for (const { value, weight } of sorted) {
    const at = (before + weight / 2) / total
    if (at >= share) return last ? last.value + ((value - last.value) * (share - last.at)) / (at - last.at) : value
    last = { at, value }
    before += weight
  }
  return last!.value
}
