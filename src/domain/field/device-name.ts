const SYSTEMS: readonly (readonly [RegExp, string])[] = [
  [/Android/i, 'Android phone or tablet'],
  [/iPhone/i, 'iPhone'],
  [/iPad/i, 'iPad'],
  [/Windows/i, 'Windows computer'],
  [/Macintosh|Mac OS/i, 'Mac'],
  [/Linux|X11/i, 'Linux computer'],
]
const BROWSERS: readonly (readonly [RegExp, string])[] = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrom(e|ium)\//, 'Chrome'],
  [/Safari\//, 'Safari'],
]

/** A device in words that its owner knows it by, from what its browser says of itself. */
export function deviceName(userAgent: string): string {
  const nameIn = (list: typeof SYSTEMS) => list.find(([pattern]) => pattern.test(userAgent))?.[1]
  return [nameIn(SYSTEMS), nameIn(BROWSERS)].filter(Boolean).join(', ') || 'Unknown device'
}
