export type WaterBand = 'fine' | 'watch' | 'act' | 'emergency'

/** What is measured at a pond. One row below, and its texts, are all that a new reading needs. */
export interface ReadingKind {
  readonly unit: 'tempC' | 'ph' | 'mgL' | 'dH' | 'lengthM' | 'percent'
  /** Values outside cannot be true and are refused. */
  readonly possible: readonly [number, number]
  /** Values outside are asked about. */
  readonly likely: readonly [number, number]
  /** Where it begins to ask for something, worst first; left out where it is judged by nothing but its course. */
  readonly above?: readonly (readonly [number, WaterBand])[]
  readonly below?: readonly (readonly [number, WaterBand])[]
  /** Older than this it says little of the water of today, days; left out where the pond model knows nothing of it. */
  readonly countsDays?: number
  /** Told in millimetres or inches. */
  readonly small?: true
  /** Describes the tap or the holding tank on one visit, not the pond. */
  readonly visitOnly?: true
}

/** @source trade practice (domain defaults); house rules may differ */
export const READING_KINDS = {
  waterTemp: {
    unit: 'tempC',
    possible: [-0.5, 45],
    likely: [0, 32],
    above: [
      [30, 'act'],
      [25, 'watch'],
    ],
    countsDays: 4,
  },
  tapTemp: { unit: 'tempC', possible: [0, 45], likely: [2, 25], visitOnly: true },
  tapPh: { unit: 'ph', possible: [3, 12], likely: [6, 9.5], visitOnly: true },
  tapKh: { unit: 'dH', possible: [0, 60], likely: [0, 30], visitOnly: true },
  tankTemp: { unit: 'tempC', possible: [-0.5, 45], likely: [0, 32], visitOnly: true },
  ph: {
    unit: 'ph',
    possible: [3, 12],
    likely: [6, 9.5],
    above: [
      [9.5, 'act'],
      [8.8, 'watch'],
    ],
    below: [
      [6, 'act'],
      [6.8, 'watch'],
    ],
    countsDays: 10,
  },
  tan: {
    unit: 'mgL',
    possible: [0, 100],
    likely: [0, 5],
    above: [
      [2, 'emergency'],
      [0.5, 'act'],
      [0.25, 'watch'],
    ],
    countsDays: 10,
  },
  nitrite: {
    unit: 'mgL',
    possible: [0, 100],
    likely: [0, 5],
    above: [
      [1, 'emergency'],
      [0.5, 'act'],
      [0.1, 'watch'],
    ],
    countsDays: 10,
  },
  nitrate: {
    unit: 'mgL',
    possible: [0, 1000],
    likely: [0, 150],
    above: [
      [100, 'act'],
      [50, 'watch'],
    ],
    countsDays: 45,
  },
  kh: {
    unit: 'dH',
    possible: [0, 60],
    likely: [0, 20],
    below: [
      [2, 'act'],
      [5, 'watch'],
    ],
    countsDays: 60,
  },
  gh: {
    unit: 'dH',
    possible: [0, 100],
    likely: [0, 30],
    below: [
      [3, 'act'],
      [8, 'watch'],
    ],
  },
  dissolvedOxygen: {
    unit: 'mgL',
    possible: [0, 30],
    likely: [3, 16],
    below: [
      [3, 'emergency'],
      [5, 'act'],
      [7, 'watch'],
    ],
    countsDays: 2,
  },
  tankOxygen: { unit: 'mgL', possible: [0, 30], likely: [4, 16], visitOnly: true },
  freeChlorine: {
    unit: 'mgL',
    possible: [0, 20],
    likely: [0, 3],
    above: [
      [0.1, 'emergency'],
      [0.02, 'act'],
    ],
  },
  tapChlorine: { unit: 'mgL', possible: [0, 20], likely: [0, 3], visitOnly: true },
  tapChloramine: { unit: 'mgL', possible: [0, 20], likely: [0, 3], visitOnly: true },
  clarityDepth: {
    unit: 'lengthM',
    possible: [0, 30],
    likely: [0, 4],
    below: [
      [0.2, 'act'],
      [0.45, 'watch'],
    ],
    countsDays: 14,
  },
  sludgeDepth: { unit: 'lengthM', possible: [0, 3], likely: [0, 0.4], small: true },
  orthophosphate: { unit: 'mgL', possible: [0, 50], likely: [0, 5], countsDays: 45 },
  totalChlorine: { unit: 'mgL', possible: [0, 20], likely: [0, 4] },
  /** As a share of the water: 0.001 is 0.1 %. */
  salinity: { unit: 'percent', possible: [0, 0.05], likely: [0, 0.006], countsDays: 120 },
} as const satisfies Record<string, ReadingKind>

export type ReadingKindName = keyof typeof READING_KINDS

/** All that is on file about a reading. */
export const readingKind = (kind: ReadingKindName): ReadingKind => READING_KINDS[kind]

/** Chloride in water of which all is common salt, mg/L. @source molar masses: 35.45 of 58.44 */
export const CHLORIDE_MGL_PER_SALT_SHARE = (35.45 / 58.44) * 1e6

/** These describe the tap or the holding tank on one visit, not the pond. */
export const VISIT_ONLY_READINGS: readonly ReadingKindName[] = (Object.keys(READING_KINDS) as ReadingKindName[]).filter(
  (kind) => readingKind(kind).visitOnly,
)

export type ReadingJudgement = 'possible' | 'unlikely' | 'impossible'

/** Whether a reading can be true. NaN is impossible. */
export function judgeReading(kind: ReadingKindName, value: number): ReadingJudgement {
  const { possible, likely } = READING_KINDS[kind]
  if (!(value >= possible[0] && value <= possible[1])) return 'impossible'
  return value >= likely[0] && value <= likely[1] ? 'possible' : 'unlikely'
}

/**
 * Where a kind of reading begins to ask for something, the mildest first; none where it is judged by nothing but its
 * course.
 */
export function thresholdsOf(
  kind: ReadingKindName,
): { readonly value: number; readonly side: 'above' | 'below'; readonly band: WaterBand }[] {
  const { above = [], below = [] } = readingKind(kind)
  const of = (side: 'above' | 'below', edges: NonNullable<ReadingKind['above']>) =>
    edges.map(([value, band]) => ({ value, side, band })).reverse()
  return [...of('above', above), ...of('below', below)]
}

/**
 * What one reading says on its own. Water as a whole is judged by `waterVerdict`, which knows when total ammonia is
 * toxic.
 */
export function readingBand(kind: ReadingKindName, value: number): WaterBand {
  const { above, below } = readingKind(kind)
  const low = below?.find(([edge]) => value < edge)
  const high = above?.find(([edge]) => value > edge)
  return (low ?? high)?.[1] ?? 'fine'
}
