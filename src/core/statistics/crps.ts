/**
 * Continuous ranked probability score of an ensemble against what came: mean distance from it, less half the mean
 * distance of its members from one another; the absolute error where there is one member.
 * @returns in the values' unit, 0 the best
 * @source Gneiting & Raftery 2007, eq. 21; fair form of Ferro 2014 for n > 1
 */
export function crps(members: readonly number[], came: number): number {
  const n = members.length
  if (n === 0) return Number.NaN
  const sorted = [...members].sort((a, b) => a - b)
  const away = sorted.reduce((sum, m) => sum + Math.abs(m - came), 0) / n
  if (n === 1) return away
  // Σᵢⱼ|xᵢ − xⱼ| = 2 Σ (2i − n + 1) xᵢ over sorted values
  const apart = 2 * sorted.reduce((sum, m, i) => sum + (2 * i - n + 1) * m, 0)
  return away - apart / (2 * n * (n - 1))
}
