'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import type { VisitTypesData } from '@/server/visits/own-visit-types'
import { jobName } from '@/messages/visits/visit-words'

/** Visit types: each opens its steps, to be worded and ordered the firm's own way. */
export function VisitTypesView({ jobs }: { jobs: VisitTypesData }) {
  const t = useTexts()

  return (
    <>
      <div className="page-head">
        <h1>{t('visits.visitTypesView.kindsVisits')}</h1>
        <Link href="/house-rules">{t('visits.visitTypesView.houseRules')}</Link>
        <span className="soft">{t('visits.visitTypesView.stepsFieldSheetYour')}</span>
      </div>
      <section className="sheet">
        <ul className="plain-list">
          {jobs.map((job) => (
            <li key={job.key} className="d-flex gap-2">
              <Link href={`/visit-types/${job.key}`}>{jobName(job.key, t)}</Link>
              <span className="soft">{t('visits.visitTypesView.steps', { steps: job.steps })}</span>
              {job.own ? <span className="verdict pass">{t('visits.visitTypesView.yourOwn')}</span> : null}
            </li>
          ))}
        </ul>
      </section>
    </>
  )
}
