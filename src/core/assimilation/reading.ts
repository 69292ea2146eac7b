import type { IsoDate } from '../numeric/calendar'
import { tDensity, tShareBelow } from '../statistics/student-t'
import { readingInterval, type ReadingMethod } from '../water/test-methods'
import { asRead, onScale, scatterOf, seenToFloor, type ObservedKind } from './observed'

/** What a pond was read at on one day. */
export interface DatedReading {
  readonly day: IsoDate
  readonly kind: ObservedKind
  readonly value: number
  readonly method: ReadingMethod
  /** The test found nothing. */
  readonly belowStep: boolean
}

/** A reading on its kind's scale: the day's figure lies between these, give or take the scatter. */
export interface Interval {
  readonly low: number
  readonly high: number
  readonly scatter: number
}

/**
 * What a reading says on the scale of its kind: a colour stands for a range, "nothing" for all up to the first colour,
 * a floor that is seen for all beyond it.
 * @param deepestM the pond's deepest water, m
 */
export function intervalOf(reading: DatedReading, deepestM: number): Interval {
  const { kind, method } = reading
  const scatter = scatterOf(kind, method)
  if (kind === 'clarityDepth' && seenToFloor(reading.value, deepestM))
    return { low: onScale(kind, deepestM), high: Infinity, scatter }
  const [low, high] = readingInterval(kind, reading)
  if (low === high) return { low: onScale(kind, low), high: onScale(kind, low), scatter }
  // "nothing found" bounds from above only
  return { low: low > 0 ? onScale(kind, low) : -Infinity, high: onScale(kind, high), scatter }
}

/**
 * How likely a reading is where the water stands at a value of its scale. Errors follow Student's t, so that one slip
 * of the pen is not believed against everything else.
 * @returns a density for an exact reading, a share for one between two steps; never 0
 */
export function likelihood({ low, high, scatter }: Interval, at: number): number {
  const tiny = 1e-12
  if (high - low < 1e-9) return tDensity((low - at) / scatter) / scatter + tiny
  return tShareBelow((high - at) / scatter) - tShareBelow((low - at) / scatter) + tiny
}

/** A value as it would be read at the pond. */
export const readValue = (reading: DatedReading, deepestM: number): number =>
  asRead(reading.kind, reading.value, deepestM)
