/** What is measured at a pond. One row here is all that a new kind of reading needs. */
export interface ReadingKind {
  readonly unit: 'tempC' | 'ph' | 'mgL' | 'dH' | 'lengthM' | 'percent'
  /** Values outside cannot be true and are refused. */
  readonly possible: readonly [number, number]
  /** Values outside are asked about. */
  readonly likely: readonly [number, number]
}

export const READING_KINDS = {
  waterTemp: { unit: 'tempC', possible: [-0.5, 45], likely: [0, 32] },
  tapTemp: { unit: 'tempC', possible: [0, 45], likely: [2, 25] },
  tapPh: { unit: 'ph', possible: [3, 12], likely: [6, 9.5] },
  tapKh: { unit: 'dH', possible: [0, 60], likely: [0, 30] },
  tankTemp: { unit: 'tempC', possible: [-0.5, 45], likely: [0, 32] },
  ph: { unit: 'ph', possible: [3, 12], likely: [6, 9.5] },
  tan: { unit: 'mgL', possible: [0, 100], likely: [0, 5] },
  nitrite: { unit: 'mgL', possible: [0, 100], likely: [0, 5] },
  nitrate: { unit: 'mgL', possible: [0, 1000], likely: [0, 150] },
  kh: { unit: 'dH', possible: [0, 60], likely: [0, 20] },
  gh: { unit: 'dH', possible: [0, 100], likely: [0, 30] },
  dissolvedOxygen: { unit: 'mgL', possible: [0, 30], likely: [3, 16] },
  tankOxygen: { unit: 'mgL', possible: [0, 30], likely: [4, 16] },
  freeChlorine: { unit: 'mgL', possible: [0, 20], likely: [0, 3] },
  tapChlorine: { unit: 'mgL', possible: [0, 20], likely: [0, 3] },
  clarityDepth: { unit: 'lengthM', possible: [0, 30], likely: [0, 4] },
  sludgeDepth: { unit: 'lengthM', possible: [0, 3], likely: [0, 0.4] },
  orthophosphate: { unit: 'mgL', possible: [0, 50], likely: [0, 5] },
  totalChlorine: { unit: 'mgL', possible: [0, 20], likely: [0, 4] },
  /** As a share of the water: 0.001 is 0.1 %. */
  salinity: { unit: 'percent', possible: [0, 0.05], likely: [0, 0.006] },
} as const satisfies Record<string, ReadingKind>

/** Chloride in water of which all is common salt, mg/L. @source molar masses: 35.45 of 58.44 */
export const CHLORIDE_MGL_PER_SALT_SHARE = (35.45 / 58.44) * 1e6

export type ReadingKindName = keyof typeof READING_KINDS

/** These describe the tap or the holding tank on one visit, not the pond. */
export const VISIT_ONLY_READINGS: readonly ReadingKindName[] = [
  'tapTemp',
  'tapChlorine',
  'tapPh',
  'tapKh',
  'tankTemp',
  'tankOxygen',
]

export type ReadingJudgement = 'possible' | 'unlikely' | 'impossible'

/** Whether a reading can be true. NaN is impossible. */
export function judgeReading(kind: ReadingKindName, value: number): ReadingJudgement {
  const { possible, likely } = READING_KINDS[kind]
  if (!(value >= possible[0] && value <= possible[1])) return 'impossible'
  return value >= likely[0] && value <= likely[1] ? 'possible' : 'unlikely'
}

export type WaterBand = 'fine' | 'watch' | 'act' | 'emergency'

/** Thresholds of a reading, worst first. @source trade practice (domain defaults); house rules may differ */
const BANDS: Partial<
  Record<ReadingKindName, { above?: readonly [number, WaterBand][]; below?: readonly [number, WaterBand][] }>
> = {
  dissolvedOxygen: {
    below: [
      [3, 'emergency'],
      [5, 'act'],
      [7, 'watch'],
    ],
  },
  nitrite: {
    above: [
      [1, 'emergency'],
      [0.5, 'act'],
      [0.1, 'watch'],
    ],
  },
  tan: {
    above: [
      [2, 'emergency'],
      [0.5, 'act'],
      [0.25, 'watch'],
    ],
  },
  nitrate: {
    above: [
      [100, 'act'],
      [50, 'watch'],
    ],
  },
  kh: {
    below: [
      [2, 'act'],
      [5, 'watch'],
    ],
  },
  gh: {
    below: [
      [3, 'act'],
      [8, 'watch'],
    ],
  },
  ph: {
    below: [
      [6, 'act'],
      [6.8, 'watch'],
    ],
    above: [
      [9.5, 'act'],
      [8.8, 'watch'],
    ],
  },
  waterTemp: {
    above: [
      [30, 'act'],
      [25, 'watch'],
    ],
  },
  freeChlorine: {
    above: [
      [0.1, 'emergency'],
      [0.02, 'act'],
    ],
  },
  clarityDepth: {
    below: [
      [0.2, 'act'],
      [0.45, 'watch'],
    ],
  },
}

/**
 * Where a kind of reading begins to ask for something, the mildest first; none where it is judged by nothing but its
 * course.
 */
export function thresholdsOf(
  kind: ReadingKindName,
): { readonly value: number; readonly side: 'above' | 'below'; readonly band: WaterBand }[] {
  const { above = [], below = [] } = BANDS[kind] ?? {}
  const of = (side: 'above' | 'below', edges: readonly [number, WaterBand][]) =>
    edges.map(([value, band]) => ({ value, side, band })).reverse()
  return [...of('above', above), ...of('below', below)]
}

/**
 * What one reading says on its own. Water as a whole is judged by `waterVerdict`, which knows when total ammonia is
 * toxic.
 */
export function readingBand(kind: ReadingKindName, value: number): WaterBand {
  const bands = BANDS[kind]
  const low = bands?.below?.find(([edge]) => value < edge)
  const high = bands?.above?.find(([edge]) => value > edge)
  return (low ?? high)?.[1] ?? 'fine'
}
