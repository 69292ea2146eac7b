'use client'
import { type Texts, useTexts } from '@/ui/kit/texts'
import { useDraggable, useDroppable } from '@dnd-kit/core'
import Link from 'next/link'
import { clockAfter } from '@/domain/schedule/clash'
import { duration } from '@/domain/shared/dates'
import { moveProblemWords } from '@/messages/schedule/planning'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import type { BoardCell, Judged } from '@/domain/rounds/board-moves'
import { cellId } from './use-board'

interface DayCellProps {
  readonly cell: BoardCell
  readonly isToday: boolean
  readonly stops: readonly VisitLine[]
  readonly movable: boolean
  /** What the dragged visit would do here; null while nothing hangs over it. */
  readonly judged: Judged | null
  readonly siteOf: (visitId: string) => string
  readonly onChoose: (visit: VisitLine) => void
}

/** One crew's day: its stops in order, and what a visit that hangs over it would break and cost. */
export function DayCell({ cell, isToday, stops, movable, judged, siteOf, onChoose }: DayCellProps) {
  const t = useTexts()

  const { setNodeRef } = useDroppable({ id: cellId(cell), disabled: !movable })
  const dropClass = () => {
    if (judged) {
      if (judged.problems.length === 0) return 'fits'
      return 'breaks'
    }
    return ''
  }
  return (
    <div ref={setNodeRef} className={`${isToday ? 'today' : ''} ${dropClass()}`} data-cell={cellId(cell)}>
      {stops.map((visit) => (
        <StopCard key={visit.id} visit={visit} movable={movable && visit.state === 'planned'} onChoose={onChoose} />
      ))}
      {stops.length > 0 ? (
        <Link
          className="small"
          href={`/rounds/${cell.crewId}/${cell.day}`}
          aria-label={t('rounds.dayCell.daySheet', { day: cell.day })}
        >
          {t('rounds.dayCell.site', { reduce: duration(stops.reduce((sum, v) => sum + v.plannedMinutes, 0)) })}
        </Link>
      ) : null}
      {judged ? (
        <span className="small d-block">
          {judged.problems.length === 0
            ? t('rounds.dayCell.fits', { costMin: cost(judged.costMin, t) })
            : t('rounds.dayCell.breaks', {
                map: judged.problems.map((p) => moveProblemWords(p, siteOf, t)).join('; '),
              })}
        </span>
      ) : null}
    </div>
  )
}

const cost = (minutes: number, t: Texts): string => {
  if (Math.abs(minutes) < 1) return t('rounds.dayCell.costsNothing')
  if (minutes > 0) return t('rounds.dayCell.costsMuchMinRoad', { minutes: Math.round(minutes) })
  return t('rounds.dayCell.savesMuchMinRoad', { minutes: Math.round(-minutes) })
}

function StopCard({
  visit,
  movable,
  onChoose,
}: {
  visit: VisitLine
  movable: boolean
  onChoose: (visit: VisitLine) => void
}) {
  const t = useTexts()

  const { setNodeRef, listeners, attributes, isDragging, transform } = useDraggable({
    id: visit.id,
    disabled: !movable,
  })
  return (
    <button
      ref={setNodeRef}
      type="button"
      className={`stop-card ${visit.state} ${isDragging ? 'dragging' : ''}`}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      {...(movable ? { ...attributes, ...listeners } : {})}
      onClick={() => onChoose(visit)}
      aria-label={t('rounds.dayCell.at', {
        jobName: visit.jobName,
        siteName: visit.siteName,
        startTime: visit.startTime,
      })}
    >
      <strong>
        {visit.startTime}–{clockAfter(visit.startTime, visit.plannedMinutes)}
      </strong>
      <br />
      {visit.siteName}
      <br />
      <span className="soft">
        {visit.jobName} · {visit.town}
        {visit.locked ? t('rounds.dayCell.promised') : ''}
      </span>
    </button>
  )
}
