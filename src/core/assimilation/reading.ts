import type { IsoDate } from '../numeric/calendar'
import { normalDensity, normalShareBelow } from '../statistics/normal'
import { tDensity, tShareBelow } from '../statistics/student-t'
import { readingInterval, type ReadingMethod } from '../water/test-methods'
import { asRead, OBSERVED, onScale, scatterOf, seenToFloor, type ObservedKind } from './observed'

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
  /** How far a slip of the pen lies off. */
  readonly slip: number
}

/**
 * What a reading says on the scale of its kind: a colour stands for a range, "nothing" for all up to the first colour,
 * a floor that is seen for all beyond it.
 * @param deepestM the pond's deepest water, m
 */
export function intervalOf(reading: DatedReading, deepestM: number): Interval {
  const { kind, method } = reading
  const scatter = scatterOf(kind, method)
  const slip = SLIP.sds * OBSERVED[kind].sd
  if (kind === 'clarityDepth' && seenToFloor(reading.value, deepestM))
    return { low: onScale(kind, deepestM), high: Infinity, scatter, slip }
  const [low, high] = readingInterval(kind, reading)
  if (low === high) return { low: onScale(kind, low), high: onScale(kind, low), scatter, slip }
  // "nothing found" bounds from above only
  return { low: low > 0 ? onScale(kind, low) : -Infinity, high: onScale(kind, high), scatter, slip }
}

/** One reading in so many is a slip: a decimal point, another pond's line, the wrong colour. @source house default */
const SLIP = { share: 0.04, sds: 4 } as const

/**
 * How likely a reading is where the water stands at a value of its scale. Errors follow Student's t, and now and then
 * a reading is a slip, so that none is believed against everything else.
 * @returns a density for an exact reading, a share for one between two steps; never 0
 */
export function likelihood({ low, high, scatter, slip }: Interval, at: number): number {
  const of = (plain: number, slipped: number) => (1 - SLIP.share) * plain + SLIP.share * slipped + 1e-12
  if (high - low < 1e-9) return of(tDensity((low - at) / scatter) / scatter, normalDensity((low - at) / slip) / slip)
  return of(
    tShareBelow((high - at) / scatter) - tShareBelow((low - at) / scatter),
    normalShareBelow((high - at) / slip) - normalShareBelow((low - at) / slip),
  )
}

/** A value as it would be read at the pond. */
export const readValue = (reading: DatedReading, deepestM: number): number =>
  asRead(reading.kind, reading.value, deepestM)
