import type { IsoDate } from '../../numeric/calendar'
import { beginsAt, crewHours } from './crew-hours'
import { minutesWith, type PlanCrew, type PlanInput, type PlanVisit } from './plan-input'

type Ways = Pick<PlanInput, 'travel' | 'locations' | 'light' | 'out'>

/** When a crew would be back from this visit alone, minutes of the day. */
export function backFrom(ways: Ways, visit: PlanVisit, crew: PlanCrew, day: IsoDate): number {
  const { travel, locations } = ways
  const begin = Math.max(
    crewHours(ways, crew, day).startMin + travel[beginsAt(ways, crew, day) * locations + visit.location]!,
    visit.opensMin,
  )
  return begin + minutesWith(visit, crew) + travel[visit.location * locations + crew.depot]!
}

/**
 * Minutes that a visit takes of a crew's day: its own and those kept free after it, as far as the day has them for
 * this visit alone: one that fills the day is not left out for want of them.
 */
export function heldMinutes(ways: Ways, visit: PlanVisit, crew: PlanCrew, day: IsoDate): number {
  const minutes = minutesWith(visit, crew)
  if (!visit.spareMin) return minutes
  const room = crewHours(ways, crew, day).latestMin - backFrom(ways, visit, crew, day)
  return minutes + Math.max(0, Math.min(visit.spareMin, room))
}

/**
 * The same plan with no more kept free after what is published than is free there: minutes that a person has filled
 * are no reason to move what stands.
 */
export function withStandingSpare(input: PlanInput): PlanInput {
  const { travel, locations } = input
  const crews = new Map(input.crews.map((crew) => [crew.id, crew]))
  const days = new Map<string, PlanVisit[]>()
  for (const visit of input.visits) {
    const key = visit.published && `${visit.published.crew} ${visit.published.day}`
    if (key) days.set(key, [...(days.get(key) ?? []), visit])
  }
  const spare = new Map<string, number>()
  for (const stops of days.values()) {
    stops.sort((a, b) => a.published!.startMin - b.published!.startMin)
    stops.forEach((visit, i) => {
      const { crew: id, day, startMin } = visit.published!
      const crew = crews.get(id)
      if (!crew || !visit.spareMin) return
      const next = stops[i + 1]
      const until = next?.published!.startMin ?? crewHours(input, crew, day).latestMin
      const way = travel[visit.location * locations + (next?.location ?? crew.depot)]!
      const free = until - way - startMin - minutesWith(visit, crew)
      spare.set(visit.id, Math.max(0, Math.min(visit.spareMin, free)))
    })
  }
  return {
    ...input,
    visits: input.visits.map((visit) => (spare.has(visit.id) ? { ...visit, spareMin: spare.get(visit.id) } : visit)),
  }
}

/** The same plan with nothing kept free: what a person may fill as they see fit. */
export const withoutSpare = (input: PlanInput): PlanInput => ({
  ...input,
  visits: input.visits.map((visit) => ({ ...visit, spareMin: 0 })),
})
