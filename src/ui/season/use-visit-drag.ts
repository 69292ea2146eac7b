'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import { addDays } from '@/core/numeric/calendar'
import { takenBack } from '@/domain/rounds/board-moves'
import type { VisitMove } from '@/domain/visits/visit'
import type { DayVerdicts } from '@/server/rounds/day-verdicts'
import { fetchJson, send, type SendProblem } from '@/ui/send'
import { useConfirm } from '@/ui/kit/confirm'

/**
 * idle → asking (the drag has begun, verdicts are on their way) → hanging over a day → settling (being saved) → idle
 */
export type VisitDrag =
  | { readonly state: 'idle' }
  | { readonly state: 'asking'; readonly visitId: string; readonly day: string }
  | { readonly state: 'hanging'; readonly visitId: string; readonly day: string; readonly verdicts: DayVerdicts }
  | { readonly state: 'settling'; readonly visitId: string; readonly day: string; readonly verdicts: DayVerdicts }

/** Asks the newest state, not the one in which a drag began, to put the visit down. */
export const SETTLE_EVENT = 'season-drop'

export const verdictOf = (drag: VisitDrag) =>
  'verdicts' in drag ? (drag.verdicts.days.find((d) => d.day === drag.day) ?? null) : null

/** A visit being moved along its ribbon: what each day would break is asked for once, then answered at once. */
export function useVisitDrag(wordsOf: (drag: VisitDrag) => string) {
  const t = useTexts()

  const router = useRouter()
  const confirm = useConfirm()
  const [drag, setDrag] = useState<VisitDrag>({ state: 'idle' })
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [undo, setUndo] = useState<readonly VisitMove[] | null>(null)
  const wanted = useRef<string | null>(null)
  // put down before the answer was there: it is settled as soon as it is
  const early = useRef(false)

  const begin = async (visitId: string, day: string) => {
    wanted.current = visitId
    early.current = false
    setDrag({ state: 'asking', visitId, day })
    const answer = await fetchJson<DayVerdicts>(`/api/v1/visits/${visitId}/days`)
    if (wanted.current !== visitId) return
    if (!answer.ok) {
      setDrag({ state: 'idle' })
      setProblem(
        answer.problem.kind === 'offline'
          ? { ...answer.problem, title: t('season.useVisitDrag.noConnectionVisitStays') }
          : answer.problem,
      )
      return
    }
    const verdicts = answer.value
    setDrag((now) => ({ state: 'hanging', visitId, day: now.state === 'idle' ? day : now.day, verdicts }))
    if (early.current) document.dispatchEvent(new CustomEvent(SETTLE_EVENT))
  }
  const over = (day: string) =>
    setDrag((now) => (now.state === 'asking' || now.state === 'hanging' ? { ...now, day } : now))
  const step = (by: number) => setDrag((now) => (now.state === 'hanging' ? { ...now, day: addDays(now.day, by) } : now))
  const cancel = () => {
    wanted.current = null
    setDrag({ state: 'idle' })
  }
  const drop = async () => {
    if (drag.state === 'asking') {
      early.current = true
      return
    }
    const verdict = verdictOf(drag)
    if (drag.state !== 'hanging' || !verdict || drag.day === drag.verdicts.visit.day) return cancel()
    const words = wordsOf(drag)
    // the office may know better, but not by a slip of the hand
    setDrag({ ...drag, state: 'settling' })
    if (verdict.problems.length > 0) {
      const question = {
        words: t('season.useVisitDrag.confirmConflict', { words }),
        goOn: t('season.useVisitDrag.moveAnyway'),
      }
      if (!(await confirm(question))) return cancel()
    }
    const outcome = await send('PUT', '/api/v1/visits/arrange', { moves: verdict.moves })
    setProblem(outcome.ok ? null : outcome.problem)
    // only the dragged visit is put back; what made room for it stays
    const { visit } = drag.verdicts
    setUndo(
      outcome.ok
        ? takenBack(
            verdict.moves.filter((m) => m.id === visit.id),
            [visit],
          )
        : null,
    )
    cancel()
    router.refresh()
  }
  const takeBack = async () => {
    if (!undo) return
    const outcome = await send('PUT', '/api/v1/visits/arrange', { moves: undo })
    setProblem(outcome.ok ? null : outcome.problem)
    setUndo(null)
    router.refresh()
  }
  return { drag, begin, over, step, drop, cancel, problem, canUndo: undo !== null, takeBack }
}
