'use client'
import {
  KeyboardSensor,
  MouseSensor,
  TouchSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragOverEvent,
} from '@dnd-kit/core'
import { useState } from 'react'
import type { Judged } from '@/domain/rounds/board-moves'
import { moveProblemWords } from '@/messages/schedule/planning'
import type { RoundsPageData } from '@/server/rounds/rounds'
import { useConfirm } from '@/ui/kit/confirm'
import { useTexts } from '@/ui/kit/texts'
import { send } from '@/ui/send'
import { useDone } from '@/ui/use-done'
import { toNextCell } from './to-next-cell'
import { cellOf, useBoard } from './use-board'

/** A visit that hangs over a crew's day, and what that would do. */
export interface Hang {
  /** The cell it hangs over. */
  readonly over: string | null
  readonly judged: Judged | null
  readonly siteOf: (visitId: string) => string
}

/** Carrying visits over the board, by mouse, finger and keys: judged while they hang, asked about when it breaks. */
export function useHang(data: RoundsPageData) {
  const t = useTexts()

  const board = useBoard(data.board, data.visits)
  const [over, setOver] = useState<string | null>(null)
  const [judged, setJudged] = useState<Judged | null>(null)
  const siteOf = (id: string) => data.visits.find((v) => v.id === id)?.siteName ?? t('rounds.roundsView.anotherSite')
  // a short way or a short hold tells a drag from a click, with mouse, finger and keyboard
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
    useSensor(KeyboardSensor, {
      keyboardCodes: { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] },
      coordinateGetter: toNextCell,
    }),
  )
  const letGo = () => {
    setOver(null)
    setJudged(null)
  }
  const confirm = useConfirm()
  const done = useDone()
  const drop = async (event: DragEndEvent) => {
    const found = event.over ? board.judge(String(event.active.id), cellOf(String(event.over.id))) : null
    letGo()
    if (!found || found.moves.length === 0) return
    const words = found.problems.map((p) => moveProblemWords(p, siteOf, t)).join('; ')
    // the office may know better, but not by a slip of the hand
    if (words) {
      const question = {
        words: t('rounds.roundsView.confirmConflict', { words }),
        goOn: t('rounds.roundsView.moveAnyway'),
      }
      if (!(await confirm(question))) return
    }
    const back = await board.place(found)
    if (back) done(t('rounds.roundsView.moved'), () => send('PUT', '/api/v1/visits/arrange', { moves: back }))
  }
  return {
    hang: { over, judged, siteOf } satisfies Hang,
    problem: board.problem,
    carrying: {
      sensors,
      onDragOver: (event: DragOverEvent) => {
        const id = event.over ? String(event.over.id) : null
        setOver(id)
        setJudged(id ? board.judge(String(event.active.id), cellOf(id)) : null)
      },
      onDragEnd: (event: DragEndEvent) => void drop(event),
      onDragCancel: letGo,
    },
  }
}
