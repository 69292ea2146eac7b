import { crewHours, beginsAt } from './crew-hours'
import { hasAll, minutesWith, type PlanCrew, type PlanInput, type PlanVisit } from './plan-input'

/**
 * Puts what cannot wait at the head of a crew's day: of those able the one that can be there first, counted from
 * where each is. The visit is
 * fixed there, so that everything else makes way. Where nobody can be there before the day ends, the next day is tried.
 * @param urgent ids of such visits; one that no crew can do is left as it is
 */
export function urgentFirst(input: PlanInput, urgent: ReadonlySet<string>): PlanInput {
  if (urgent.size === 0) return input
  const busyUntil = new Map<string, { min: number; location: number }>()
  const visits = input.visits.map((visit): PlanVisit => {
    if (!urgent.has(visit.id)) return visit
    for (const day of input.days) {
      if (visit.closedDays.includes(day)) continue
      const there = input.crews.flatMap((crew) => {
        const startMin = arrival(input, crew, day, visit, busyUntil)
        const endMin = startMin + minutesWith(visit, crew)
        const able = hasAll(visit.skills, crew.skills) && hasAll(visit.kit, crew.kit) && !crew.daysOff.includes(day)
        return able && endMin + back(input, visit, crew) <= crewHours(input, crew, day).latestMin
          ? [{ crew, startMin, endMin }]
          : []
      })
      if (there.length === 0) continue
      const { crew, startMin, endMin } = there.reduce((a, b) => (b.startMin < a.startMin ? b : a))
      busyUntil.set(`${crew.id} ${day}`, { min: endMin, location: visit.location })
      return {
        ...visit,
        earliest: day,
        best: day,
        latest: day,
        opensMin: startMin,
        closesMin: startMin,
        published: { crew: crew.id, day, startMin },
        locked: true,
        urgent: true,
      }
    }
    return visit
  })
  return { ...input, visits }
}

const back = ({ travel, locations }: PlanInput, visit: PlanVisit, crew: PlanCrew): number =>
  travel[visit.location * locations + crew.depot]!

/**
 * When a crew could be there, minutes of the day: as soon as it is free, and nobody keeps a gate shut for an
 * emergency.
 */
function arrival(
  input: PlanInput,
  crew: PlanCrew,
  day: string,
  visit: PlanVisit,
  busyUntil: ReadonlyMap<string, { min: number; location: number }>,
): number {
  const taken = busyUntil.get(`${crew.id} ${day}`)
  const from = taken?.min ?? crewHours(input, crew, day).startMin
  const here = taken?.location ?? beginsAt(input, crew, day)
  return from + input.travel[here * input.locations + visit.location]!
}
