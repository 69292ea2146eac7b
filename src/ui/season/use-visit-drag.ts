'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import { takenBack } from '@/domain/rounds/board-moves'
import type { VisitMove } from '@/domain/visits/visit'
import type { DayVerdicts } from '@/server/rounds/day-verdicts'
import { fetchJson, send, type SendOutcome } from '@/ui/send'
import { useAsk } from '@/ui/use-ask'
import { useConfirm } from '@/ui/kit/confirm'

/**
 * idle → asking (the drag has begun, verdicts are on their way) → hanging over a day → settling (being saved) → idle
 */
export type VisitDrag =
  | { readonly state: 'idle' }
  | { readonly state: 'asking'; readonly visitId: string; readonly day: string; readonly letGo: boolean }
  | { readonly state: 'hanging'; readonly visitId: string; readonly day: string; readonly verdicts: DayVerdicts }
  | { readonly state: 'settling'; readonly visitId: string; readonly day: string; readonly verdicts: DayVerdicts }

export const verdictOf = (drag: VisitDrag) =>
  'verdicts' in drag ? (drag.verdicts.days.find((d) => d.day === drag.day) ?? null) : null

/** A visit being moved along its ribbon: what each day would break is asked for once, then answered at once. */
export function useVisitDrag(
  wordsOf: (drag: VisitDrag) => string,
  /** Told of a move that was made, with those that take it back. */
  onMoved: (back: readonly VisitMove[]) => void,
) {
  const t = useTexts()
  const router = useRouter()
  const confirm = useConfirm()
  const [drag, setDrag] = useState<VisitDrag>({ state: 'idle' })
  // an answer that comes later goes on from the newest state, not from the one in which it was asked for
  const newest = useRef<VisitDrag>(drag)
  const { problem, ask } = useAsk()

  const go = (next: VisitDrag) => {
    newest.current = next
    setDrag(next)
  }
  const cancel = () => go({ state: 'idle' })

  const daysOf = async (visitId: string): Promise<SendOutcome<DayVerdicts>> => {
    const answer = await fetchJson<DayVerdicts>(`/api/v1/visits/${visitId}/days`)
    if (answer.ok || answer.problem.kind !== 'offline') return answer
    return { ok: false, problem: { ...answer.problem, title: t('season.useVisitDrag.noConnectionVisitStays') } }
  }
  const begin = async (visitId: string, day: string) => {
    go({ state: 'asking', visitId, day, letGo: false })
    const verdicts = await ask(daysOf(visitId))
    const now = newest.current
    if (now.state !== 'asking' || now.visitId !== visitId) return
    if (!verdicts) return cancel()
    go({ state: 'hanging', visitId, day: now.day, verdicts })
    // put down before the answer was there: it is settled as soon as it is
    if (now.letGo) await drop()
  }
  const over = (day: string) => {
    const now = newest.current
    if ((now.state === 'asking' || now.state === 'hanging') && now.day !== day) go({ ...now, day })
  }
  const drop = async () => {
    const now = newest.current
    if (now.state === 'asking') return go({ ...now, letGo: true })
    const verdict = verdictOf(now)
    if (now.state !== 'hanging' || !verdict || now.day === now.verdicts.visit.day) return cancel()
    const { visit } = now.verdicts
    const words = wordsOf(now)
    go({ ...now, state: 'settling' })
    // the office may know better, but not by a slip of the hand
    if (verdict.problems.length > 0) {
      const question = {
        words: t('season.useVisitDrag.confirmConflict', { words }),
        goOn: t('season.useVisitDrag.moveAnyway'),
      }
      if (!(await confirm(question))) return cancel()
    }
    const moved = await ask(send('PUT', '/api/v1/visits/arrange', { moves: verdict.moves }))
    // only the dragged visit is put back; what made room for it stays
    if (moved)
      onMoved(
        takenBack(
          verdict.moves.filter((m) => m.id === visit.id),
          [visit],
        ),
      )
    cancel()
    router.refresh()
  }
  return { drag, begin, over, drop, cancel, problem }
}
