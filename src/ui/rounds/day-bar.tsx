'use client'
import { minutesOfDay, type CrewSetup } from '@/domain/people/crew-setup'
import { dayStretches } from '@/domain/rounds/day-load'
import type { RoundsDay } from '@/server/rounds/rounds'
import { spanStyle, type DayAxis } from './day-axis'

interface DayBarProps {
  readonly round: RoundsDay
  readonly axis: DayAxis
  readonly setup: CrewSetup
}

/** A crew's day to scale in one line: its hours, driving, work. What it shows is said by the cards and the load. */
export function DayBar({ round: { stops, ways }, axis, setup }: DayBarProps) {
  return (
    <span className="day-bar" aria-hidden="true">
      <span className="hours" style={spanStyle(axis, minutesOfDay(setup.starts), minutesOfDay(setup.ends))} />
      {dayStretches(stops, ways).map(({ kind, fromMin, toMin, stop }) => (
        <span
          key={`${kind} ${stop}`}
          className={kind === 'stop' ? `work ${stops[stop!]!.state}` : 'drive'}
          style={spanStyle(axis, fromMin, toMin)}
        />
      ))}
    </span>
  )
}
