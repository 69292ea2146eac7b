/**
 * Share of Student's t with four degrees of freedom below t: what the error of a test is taken to follow, so that
 * one slip of the pen does not carry a forecast away.
 * @source closed form for ν = 4; Lange, Little & Taylor 1989 for t errors with a fixed low ν
 */
export function tShareBelow(t: number): number {
  if (t === Infinity) return 1
  if (t === -Infinity) return 0
  const s = 1 + (t * t) / 4
  return 0.5 + (3 / 8) * (t / Math.sqrt(s)) * (1 - (t * t) / (12 * s))
}

/** Density of the same. */
export const tDensity = (t: number): number => (3 / 8) * (1 + (t * t) / 4) ** -2.5
