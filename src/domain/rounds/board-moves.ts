import type { Assignment } from '../../core/schedule/plan/day-times'
import { judgeMove, type MoveJudgement } from '../../core/schedule/plan/judge-move'
import type { PlanInput } from '../../core/schedule/plan/plan-input'
import { addDays } from '../../core/numeric/calendar'
import { clockOf, minutesOfDay } from '../people/crew-setup'
import type { VisitId } from '../shared/ids'
import type { VisitMove, VisitState } from '../visits/visit'

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
      return {
        visit: v.id,
        crew: v.crewId,
        day: v.day,
        order: at,
        startMin,
        endMin: startMin + v.plannedMinutes,
        travelMin: 0,
      }
    })
}

/**
 * Tries every place in a crew's day: fewest problems, then least cost; null for a visit or crew that is not on the
 * board.
 * The other day of a cleanout goes along: a day later or earlier, with the same crew.
 */
export function bestPlace(
  input: PlanInput,
  plan: readonly Assignment[],
  visits: readonly BoardVisit[],
  visitId: string,
  cell: BoardCell,
): Judged | null {
  if (!input.visits.some((v) => v.id === visitId) || !input.crews.some((c) => c.id === cell.crewId)) return null
  const legs = legsWith(input, visitId)
  const other = legs && plan.find((a) => a.visit === (legs.first === visitId ? legs.second : legs.first))
  if (!legs || !other) return bestOf(input, plan, visits, visitId, cell)
  // what has begun stays where it is: then the one that is moved must suit it
  if (visits.find((v) => v.id === other.visit)?.state !== 'planned') return bestOf(input, plan, visits, visitId, cell)
  const rest = plan.filter((a) => a.visit !== legs.first && a.visit !== legs.second)
  const firstCell = visitId === legs.first ? cell : { ...cell, day: addDays(cell.day, -1) }
  const secondCell = { ...cell, day: addDays(firstCell.day, 1) }
  const first = bestOf(input, rest, visits, legs.first, firstCell)
  const after = [...rest.filter((a) => a.crew !== firstCell.crewId || a.day !== firstCell.day), ...first.day]
  const second = bestOf(input, after, visits, legs.second, secondCell)
  // what the two cost where they stand is spared
  const spared = [legs.first, legs.second].map((id) => plan.find((a) => a.visit === id)!)
  const stood = bestOf(input, rest, visits, legs.first, { crewId: spared[0]!.crew, day: spared[0]!.day }).costMin
  return {
    problems: [...first.problems, ...second.problems],
    costMin: first.costMin + second.costMin - stood - secondCost(input, plan, visits, spared[1]!),
    day: visitId === legs.first ? first.day : second.day,
    moves: [...first.moves, ...second.moves.filter((m) => !first.moves.some((f) => f.id === m.id))],
  }
}

/** What the second leg costs where it stands, beside everything else there. */
const secondCost = (
  input: PlanInput,
  plan: readonly Assignment[],
  visits: readonly BoardVisit[],
  { visit, crew, day }: Assignment,
): number =>
  bestOf(
    input,
    plan.filter((a) => a.visit !== visit),
    visits,
    visit,
    { crewId: crew, day },
  ).costMin

/** The two legs that a visit is one of. */
function legsWith({ visits }: PlanInput, visitId: string): { first: string; second: string } | null {
  for (const { id, after } of visits)
    for (const { leg, visit } of after)
      if (leg && (id === visitId || visit === visitId)) return { first: visit, second: id }
  return null
}

function bestOf(
  input: PlanInput,
  plan: readonly Assignment[],
  visits: readonly BoardVisit[],
  visitId: string,
  cell: BoardCell,
): Judged {
  const there = plan.filter((a) => a.crew === cell.crewId && a.day === cell.day && a.visit !== visitId).length
  const tries = Array.from({ length: there + 1 }, (_, order) =>
    judgeMove(input, plan, { visit: visitId, crew: cell.crewId, day: cell.day, order }),
  )
  const best = tries.reduce((a, b) =>
    b.problems.length < a.problems.length || (b.problems.length === a.problems.length && b.costMin < a.costMin) ? b : a,
  )
  return { ...best, moves: movesTo(best.day, visits, cell) }
}

/** Only visits that are still planned and whose crew, day or start changes. */
function movesTo(day: readonly Assignment[], visits: readonly BoardVisit[], cell: BoardCell): VisitMove[] {
  return day.flatMap((stop) => {
    const visit = visits.find((v) => v.id === stop.visit)
    const startTime = clockOf(stop.startMin)
    if (
      !visit ||
      visit.state !== 'planned' ||
      (visit.crewId === cell.crewId && visit.day === cell.day && visit.startTime === startTime)
    )
      return []
    return [
      { id: visit.id, version: visit.version, day: cell.day, startTime, crewId: cell.crewId as VisitMove['crewId'] },
    ]
  })
}

/** The same visits where they were; each has gone up by one version. */
export const takenBack = (moves: readonly VisitMove[], visits: readonly BoardVisit[]): VisitMove[] =>
  moves.map(({ id, version }) => {
    const visit = visits.find((v) => v.id === id)!
    return {
      id,
      version: version + 1,
      day: visit.day,
      startTime: visit.startTime,
      crewId: visit.crewId as VisitMove['crewId'],
    }
  })
