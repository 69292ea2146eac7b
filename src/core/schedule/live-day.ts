/** One stop of a crew's day, in the order of the plan; minutes of the day. */
export interface LiveStop {
  readonly id: string
  readonly plannedStartMin: number
  readonly minutes: number
  readonly startedMin: number | null
  readonly finishedMin: number | null
}

export interface StopEstimate {
  readonly id: string
  readonly startMin: number
  readonly endMin: number
  /** How much later than planned it begins; negative when early. */
  readonly lateMin: number
  readonly state: 'done' | 'under-way' | 'to-come'
}

export interface LiveDay {
  readonly stops: readonly StopEstimate[]
  /** When the last stop ends and the crew is back. */
  readonly backMin: number
}

/**
 * How a crew's day goes on from what it has logged: a stop begins as planned or when the crew can be there, whichever
 * is later.
 * One that runs over its time ends, at the soonest, now.
 * @param travelMin minutes to each stop from the one before (the first from the yard), and last back to the yard
 * @param nowMin minute of the day; null for a day that is not today
 */
export function liveDay(stops: readonly LiveStop[], travelMin: readonly number[], nowMin: number | null): LiveDay {
  let free = 0
  const estimates = stops.map((stop, i): StopEstimate => {
    const arrives = i === 0 ? 0 : free + travelMin[i]!
    const startMin =
      stop.startedMin ?? Math.max(stop.plannedStartMin, arrives, stop.finishedMin === null ? (nowMin ?? 0) : 0)
    const endMin = stop.finishedMin ?? Math.max(startMin + stop.minutes, stop.startedMin === null ? 0 : (nowMin ?? 0))
    free = endMin
    const stateNow = () => {
      if (stop.finishedMin !== null) return 'done'
      if (stop.startedMin !== null) return 'under-way'
      return 'to-come'
    }
    const state = stateNow()
    return { id: stop.id, startMin, endMin, lateMin: startMin - stop.plannedStartMin, state }
  })
  return { stops: estimates, backMin: stops.length === 0 ? 0 : free + travelMin[stops.length]! }
}

/** From so much on a customer is told. @source house default */
export const TELL_LATE_FROM_MIN = 20
