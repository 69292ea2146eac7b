'use client'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { dayTimes, type Assignment } from '@/core/dispatch/plan/day-times'
import { judgeMove, type MoveJudgement } from '@/core/dispatch/plan/judge-move'
import type { PlanInput } from '@/core/dispatch/plan/plan-input'
import { clockOf, minutesOfDay } from '@/domain/crew-setup'
import type { VisitMove } from '@/domain/visit'
import type { VisitLine } from '@/server/db/visit-line-repository'
import type { BoardInput } from '@/server/use-cases/planning/board'
import { send, type SendProblem } from '@/ui/send'

export interface Cell {
  readonly crewId: string
  readonly day: string
}
export const cellId = ({ crewId, day }: Cell): string => `${crewId} ${day}`
export const cellOf = (id: string): Cell => ({ crewId: id.slice(0, id.indexOf(' ')), day: id.slice(id.indexOf(' ') + 1) })

/** How a visit would do in a crew's day at its best place there. */
export interface Judged extends MoveJudgement {
  readonly moves: readonly VisitMove[]
}

/** Moves on the rounds board: judged while dragging, made in one go, taken back in one go. */
export function useBoard(board: BoardInput | null, visits: readonly VisitLine[]) {
  const router = useRouter()
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [undo, setUndo] = useState<readonly VisitMove[] | null>(null)
  const input = useMemo<PlanInput | null>(() => (board ? { ...board, travel: Float64Array.from(board.travel) } : null), [board])
  const plan = useMemo(() => assignmentsOf(visits), [visits])

  /** Tries every place in the day: fewest problems, then least cost. */
  const judge = (visitId: string, cell: Cell): Judged | null => {
    if (!input || !input.visits.some((v) => v.id === visitId) || !input.crews.some((c) => c.id === cell.crewId)) return null
    const there = plan.filter((a) => a.crew === cell.crewId && a.day === cell.day && a.visit !== visitId).length
    const tries = Array.from({ length: there + 1 }, (_, order) => judgeMove(input, plan, { visit: visitId, crew: cell.crewId, day: cell.day, order }))
    const best = tries.reduce((a, b) => (b.problems.length < a.problems.length || (b.problems.length === a.problems.length && b.costMin < a.costMin) ? b : a))
    return { ...best, moves: movesTo(best.day, visits, cell) }
  }
  const move = async (moves: readonly VisitMove[], back: readonly VisitMove[] | null) => {
    const outcome = await send('PUT', '/api/v1/visits/arrange', { moves })
    setProblem(outcome.ok ? null : outcome.problem)
    setUndo(outcome.ok ? back : null)
    router.refresh()
  }
  return {
    problem,
    judge,
    canUndo: undo !== null,
    place: (judged: Judged) => (judged.moves.length === 0 ? Promise.resolve() : move(judged.moves, takenBack(judged.moves, visits))),
    undo: () => (undo ? move(undo, null) : Promise.resolve()),
  }
}

function assignmentsOf(visits: readonly VisitLine[]): Assignment[] {
  const order = new Map<string, number>()
  return [...visits]
    .sort((a, b) => a.day.localeCompare(b.day) || a.startTime.localeCompare(b.startTime))
    .map((v) => {
      const at = order.get(cellId(v)) ?? 0
      order.set(cellId(v), at + 1)
      const startMin = minutesOfDay(v.startTime)
      return { visit: v.id, crew: v.crewId, day: v.day, order: at, startMin, endMin: startMin + v.plannedMinutes, travelMin: 0 }
    })
}

/** Only visits that are still planned and whose crew, day or start changes. */
function movesTo(day: ReturnType<typeof dayTimes>['stops'], visits: readonly VisitLine[], cell: Cell): VisitMove[] {
  return day.flatMap((stop) => {
    const visit = visits.find((v) => v.id === stop.visit)
    const startTime = clockOf(stop.startMin)
    if (!visit || visit.state !== 'planned' || (visit.crewId === cell.crewId && visit.day === cell.day && visit.startTime === startTime)) return []
    return [{ id: visit.id, version: visit.version, day: cell.day, startTime, crewId: cell.crewId as VisitMove['crewId'] }]
  })
}

/** The same visits where they were; each has gone up by one version. */
const takenBack = (moves: readonly VisitMove[], visits: readonly VisitLine[]): VisitMove[] =>
  moves.map(({ id, version }) => {
    const visit = visits.find((v) => v.id === id)!
    return { id, version: version + 1, day: visit.day, startTime: visit.startTime, crewId: visit.crewId }
  })
