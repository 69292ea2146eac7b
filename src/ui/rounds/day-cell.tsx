'use client'
import { useDraggable, useDroppable } from '@dnd-kit/core'
import Link from 'next/link'
import { clockAfter } from '@/domain/schedule/clash'
import { duration } from '@/domain/shared/dates'
import { moveProblemWords } from '@/messages/en/planning'
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
  const { setNodeRef } = useDroppable({ id: cellId(cell), disabled: !movable })
  return (
    <div ref={setNodeRef} className={`${isToday ? 'today' : ''} ${judged ? (judged.problems.length === 0 ? 'fits' : 'breaks') : ''}`} data-cell={cellId(cell)}>
      {stops.map((visit) => (
        <StopCard key={visit.id} visit={visit} movable={movable && visit.state === 'planned'} onChoose={onChoose} />
      ))}
      {stops.length > 0 ? (
        <Link className="small" href={`/rounds/${cell.crewId}/${cell.day}`} aria-label={`Day sheet, ${cell.day}`}>
          {duration(stops.reduce((sum, v) => sum + v.plannedMinutes, 0))} on site
        </Link>
      ) : null}
      {judged ? (
        <span className="small d-block">
          {judged.problems.length === 0 ? `Fits; ${cost(judged.costMin)}.` : `Breaks: ${judged.problems.map((p) => moveProblemWords(p, siteOf)).join('; ')}.`}
        </span>
      ) : null}
    </div>
  )
}

const cost = (minutes: number): string =>
  Math.abs(minutes) < 1
    ? 'costs nothing'
    : minutes > 0
      ? `costs as much as ${Math.round(minutes)} min of road`
      : `saves as much as ${Math.round(-minutes)} min of road`

function StopCard({ visit, movable, onChoose }: { visit: VisitLine; movable: boolean; onChoose: (visit: VisitLine) => void }) {
  const { setNodeRef, listeners, attributes, isDragging, transform } = useDraggable({ id: visit.id, disabled: !movable })
  return (
    <button
      ref={setNodeRef}
      type="button"
      className={`stop-card ${visit.state} ${isDragging ? 'dragging' : ''}`}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      {...(movable ? { ...attributes, ...listeners } : {})}
      onClick={() => onChoose(visit)}
      aria-label={`${visit.jobName} at ${visit.siteName}, ${visit.startTime}`}
    >
      <strong>
        {visit.startTime}–{clockAfter(visit.startTime, visit.plannedMinutes)}
      </strong>
      <br />
      {visit.siteName}
      <br />
      <span className="soft">
        {visit.jobName} · {visit.town}
        {visit.locked ? ' · promised' : ''}
      </span>
    </button>
  )
}
