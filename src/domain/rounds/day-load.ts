import { minutesOfDay, type CrewSetup } from '../people/crew-setup'

const DAY_MIN = 24 * 60

/** Minutes that a crew drives on a day; null where a site is not on the map. */
export interface DayWays {
  /** To each stop from the one before, the first from the yard. */
  readonly toStops: readonly (number | null)[]
  /** From the last stop back to the yard; null where that is not on the map. */
  readonly back: number | null
}

interface LoadStop {
  readonly startTime: string
  readonly plannedMinutes: number
}

/** A crew's day: its stops in their order, and what it drives between them. */
export interface DayRound {
  readonly stops: readonly LoadStop[]
  readonly ways: DayWays
}

/** How full a crew's day is; minutes, and minutes of the day. */
export interface DayLoad {
  readonly onSiteMin: number
  readonly drivingMin: number
  /** Leaves the yard; null where the way to the first stop is not known. */
  readonly leavesMin: number | null
  /** Is back at the yard; null where the way from the last stop is not known, or it is not back on this day. */
  readonly backMin: number | null
  /** Away from the yard before its day begins or after it ends. */
  readonly overMin: number
  /** A site is not on the map: the driving is more than said. */
  readonly drivesUnknown: boolean
}

/**
 * @param stops  in their order
 * @returns null for a day without stops
 */
export function dayLoad(stops: readonly LoadStop[], ways: DayWays, setup: CrewSetup): DayLoad | null {
  const first = stops[0]
  if (!first) return null
  const driving = [...ways.toStops, ways.back].reduce<number>((sum, way) => sum + (way ?? 0), 0)
  const onSite = stops.reduce((sum, s) => sum + s.plannedMinutes, 0)
  const [starts, ends] = [minutesOfDay(setup.starts), minutesOfDay(setup.ends)]
  const begins = minutesOfDay(first.startTime)
  const [way] = ways.toStops
  const leavesMin = way == null ? null : begins - way
  const lastEnd = Math.max(...stops.map((s) => minutesOfDay(s.startTime) + s.plannedMinutes))
  const back = ways.back === null ? null : lastEnd + ways.back
  const backMin = back === null || back >= DAY_MIN ? null : back
  return {
    onSiteMin: onSite,
    drivingMin: driving,
    leavesMin,
    backMin,
    overMin: Math.max(0, starts - (leavesMin ?? begins)) + Math.max(0, (backMin ?? lastEnd) - ends),
    drivesUnknown: ways.toStops.includes(null),
  }
}

/** A stretch of a crew's day, minutes of the day. */
export interface DayStretch {
  readonly kind: 'drive' | 'stop'
  readonly fromMin: number
  readonly toMin: number
  /** Which stop it is, or leads to; null for the way back. */
  readonly stop: number | null
}

/** A crew's day as stretches of driving and of work, in their order; a way ends when its stop begins. */
export function dayStretches(stops: readonly LoadStop[], ways: DayWays): DayStretch[] {
  const stretches = stops.flatMap((stop, i): DayStretch[] => {
    const start = minutesOfDay(stop.startTime)
    const way = ways.toStops[i] ?? 0
    const work: DayStretch = { kind: 'stop', fromMin: start, toMin: start + stop.plannedMinutes, stop: i }
    return way > 0 ? [{ kind: 'drive', fromMin: start - way, toMin: start, stop: i }, work] : [work]
  })
  const last = stretches.at(-1)
  return last && ways.back
    ? [...stretches, { kind: 'drive', fromMin: last.toMin, toMin: last.toMin + ways.back, stop: null }]
    : stretches
}

/**
 * Which of several lines each stop is drawn on, so that stops of the same hours do not cover one another; 0 is the
 * first.
 * @param stops  in the order of their beginnings
 */
export function linesOfStops(stops: readonly LoadStop[]): number[] {
  const freeFrom: number[] = []
  return stops.map(({ startTime, plannedMinutes }) => {
    const start = minutesOfDay(startTime)
    const found = freeFrom.findIndex((free) => free <= start)
    const line = found < 0 ? freeFrom.length : found
    freeFrom[line] = start + plannedMinutes
    return line
  })
}
