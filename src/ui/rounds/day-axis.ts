import { scaleLinear } from 'd3-scale'
import type { Crew } from '@/domain/people/people'
import { minutesOfDay } from '@/domain/people/crew-setup'
import { dayStretches } from '@/domain/rounds/day-load'
import type { RoundsDay } from '@/server/rounds/rounds'

/** The hours that a board shows, minutes of the day; the same for all crews and days on it. */
export interface DayAxis {
  readonly fromMin: number
  readonly toMin: number
}

const HOUR = 60

/** Whole hours that hold every crew's working day and everything on its rounds. */
export function axisOf(crews: readonly Crew[], rounds: readonly RoundsDay[]): DayAxis {
  const stretches = rounds.flatMap(({ stops, ways }) => dayStretches(stops, ways))
  const starts = [...crews.map((c) => minutesOfDay(c.setup.starts)), ...stretches.map((s) => s.fromMin)]
  const ends = [...crews.map((c) => minutesOfDay(c.setup.ends)), ...stretches.map((s) => s.toMin)]
  return {
    fromMin: Math.max(0, Math.floor(Math.min(...starts) / HOUR) * HOUR),
    toMin: Math.min(24 * HOUR, Math.ceil(Math.max(...ends) / HOUR) * HOUR),
  }
}

const scale = ({ fromMin, toMin }: DayAxis) => scaleLinear([fromMin, toMin], [0, 100])

/** Where a minute of the day lies on the axis, percent. */
export const leftOf = (axis: DayAxis, minute: number): number => scale(axis)(minute)

/** Left edge and width of a stretch of time, for a style; what lies beyond the axis is cut off. */
export const spanStyle = (axis: DayAxis, fromMin: number, toMin: number): { left: string; width: string } => {
  const at = scale(axis).clamp(true)
  return { left: `${at(fromMin)}%`, width: `${at(toMin) - at(fromMin)}%` }
}

/** The full hours on the axis, minutes of the day. */
export const hoursOf = ({ fromMin, toMin }: DayAxis): number[] =>
  Array.from({ length: Math.floor((toMin - fromMin) / HOUR) + 1 }, (_, i) => fromMin + i * HOUR)
