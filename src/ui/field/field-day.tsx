'use client'
import Link from 'next/link'
import { clockAfter } from '@/domain/clash'
import { longDate, shortDate } from '@/domain/dates'
import type { VisitInContext } from '@/domain/visit'
import type { fieldDay } from '@/server/use-cases/field'
import { VISIT_STATE_NAMES } from '@/ui/messages/visits'

type DayData = Awaited<ReturnType<typeof fieldDay>>

/** The stops of a day in order, large enough for gloves. */
export function FieldDay({ data }: { data: DayData }) {
  return (
    <>
      <h1 className="fs-3">{data.day === data.today ? 'Today' : longDate(data.day)}</h1>
      {data.visits.length === 0 ? (
        <p className="sheet">No stops {data.day === data.today ? 'today' : 'that day'}. The office plans them; they appear here by themselves.</p>
      ) : null}
      {data.visits.map((visit) => (
        <Stop key={visit.id} visit={visit} />
      ))}
      {data.later.length > 0 ? <h2 className="mt-4">Coming up</h2> : null}
      <ul className="plain-list">
        {data.later.map((v) => (
          <li key={v.id}>
            <Link href={`/field/visits/${v.id}`}>
              {shortDate(v.day)} {v.startTime} {v.siteName}
            </Link>
            <span className="soft"> {v.job.name}</span>
          </li>
        ))}
      </ul>
    </>
  )
}

function Stop({ visit }: { visit: VisitInContext }) {
  return (
    <section className="sheet">
      <div className="d-flex justify-content-between">
        <strong>
          {visit.startTime}–{clockAfter(visit.startTime, visit.plannedMinutes)}
        </strong>
        <span className="soft">{VISIT_STATE_NAMES[visit.state]}</span>
      </div>
      <h2 className="fs-4 mb-1">
        {visit.siteName}: {visit.pondName}
      </h2>
      <p className="mb-1">
        {visit.job.name} · {visit.crewName}
      </p>
      <p className="mb-1">
        {visit.address}
        {visit.town ? `, ${visit.town}` : ''}
      </p>
      {visit.accessNotes ? <p className="soft mb-2">{visit.accessNotes}</p> : null}
      {visit.note ? <p className="mb-2">{visit.note}</p> : null}
      <Link
        className="btn btn-primary w-100 d-flex align-items-center justify-content-center"
        href={visit.state === 'done' ? `/visits/${visit.id}/report` : `/field/visits/${visit.id}`}
      >
        {visit.state === 'planned' ? 'Open the visit' : visit.state === 'done' ? 'Read the report' : 'Go on with the visit'}
      </Link>
    </section>
  )
}
