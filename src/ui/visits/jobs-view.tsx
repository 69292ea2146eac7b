'use client'
import { useTexts } from '@/ui/kit/texts'
import Link from 'next/link'
import type { jobsPage } from '@/server/visits/own-jobs'

/** Kinds of visits: each opens its steps, to be worded and ordered the firm's own way. */
export function JobsView({ jobs }: { jobs: Awaited<ReturnType<typeof jobsPage>> }) {
  const t = useTexts()

  return (
    <>
      <div className="page-head">
        <h1>{t('visits.jobsView.kindsVisits')}</h1>
        <Link href="/practice">{t('visits.jobsView.housePractice')}</Link>
        <span className="soft">{t('visits.jobsView.stepsFieldSheetYour')}</span>
      </div>
      <section className="sheet">
        <ul className="plain-list">
          {jobs.map((job) => (
            <li key={job.key} className="d-flex gap-2">
              <Link href={`/practice/jobs/${job.key}`}>{job.name}</Link>
              <span className="soft">{t('visits.jobsView.steps', { steps: job.steps })}</span>
              {job.own ? <span className="verdict pass">{t('visits.jobsView.yourOwn')}</span> : null}
            </li>
          ))}
        </ul>
      </section>
    </>
  )
}
