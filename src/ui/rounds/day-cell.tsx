'use client'
import { useDroppable } from '@dnd-kit/core'
import Link from 'next/link'
import { clockOf } from '@/domain/people/crew-setup'
import type { Crew } from '@/domain/people/people'
import type { RoundsDay, RoundsPageData } from '@/server/rounds/rounds'
import type { VisitLine } from '@/server/visits/visit-line-repository'
import { Icon } from '@/ui/kit/icon'
import { useTexts } from '@/ui/kit/texts'
import type { DayAxis } from './day-axis'
import { DayBar } from './day-bar'
import { DropVerdict, dropClass } from './drop-verdict'
import { LoadNote } from './load-note'
import { StopCard } from './stop-card'
import type { Hang } from './use-hang'
import { cellId } from './use-board'

export interface DayCellProps {
  readonly crew: Crew
  readonly round: RoundsDay
  readonly axis: DayAxis
  readonly isToday: boolean
  /** When its crew is elsewhere. */
  readonly busy: RoundsPageData['busy']
  readonly movable: boolean
  /** What hangs over the board. */
  readonly hang: Hang
  readonly onChoose: (visit: VisitLine) => void
}

/** One crew's day in a week: how full it is, its stops in order, and what a visit that hangs over it would break. */
export function DayCell({ crew, round, axis, isToday, busy, movable, hang, onChoose }: DayCellProps) {
  const t = useTexts()

  const { setNodeRef } = useDroppable({ id: cellId(round), disabled: !movable })
  const judged = hang.over === cellId(round) ? hang.judged : null
  return (
    <div
      ref={setNodeRef}
      className={`day-cell ${isToday ? 'today' : ''} ${dropClass(judged)}`}
      data-cell={cellId(round)}
      data-date={t.shortDate(round.day)}
    >
      {round.stops.length > 0 ? <DayBar round={round} axis={axis} setup={crew.setup} /> : null}
      {crew.setup.daysOff.includes(round.day) ? <p className="away">{t('rounds.dayCell.dayOff')}</p> : null}
      {busy.map((b) => (
        <p key={`${b.startMin} ${b.title}`} className="away">
          {t('rounds.dayCell.away', { from: clockOf(b.startMin), to: clockOf(b.endMin), title: b.title })}
        </p>
      ))}
      {round.stops.map((visit) => (
        <StopCard key={visit.id} visit={visit} movable={movable && visit.state === 'planned'} onChoose={onChoose} />
      ))}
      {round.stops.length > 0 ? (
        <p className="cell-foot">
          <LoadNote round={round} setup={crew.setup} />{' '}
          <Link href={`/rounds/${crew.id}/${round.day}`} aria-label={t('rounds.dayCell.daySheet', { day: round.day })}>
            <Icon name="file-earmark-text" />
          </Link>
        </p>
      ) : null}
      <DropVerdict judged={judged} siteOf={hang.siteOf} />
    </div>
  )
}
