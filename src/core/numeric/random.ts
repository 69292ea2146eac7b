/** A source of uniform numbers in [0, 1), always handed in so that every run can be repeated. */
export type Random = () => number

/**
 * Small seeded generator (32-bit state, period about 4 billion): ample for weather years and sample data, not for
 * secrets.
 * @source Steele & Vigna's SplitMix family, 32-bit variant "mulberry32" (public domain)
 */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** Standard normal deviate by Box & Muller 1958. */
export function normalDeviate(random: Random): number {
  const u = 1 - random() // keep away from log(0)
  return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * random())
}
