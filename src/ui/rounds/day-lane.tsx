'use client'
import { useDroppable } from '@dnd-kit/core'
import Link from 'next/link'
import type { CSSProperties } from 'react'
import { minutesOfDay } from '@/domain/people/crew-setup'
import { dayLoad, dayStretches, linesOfStops } from '@/domain/rounds/day-load'
import { yardWords } from '@/messages/rounds/load-words'
import { duration } from '@/domain/shared/dates'
import { useTexts } from '@/ui/kit/texts'
import { leftOf, spanStyle } from './day-axis'
import type { DayCellProps } from './day-cell'
import { DropVerdict, dropClass } from './drop-verdict'
import { LoadNote } from './load-note'
import { StopCard } from './stop-card'
import { cellId } from './use-board'

interface DayLaneProps extends DayCellProps {
  /** Minute of the day now; null on another day. */
  readonly nowMin: number | null
}

/** One crew's day along the hours, to scale: ways, stops, when it is elsewhere, and now. */
export function DayLane({ crew, round, axis, busy, movable, hang, onChoose, nowMin }: DayLaneProps) {
  const t = useTexts()

  const { setNodeRef } = useDroppable({ id: cellId(round), disabled: !movable })
  const judged = hang.over === cellId(round) ? hang.judged : null
  const load = dayLoad(round.stops, round.ways, crew.setup)
  const lines = linesOfStops(round.stops)
  const lineCount = Math.max(1, ...lines.map((line) => line + 1))
  return (
    <>
      <div className="lane-head">
        <strong>{crew.name}</strong> <span className="soft">{t('rounds.roundsView.people', { size: crew.size })}</span>
        {load ? (
          <>
            <div>
              <LoadNote round={round} setup={crew.setup} />
            </div>
            <div className="soft">{yardWords(load, t)}</div>
            <Link href={`/rounds/${crew.id}/${round.day}`}>{t('rounds.dayLane.daySheet')}</Link>
          </>
        ) : (
          <div className="soft">
            {crew.setup.daysOff.includes(round.day) ? t('rounds.dayCell.dayOff') : t('rounds.dayLane.free')}
          </div>
        )}
      </div>
      <div
        ref={setNodeRef}
        className={`lane ${dropClass(judged)}`}
        data-cell={cellId(round)}
        style={{ '--lines': lineCount } as CSSProperties}
      >
        <span
          className="hours"
          style={spanStyle(axis, minutesOfDay(crew.setup.starts), minutesOfDay(crew.setup.ends))}
        />
        {busy.map((b) => (
          <span
            key={`${b.startMin} ${b.title}`}
            className="lane-away"
            style={spanStyle(axis, Math.max(axis.fromMin, b.startMin), Math.min(axis.toMin, b.endMin))}
          >
            {b.title}
          </span>
        ))}
        {dayStretches(round.stops, round.ways).map(({ kind, fromMin, toMin, stop }) =>
          kind === 'drive' ? (
            <span
              key={`drive ${stop}`}
              className="lane-drive"
              style={spanStyle(axis, fromMin, toMin)}
              title={t('rounds.dayLane.drive', { minutes: duration(toMin - fromMin) })}
            />
          ) : (
            <StopCard
              key={round.stops[stop!]!.id}
              visit={round.stops[stop!]!}
              movable={movable && round.stops[stop!]!.state === 'planned'}
              onChoose={onChoose}
              place={{ ...spanStyle(axis, fromMin, toMin), '--line': lines[stop!] } as CSSProperties}
            />
          ),
        )}
        {nowMin !== null && nowMin >= axis.fromMin && nowMin <= axis.toMin ? (
          <span className="lane-now" style={{ left: `${leftOf(axis, nowMin)}%` }} />
        ) : null}
        <DropVerdict judged={judged} siteOf={hang.siteOf} />
      </div>
    </>
  )
}
