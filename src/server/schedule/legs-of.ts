import type { PlanningVisit } from '@/server/schedule/planning-repository'
import type { StandingFacts } from './plan-visits'

/** What a visit has to do with the other day of the same cleanout, as the visits stand. */
export function legsOf(
  visits: readonly PlanningVisit[],
): (visit: PlanningVisit) => Pick<StandingFacts, 'firstDay' | 'hasSecondDay'> {
  const byId = new Map(visits.map((v) => [v.id as string, v]))
  const seconds = new Set(visits.flatMap((v) => (v.legOf && v.state !== 'done' ? [v.legOf as string] : [])))
  return (visit) => {
    const first = visit.legOf ? byId.get(visit.legOf) : undefined
    return {
      hasSecondDay: seconds.has(visit.id),
      firstDay: first ? { visit: first.id, begun: first.state !== 'planned' } : null,
    }
  }
}

/** The other day of the same cleanout by a visit's id, where both are planned. */
export function otherDays(planned: readonly PlanningVisit[]): ReadonlyMap<string, PlanningVisit> {
  const byId = new Map(planned.map((v) => [v.id as string, v]))
  return new Map(
    planned.flatMap((second) => {
      const first = second.legOf ? byId.get(second.legOf) : undefined
      return first ? [[first.id as string, second] as const, [second.id as string, first] as const] : []
    }),
  )
}

/** Promising one day of a cleanout promises both. */
export const promisedAlike = (visit: PlanningVisit, otherDay: ReadonlyMap<string, PlanningVisit>): PlanningVisit =>
  otherDay.get(visit.id)?.locked ? { ...visit, locked: true } : visit
