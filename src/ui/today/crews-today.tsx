'use client'
import Link from 'next/link'
import { useTexts } from '@/ui/kit/texts'
import { clockAfter } from '@/domain/schedule/clash'
import { fieldHref } from '@/domain/field/field-href'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import { Unfold } from '@/ui/kit/unfold'

/** Few visits are all shown; of many, what is done is folded away. */
const FEW_VISITS = 8

const isOver = ({ state }: VisitLine): boolean => state === 'done' || state === 'given-up'

/** The rounds of today crew by crew: how far each is, what it does now and next. */
export function CrewsToday({ visits }: { visits: readonly VisitLine[] }) {
  const t = useTexts()
  const crews = [...new Set(visits.map(({ crewName }) => crewName))].sort()
  return (
    <section className="sheet">
      <h2>{t('today.todayView.waterToday')}</h2>
      {visits.length === 0 ? <p className="soft mb-0">{t('today.todayView.noVisitsToday')}</p> : null}
      {crews.map((crew) => (
        <CrewToday
          key={crew}
          crew={crew}
          visits={visits.filter(({ crewName }) => crewName === crew)}
          folds={visits.length > FEW_VISITS}
        />
      ))}
    </section>
  )
}

function CrewToday({ crew, visits, folds }: { crew: string; visits: readonly VisitLine[]; folds: boolean }) {
  const t = useTexts()
  const over = visits.filter(isOver)
  const open = visits.filter((visit) => !isOver(visit))
  const progress = t('today.todayView.doneOf', { done: over.length, count: visits.length })
  return (
    <div className="mb-3">
      <div className="d-flex align-items-center gap-2">
        <h3 className="mb-0">{crew}</h3>
        <div
          className="progress flex-grow-1"
          role="progressbar"
          aria-label={t('today.todayView.crewProgress', { crew })}
          aria-valuemin={0}
          aria-valuemax={visits.length}
          aria-valuenow={over.length}
        >
          <div className="progress-bar" style={{ width: `${(over.length / visits.length) * 100}%` }} />
        </div>
        <span className="soft small text-nowrap">{progress}</span>
      </div>
      {over.length > 0 && folds ? (
        <Unfold className="mt-1" label={t('today.todayView.showDone', { count: over.length })}>
          <Lines visits={over} />
        </Unfold>
      ) : (
        <Lines visits={over} />
      )}
      <Lines visits={open} />
    </div>
  )
}

function Lines({ visits }: { visits: readonly VisitLine[] }) {
  const t = useTexts()
  if (visits.length === 0) return null
  return (
    <ul className="plain-list mb-0">
      {visits.map((v) => (
        <li key={v.id} className="d-flex flex-wrap column-gap-2 align-items-baseline">
          <span>
            {v.startTime}–{clockAfter(v.startTime, v.plannedMinutes)}
          </span>
          <Link href={v.state === 'done' ? `/visits/${v.id}/report` : fieldHref(v.id)}>
            {v.jobName}: {v.siteName}, {v.pondName}
          </Link>
          <span className="soft">
            {v.state === 'planned' ? v.town : `${v.town} · ${t(`visits.visitStateNames.${v.state}`)}`}
          </span>
        </li>
      ))}
    </ul>
  )
}
