import type { Assignment } from '../core/dispatch/plan/day-times'
import { judgeMove, type MoveJudgement } from '../core/dispatch/plan/judge-move'
import type { PlanInput } from '../core/dispatch/plan/plan-input'
import { clockOf, minutesOfDay } from './crew-setup'
import type { VisitId } from './ids'
import type { VisitMove, VisitState } from './visit'

/** What moving by hand needs of a visit that stands on a board. */
export interface BoardVisit {
  readonly id: VisitId
  readonly crewId: string
  readonly day: string
  readonly startTime: string
  readonly plannedMinutes: number
  readonly state: VisitState
  readonly version: number
}

export interface BoardCell {
  readonly crewId: string
  readonly day: string
}

/** How a visit would do in a crew's day at its best place there, and what that would move. */
export interface Judged extends MoveJudgement {
  readonly moves: readonly VisitMove[]
}

/** Visits as the plan that stands: in their order, at their times. */
export function assignmentsOf(visits: readonly BoardVisit[]): Assignment[] {
  const order = new Map<string, number>()
  return [...visits]
    .sort((a, b) => a.day.localeCompare(b.day) || a.startTime.localeCompare(b.startTime))
    .map((v) => {
      const cell = `${v.crewId} ${v.day}`
      const at = order.get(cell) ?? 0
      order.set(cell, at + 1)
      const startMin = minutesOfDay(v.startTime)
      return { visit: v.id, crew: v.crewId, day: v.day, order: at, startMin, endMin: startMin + v.plannedMinutes, travelMin: 0 }
    })
}

/** Tries every place in a crew's day: fewest problems, then least cost; null for a visit or crew that is not on the board. */
export function bestPlace(input: PlanInput, plan: readonly Assignment[], visits: readonly BoardVisit[], visitId: string, cell: BoardCell): Judged | null {
  if (!input.visits.some((v) => v.id === visitId) || !input.crews.some((c) => c.id === cell.crewId)) return null
  const there = plan.filter((a) => a.crew === cell.crewId && a.day === cell.day && a.visit !== visitId).length
  const tries = Array.from({ length: there + 1 }, (_, order) => judgeMove(input, plan, { visit: visitId, crew: cell.crewId, day: cell.day, order }))
  const best = tries.reduce((a, b) => (b.problems.length < a.problems.length || (b.problems.length === a.problems.length && b.costMin < a.costMin) ? b : a))
  return { ...best, moves: movesTo(best.day, visits, cell) }
}

/** Only visits that are still planned and whose crew, day or start changes. */
function movesTo(day: readonly Assignment[], visits: readonly BoardVisit[], cell: BoardCell): VisitMove[] {
  return day.flatMap((stop) => {
    const visit = visits.find((v) => v.id === stop.visit)
    const startTime = clockOf(stop.startMin)
    if (!visit || visit.state !== 'planned' || (visit.crewId === cell.crewId && visit.day === cell.day && visit.startTime === startTime)) return []
    return [{ id: visit.id, version: visit.version, day: cell.day, startTime, crewId: cell.crewId as VisitMove['crewId'] }]
  })
}

/** The same visits where they were; each has gone up by one version. */
export const takenBack = (moves: readonly VisitMove[], visits: readonly BoardVisit[]): VisitMove[] =>
  moves.map(({ id, version }) => {
    const visit = visits.find((v) => v.id === id)!
    return { id, version: version + 1, day: visit.day, startTime: visit.startTime, crewId: visit.crewId as VisitMove['crewId'] }
  })
