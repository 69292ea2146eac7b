'use client'
import Link from 'next/link'
import { fieldHref } from '@/domain/field/field-href'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import { useTexts } from '@/ui/kit/texts'

/** Fewer visits than this are named one by one. */
const FEW_VISITS = 8

/** The next two weeks: a line for each day, or for each visit where there are only a few. */
export function ComingDays({ visits }: { visits: readonly VisitLine[] }) {
  const t = useTexts()
  return (
    <section className="sheet">
      <h2>{t('today.todayView.nextTwoWeeks')}</h2>
      {visits.length === 0 ? <p className="soft mb-0">{t('today.todayView.nothingPlannedNext14')}</p> : null}
      <ul className="plain-list">
        {visits.length <= FEW_VISITS
          ? visits.map((visit) => <VisitOfDay key={visit.id} visit={visit} />)
          : [...new Set(visits.map(({ day }) => day))].map((day) => (
              <DayOfVisits key={day} day={day} visits={visits.filter((visit) => visit.day === day)} />
            ))}
      </ul>
      <Link href="/rounds">{t('today.todayView.allRounds')}</Link>
    </section>
  )
}

function VisitOfDay({ visit: v }: { visit: VisitLine }) {
  const t = useTexts()

  return (
    <li className="d-flex flex-wrap column-gap-2 align-items-baseline">
      <span>
        {t.shortDate(v.day)} {v.startTime}
      </span>
      <strong>{v.crewName}</strong>
      <Link href={fieldHref(v.id)}>
        {v.jobName}: {v.siteName}, {v.pondName}
      </Link>
    </li>
  )
}

function DayOfVisits({ day, visits }: { day: string; visits: readonly VisitLine[] }) {
  const t = useTexts()
  const crews = new Set(visits.map(({ crewName }) => crewName)).size
  const hours = visits.reduce((sum, { plannedMinutes }) => sum + plannedMinutes, 0) / 60
  const towns = [...new Set(visits.map(({ town }) => town))].sort().join(', ')
  return (
    <li className="d-flex flex-wrap column-gap-2 align-items-baseline">
      <Link href={`/rounds?day=${day}`}>{t.shortDate(day)}</Link>
      <span>{t('today.todayView.visitsOfDay', { count: visits.length, crews, hours: Math.round(hours) })}</span>
      <span className="soft">{towns}</span>
    </li>
  )
}
