import type { ReadingKindName } from './readings'

export const READING_METHODS = ['strip', 'drops', 'meter', 'probe'] as const
export type ReadingMethod = (typeof READING_METHODS)[number]

type Steps = Readonly<Partial<Record<ReadingKindName, readonly number[]>>>

/** Drops are counted until the colour turns: each stands for a degree. @source usual drop kits */
const DEGREES = Array.from({ length: 41 }, (_, i) => i)

/**
 * Colours that a test's card shows, in the reading's canonical unit. What lies between two is told by eye.
 * @source usual colour cards of strips and drop kits; TAN and nitrite as N, as they are kept
 */
export const METHOD_STEPS: Readonly<Record<ReadingMethod, Steps>> = {
  strip: {
    tan: [0, 0.25, 0.5, 1, 3, 6],
    nitrite: [0, 0.15, 0.3, 1, 3, 10],
    nitrate: [0, 5, 10, 25, 50, 100, 250],
    orthophosphate: [0, 0.5, 1, 2, 5],
    ph: [6.2, 6.8, 7.2, 7.6, 8, 8.4, 9],
    kh: [0, 3, 6, 10, 15, 20],
    gh: [0, 4, 8, 16, 25],
  },
  drops: {
    tan: [0, 0.1, 0.25, 0.5, 1, 2, 4, 8],
    nitrite: [0, 0.05, 0.1, 0.25, 0.5, 1, 2, 5],
    nitrate: [0, 5, 10, 20, 40, 80, 160],
    orthophosphate: [0, 0.1, 0.25, 0.5, 1, 2, 5],
    ph: [6, 6.4, 6.8, 7.2, 7.6, 8, 8.4, 8.8, 9.2],
    kh: DEGREES,
    gh: DEGREES,
  },
  meter: {},
  probe: {},
}

/** A day's least oxygen lies so far below what is met by day at most, mg/L. @source planted ponds swing 1–4 mg/L */
const OXYGEN_SWING_MGL = 4

/**
 * What a reading says for sure: between which values the day's figure lies. A colour stands for all up to half way to
 * the next; "nothing found" for all up to the first colour; oxygen that is read by hand for a least that is no higher.
 * @returns lower and upper end, the same twice where the reading is exact
 */
export function readingInterval(
  kind: ReadingKindName,
  { value, method, belowStep }: { readonly value: number; readonly method: ReadingMethod; readonly belowStep: boolean },
): readonly [number, number] {
  const steps = METHOD_STEPS[method][kind]
  if (kind === 'dissolvedOxygen' && method !== 'probe') return [Math.max(0, value - OXYGEN_SWING_MGL), value]
  if (belowStep) return [0, value > 0 ? value : (steps?.find((step) => step > 0) ?? 0)]
  if (!steps) return [value, value]
  const below = steps.findLast((step) => step < value)
  const above = steps.find((step) => step > value)
  // beyond the last colour a sample is thinned and told again: as coarse as the last step
  const up = above ?? value + (value - (below ?? value))
  if (below !== undefined) return [(below + value) / 2, (value + up) / 2]
  return value > 0 ? [Math.max(0, value - (up - value) / 2), (value + up) / 2] : [0, up]
}
