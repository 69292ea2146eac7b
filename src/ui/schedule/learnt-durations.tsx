'use client'
import { useTexts } from '@/ui/kit/texts'
import { duration } from '@/domain/shared/dates'
import type { DurationsData } from '@/server/visits/durations'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send } from '@/ui/send'
import { jobName } from '@/messages/visits/visit-words'
import { useSave } from '@/ui/use-save'

const MAX_PONDS = 6

/** What logged visits have taught about how long things take, shown and resettable. */
export function LearntDurations({ corrections }: { corrections: DurationsData }) {
  const t = useTexts()

  const { problem, ask } = useSave()
  if (corrections.length === 0) return null
  const forget = async (job: string) => {
    await ask(send('POST', '/api/v1/durations/forget', { job }))
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
              <strong>{jobName(l.job, t)}</strong>
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
                aria-label={t('schedule.learntDurations.forgetWhatLearntAbout', { name: jobName(l.job, t) })}
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
