'use client'
import { useDraggable } from '@dnd-kit/core'
import type { CSSProperties } from 'react'
import { clockAfter } from '@/domain/schedule/clash'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import { useTexts } from '@/ui/kit/texts'

interface StopCardProps {
  readonly visit: VisitLine
  readonly movable: boolean
  readonly onChoose: (visit: VisitLine) => void
  /** Where it stands on an axis; none in a list. */
  readonly place?: CSSProperties
}

/** A visit on the board: pressed it opens, a planned one can be carried to another crew or day. */
export function StopCard({ visit, movable, onChoose, place }: StopCardProps) {
  const t = useTexts()

  const { setNodeRef, listeners, attributes, isDragging, transform } = useDraggable({
    id: visit.id,
    disabled: !movable,
  })
  const end = clockAfter(visit.startTime, visit.plannedMinutes)
  return (
    <button
      ref={setNodeRef}
      type="button"
      className={`stop-card ${visit.state} ${isDragging ? 'dragging' : ''}`}
      style={{ ...place, ...(transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : {}) }}
      {...(movable ? { ...attributes, ...listeners } : {})}
      onClick={() => onChoose(visit)}
      aria-label={t('rounds.dayCell.at', {
        jobName: visit.jobName,
        siteName: visit.siteName,
        startTime: visit.startTime,
      })}
      title={`${visit.startTime}–${end} ${visit.siteName}, ${visit.town}: ${visit.jobName}`}
    >
      <span className="when">
        {visit.startTime}
        <span className="end">–{end}</span>
      </span>{' '}
      <span className="where">{visit.siteName}</span>
      <span className="what">
        {visit.jobName}
        {visit.locked ? t('rounds.dayCell.promised') : ''}
      </span>
    </button>
  )
}
