'use client'
import { useTexts } from '@/ui/kit/texts'
import { visitMinutes } from '@/core/visits/learn-duration'
import { duration } from '@/domain/shared/dates'
import { formatNumber } from '@/core/units/format'
import type { DurationsData } from '@/server/visits/durations'
import { ProblemNote } from '@/ui/kit/problem-note'
import { send } from '@/ui/send'
import { jobName } from '@/messages/visits/visit-words'
import { useSave } from '@/ui/use-save'

const MAX_PONDS = 6

/** What logged visits have taught about how long things take, shown and resettable. */
export function LearntDurations({ corrections: { jobs, crews } }: { corrections: DurationsData }) {
  const t = useTexts()

  const { problem, ask } = useSave()
  if (jobs.length === 0) return null
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
        {jobs.map((job) => (
          <li key={job.job}>
            <div className="d-flex flex-wrap gap-2 align-items-baseline">
              <strong>{jobName(job.job, t)}</strong>
              <JobTimes job={job} />
              <button
                type="button"
                className="btn btn-sm btn-outline-secondary ms-auto"
                onClick={() => void forget(job.job)}
                aria-label={t('schedule.learntDurations.forgetWhatLearntAbout', { name: jobName(job.job, t) })}
              >
                {t('schedule.learntDurations.forgetLearnAnew')}
              </button>
            </div>
            <ul className="small soft mb-0">
              {job.ponds.slice(0, MAX_PONDS).map((p) => (
                <li key={p.id}>
                  {t('schedule.learntDurations.usuallyPond', {
                    name: p.name,
                    usualMin: duration(job.handsMin * job.factor + job.machineMin),
                    usualMin2: duration(job.handsMin * p.factor + job.machineMin),
                    visits: p.visits,
                  })}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
      {crews.length > 1 ? (
        <>
          <h3 className="h6 mt-2">{t('schedule.learntDurations.crews')}</h3>
          <ul className="small mb-0">
            {crews.map((crew) => (
              <li key={crew.id}>
                {t('schedule.learntDurations.crewPace', {
                  name: crew.name,
                  pace: formatNumber(crew.factor),
                  visits: crew.visits,
                })}
              </li>
            ))}
          </ul>
        </>
      ) : null}
      <p className="soft small mt-2 mb-0">{t('schedule.learntDurations.handworkOnly')}</p>
      <ProblemNote problem={problem} />
    </details>
  )
}

/** What a job was estimated at, what it takes, and between what in four of five visits. */
function JobTimes({ job }: { job: DurationsData['jobs'][number] }) {
  const t = useTexts()
  const { meanMin, lowMin, highMin } = visitMinutes(job.handsMin, job.machineMin, job)
  return (
    <>
      <span>
        {t('schedule.learntDurations.reckonedTakesAbout', {
          usualMin: duration(job.handsMin + job.machineMin),
          usualMin2: duration(meanMin),
          low: duration(lowMin),
          high: duration(highMin),
        })}
      </span>
      <span className="soft small">{t('schedule.learntDurations.visits', { visits: job.visits })}</span>
    </>
  )
}
