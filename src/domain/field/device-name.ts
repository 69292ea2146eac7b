/** Kinds of devices; those that go by their maker's name are named by it. */
const SYSTEMS = [
  [/Android/i, { kind: 'android' }],
  [/iPhone/i, 'iPhone'],
  [/iPad/i, 'iPad'],
  [/Windows/i, { kind: 'windows' }],
  [/Macintosh|Mac OS/i, 'Mac'],
  [/Linux|X11/i, { kind: 'linux' }],
] as const
const BROWSERS = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrom(e|ium)\//, 'Chrome'],
  [/Safari\//, 'Safari'],
] as const

/** What a device is, by what its browser says of itself; undefined where it says nothing that is known. */
export const deviceParts = (userAgent: string) => ({
  system: SYSTEMS.find(([pattern]) => pattern.test(userAgent))?.[1],
  browser: BROWSERS.find(([pattern]) => pattern.test(userAgent))?.[1],
})
