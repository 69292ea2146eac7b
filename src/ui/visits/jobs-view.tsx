import Link from 'next/link'
import type { jobsPage } from '@/server/visits/own-jobs'

/** Kinds of visits: each opens its steps, to be worded and ordered the firm's own way. */
export function JobsView({ jobs }: { jobs: Awaited<ReturnType<typeof jobsPage>> }) {
  return (
    <>
      <div className="page-head">
        <h1>Kinds of visits</h1>
        <Link href="/practice">House practice</Link>
        <span className="soft">The steps of the field sheet, in your own words and order. Visits that are planned keep the copy they have.</span>
      </div>
      <section className="sheet">
        <ul className="plain-list">
          {jobs.map((job) => (
            <li key={job.key} className="d-flex gap-2">
              <Link href={`/practice/jobs/${job.key}`}>{job.name}</Link>
              <span className="soft">{job.steps} steps</span>
              {job.own ? <span className="verdict pass">your own</span> : null}
            </li>
          ))}
        </ul>
      </section>
    </>
  )
}
