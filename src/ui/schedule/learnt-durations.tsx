'use client'
import { useTexts } from '@/ui/kit/texts'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { duration } from '@/domain/shared/dates'
import type { durationsPage } from '@/server/visits/durations'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send, type SendProblem } from '@/ui/send'

const MAX_PONDS = 6

/** What logged visits have taught about how long things take, shown and resettable. */
export function LearntDurations({ corrections }: { corrections: Awaited<ReturnType<typeof durationsPage>> }) {
  const t = useTexts()

  const router = useRouter()
  const [problem, setProblem] = useState<SendProblem | null>(null)
  if (corrections.length === 0) return null
  const forget = async (job: string) => {
    const outcome = await send('POST', '/api/v1/durations/forget', { job })
    setProblem(outcome.ok ? null : outcome.problem)
    if (outcome.ok) router.refresh()
  }
  return (
    <details className="sheet">
      <summary>
        <strong>{t('schedule.learntDurations.learntDurations')}</strong>{' '}
        <span className="soft">{t('schedule.learntDurations.fromStartsEndsLogged')}</span>
      </summary>
      <ul className="plain-list mt-2">
        {corrections.map((l) => (
          <li key={l.job}>
            <div className="d-flex flex-wrap gap-2 align-items-baseline">
              <strong>{l.name}</strong>
              <span>
                {t('schedule.learntDurations.reckonedTakesAbout', {
                  usualMin: duration(l.usualMin),
                  usualMin2: duration(l.usualMin * l.factor),
                })}
              </span>
              <span className="soft small">
                {t('schedule.learntDurations.visits', { visits: l.visits })}; × {l.factor.toFixed(2)}
              </span>
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary ms-auto"
                onClick={() => void forget(l.job)}
                aria-label={t('schedule.learntDurations.forgetWhatLearntAbout', { name: l.name })}
              >
                {t('schedule.learntDurations.forgetLearnAnew')}
              </button>
            </div>
            <ul className="small soft mb-0">
              {l.ponds.slice(0, MAX_PONDS).map((p) => (
                <li key={p.pondId}>
                  {t('schedule.learntDurations.usuallyPond', {
                    name: p.name,
                    usualMin: duration(l.usualMin * l.factor),
                    usualMin2: duration(l.usualMin * p.factor),
                    visits: p.visits,
                  })}
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
