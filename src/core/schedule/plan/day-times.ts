import type { IsoDate } from '../../numeric/calendar'
import { beginsAt, crewHours } from './crew-hours'
import { heldMinutes } from './held-minutes'
import { minutesWith, type PlanCrew, type PlanInput, type PlanVisit } from './plan-input'

/** A visit's place in the plan. */
export interface Assignment {
  readonly visit: string
  readonly crew: string
  readonly day: IsoDate
  /** Place in the crew's day, from 0. */
  readonly order: number
  readonly startMin: number
  readonly endMin: number
  /** Travel to it from the stop before or the depot. */
  readonly travelMin: number
}

export interface DayTimes {
  readonly stops: readonly Assignment[]
  readonly travelMin: number
  /** Back at the depot with all that is kept free, minutes of the day. */
  readonly homeMin: number
}

type Ways = Pick<PlanInput, 'travel' | 'locations' | 'light' | 'out'>

/** A crew's day from its visits in order: as early as travel and opening times let each be. */
export const dayTimes = (ways: Ways, crew: PlanCrew, day: IsoDate, visits: readonly PlanVisit[]): DayTimes =>
  laidOut(ways, crew, day, visits, (v) => v.opensMin)

/**
 * The same, but a visit that is published for this crew and day is not called earlier than its customer was told,
 * where the day can bear that;
 * where it cannot, earlier by no more than its customer does not have to hear of, and where that is not enough, as
 * early as can be.
 */
export function steadyTimes(ways: Ways, crew: PlanCrew, day: IsoDate, visits: readonly PlanVisit[]): DayTimes {
  const { latestMin } = crewHours(ways, crew, day)
  const told = ({ published }: PlanVisit) =>
    published && published.crew === crew.id && published.day === day ? published.startMin : null
  const latest = (v: PlanVisit) => Math.min(v.closesMin, (told(v) ?? Infinity) + (v.slackMin ?? Infinity))
  for (const earlierBy of [0, 1]) {
    const steady = laidOut(ways, crew, day, visits, (v) =>
      Math.max(v.opensMin, (told(v) ?? 0) - earlierBy * (v.slackMin ?? 0)),
    )
    if (steady.stops.every((stop, i) => stop.startMin <= latest(visits[i]!)) && steady.homeMin <= latestMin)
      return steady
  }
  return dayTimes(ways, crew, day, visits)
}

function laidOut(
  ways: Ways,
  crew: PlanCrew,
  day: IsoDate,
  visits: readonly PlanVisit[],
  notBefore: (visit: PlanVisit) => number,
): DayTimes {
  const { travel, locations } = ways
  let clock = crewHours(ways, crew, day).startMin
  let here = beginsAt(ways, crew, day)
  let sum = 0
  const stops = visits.map((visit, order): Assignment => {
    const travelMin = travel[here * locations + visit.location]!
    const startMin = Math.max(clock + travelMin, notBefore(visit))
    const endMin = startMin + minutesWith(visit, crew)
    sum += travelMin
    clock = startMin + heldMinutes(ways, visit, crew, day)
    here = visit.location
    return { visit: visit.id, crew: crew.id, day, order, startMin, endMin, travelMin }
  })
  const home = visits.length === 0 ? 0 : travel[here * locations + crew.depot]
  return { stops, travelMin: sum + home!, homeMin: clock + home! }
}
