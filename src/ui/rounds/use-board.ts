'use client'
import { useMemo } from 'react'
import type { PlanInput } from '@/core/schedule/plan/plan-input'
import { assignmentsOf, bestPlace, takenBack, type BoardCell, type Judged } from '@/domain/rounds/board-moves'
import type { VisitMove } from '@/domain/visits/visit'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import type { BoardInput } from '@/server/rounds/board'
import { send } from '@/ui/send'
import { useSave } from '@/ui/use-save'

export const cellId = ({ crewId, day }: BoardCell): string => `${crewId} ${day}`
export const cellOf = (id: string): BoardCell => ({
  crewId: id.slice(0, id.indexOf(' ')),
  day: id.slice(id.indexOf(' ') + 1),
})

/** Moves on the rounds board: judged while dragging, made in one go. */
export function useBoard(board: BoardInput | null, visits: readonly VisitLine[]) {
  const { problem, ask } = useSave()
  const input = useMemo<PlanInput | null>(
    () => (board ? { ...board, travel: Float64Array.from(board.travel) } : null),
    [board],
  )
  const plan = useMemo(() => assignmentsOf(visits), [visits])
  return {
    problem,
    judge: (visitId: string, cell: BoardCell): Judged | null => input && bestPlace(input, plan, visits, visitId, cell),
    /** @returns the moves that take it back; null where nothing was moved */
    place: async (judged: Judged): Promise<readonly VisitMove[] | null> => {
      if (judged.moves.length === 0) return null
      const moved = await ask(send('PUT', '/api/v1/visits/arrange', { moves: judged.moves }))
      return moved === null ? null : takenBack(judged.moves, visits)
    },
  }
}
