'use client'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { duration } from '@/domain/shared/dates'
import type { durationsPage } from '@/server/visits/durations'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send, type SendProblem } from '@/ui/send'

const MOST_PONDS = 6

/** What logged visits have taught about how long things take, shown and resettable. */
export function LearntDurations({ lessons }: { lessons: Awaited<ReturnType<typeof durationsPage>> }) {
  const router = useRouter()
  const [problem, setProblem] = useState<SendProblem | null>(null)
  if (lessons.length === 0) return null
  const forget = async (job: string) => {
    const outcome = await send('POST', '/api/v1/durations/forget', { job })
    setProblem(outcome.ok ? null : outcome.problem)
    if (outcome.ok) router.refresh()
  }
  return (
    <details className="sheet">
      <summary>
        <strong>Learnt durations</strong> <span className="soft">from starts and ends logged in the field</span>
      </summary>
      <ul className="plain-list mt-2">
        {lessons.map((l) => (
          <li key={l.job}>
            <div className="d-flex flex-wrap gap-2 align-items-baseline">
              <strong>{l.name}</strong>
              <span>
                reckoned {duration(l.usualMin)}, takes about {duration(l.usualMin * l.factor)}
              </span>
              <span className="soft small">
                {l.visits} {l.visits === 1 ? 'visit' : 'visits'}; × {l.factor.toFixed(2)}
              </span>
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary ms-auto"
                onClick={() => void forget(l.job)}
                aria-label={`Forget what was learnt about ${l.name}`}
              >
                Forget, learn anew
              </button>
            </div>
            <ul className="small soft mb-0">
              {l.ponds.slice(0, MOST_PONDS).map((p) => (
                <li key={p.pondId}>
                  {p.name}: usually {duration(l.usualMin * l.factor)}, this pond {duration(l.usualMin * p.factor)} ({p.visits}{' '}
                  {p.visits === 1 ? 'visit' : 'visits'})
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
      <ProblemNote problem={problem} />
    </details>
  )
}
