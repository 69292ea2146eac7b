/** A figure with its interval. */
export interface Estimate {
  readonly value: number
  readonly low: number
  readonly high: number
}

/** A share with its interval of 90 %; the count may hold parts. @source Wilson 1927 */
export function shareOf(count: number, of: number): Estimate {
  const z = 1.645
  const share = count / of
  const middle = (share + z ** 2 / (2 * of)) / (1 + z ** 2 / of)
  const half = (z / (1 + z ** 2 / of)) * Math.sqrt((share * (1 - share)) / of + z ** 2 / (4 * of ** 2))
  return { value: share, low: Math.max(0, middle - half), high: Math.min(1, middle + half) }
}
