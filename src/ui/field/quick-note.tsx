'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { VisitId } from '@/domain/ids'
import { ProblemNote } from '@/ui/components/problem-note'
import { newId } from '@/ui/new-id'
import { send, type SendProblem } from '@/ui/send'

/** A note that belongs to the visit and to no step. */
export function QuickNote({ visitId }: { visitId: VisitId }) {
  const router = useRouter()
  const [text, setText] = useState('')
  const [problem, setProblem] = useState<SendProblem | null>(null)
  const [saved, setSaved] = useState(false)
  const save = async () => {
    const outcome = await send('POST', `/api/v1/visits/${visitId}/entries`, { kind: 'note', id: newId(), stepKey: null, at: new Date().toISOString(), text })
    setProblem(outcome.ok ? null : outcome.problem)
    if (!outcome.ok) return
    setText('')
    setSaved(true)
    router.refresh()
  }
  return (
    <details className="mt-2 border-bottom">
      <summary>Write a note</summary>
      <textarea className="form-control" rows={2} aria-label="Note about this visit" value={text} onChange={(e) => setText(e.target.value)} />
      <ProblemNote problem={problem} />
      <button className="btn btn-outline-primary w-100 my-2" disabled={text.trim() === ''} onClick={() => void save()}>
        Keep the note
      </button>
      {saved ? (
        <p role="status" className="soft">
          Kept.
        </p>
      ) : null}
    </details>
  )
}
