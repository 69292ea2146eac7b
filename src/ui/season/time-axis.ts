import { type TextId, textId } from '@/ui/kit/texts'
import { scaleLinear } from 'd3-scale'
import { REGION_HABITS, type Region } from '@/domain/shared/region'
import { addDays, dayNumber, daysBetween, weekBeginOf } from '@/core/numeric/calendar'
import { seasonBegins, seasonEnds, seasonYearOf, type SeasonFrom } from '@/core/season/season-year'

export const ZOOMS = ['year', 'quarter', 'month', 'week'] as const
export type Zoom = (typeof ZOOMS)[number]
export const ZOOM_NAMES: Readonly<Record<Zoom, TextId>> = {
  year: textId('season.timeAxis.year'),
  quarter: textId('season.timeAxis.quarter'),
  month: textId('season.timeAxis.month'),
  week: textId('season.timeAxis.week'),
}

/** The season year that is looked at: by the calendar year in which it begins, and the month with which it does. */
export interface ShownYear {
  readonly year: number
  readonly seasonFrom: SeasonFrom
}

/** The stretch of days that is shown. */
export interface TimeAxis extends ShownYear {
  readonly from: string
  readonly days: number
}

/** Whether a day lies in the season year. */
export const inShownYear = ({ year, seasonFrom }: ShownYear, day: string): boolean =>
  seasonYearOf(day, seasonFrom) === year

/** The stretch of a zoom around a day, within its season year. */
export function axisAround(shown: ShownYear, zoom: Zoom, day: string, region: Region = 'en-GB'): TimeAxis {
  const { year, seasonFrom } = shown
  const month = Number(day.slice(5, 7))
  const monthStart = (m: number) => `${m >= seasonFrom ? year : year + 1}-${String(m).padStart(2, '0')}-01`
  const dayBefore = (m: number) =>
    ((m - 1) % 12) + 1 === seasonFrom ? seasonEnds(year, seasonFrom) : addDays(monthStart(((m - 1) % 12) + 1), -1)
  const until = (from: string, to: string): TimeAxis => ({
    year,
    seasonFrom,
    from,
    days: daysBetween(from, to) + 1,
  })
  switch (zoom) {
    case 'year':
      return until(seasonBegins(year, seasonFrom), seasonEnds(year, seasonFrom))
    case 'quarter': {
      const first = Math.floor((month - 1) / 3) * 3 + 1
      return until(monthStart(first), dayBefore(first + 3))
    }
    case 'month':
      return until(monthStart(month), dayBefore(month + 1))
    case 'week':
      return { year, seasonFrom, from: weekBeginOf(day, REGION_HABITS[region].weekBegins), days: 7 }
  }
}

/** The stretch before or after. */
export function shifted(axis: TimeAxis, zoom: Zoom, by: -1 | 1, region: Region = 'en-GB'): TimeAxis | null {
  if (zoom === 'year') return null
  const day = by === 1 ? addDays(axis.from, axis.days) : addDays(axis.from, -1)
  return inShownYear(axis, day) || (zoom === 'week' && inShownYear(axis, axis.from))
    ? axisAround(axis, zoom, day, region)
    : null
}

/** Where a day begins on the axis, percent of its width; may lie outside 0..100. */
export const percentAt = (axis: TimeAxis, day: string): number => toPercent(axis)(dayNumber(day))

/** Where today lies on the axis, percent; null where it is not on it. */
export function nowOn(axis: TimeAxis, today: string): number | null {
  const at = percentAt(axis, today)
  return at >= 0 && at < 100 ? at : null
}

/** The day to which a mark at `day` is carried over a share of the axis' width; it stays on the axis. */
export function dayCarried(axis: TimeAxis, day: string, byPercent: number): string {
  const days = Math.round(scaleLinear([0, 100], [0, axis.days])(byPercent))
  const [first, last] = [axis.from, addDays(axis.from, axis.days - 1)]
  const to = addDays(day, days)
  if (to < first) return first
  return to > last ? last : to
}

const toPercent = (axis: TimeAxis) => {
  const from = dayNumber(axis.from)
  return scaleLinear([from, from + axis.days], [0, 100])
}

/** Marks along the axis: months in a year, weeks in a quarter, days below that. */
export function marksOf(axis: TimeAxis, zoom: Zoom, region: Region = 'en-GB'): { day: string; label: string }[] {
  const days = Array.from({ length: axis.days }, (_, i) => addDays(axis.from, i))
  const named = (day: string, options: Intl.DateTimeFormatOptions) =>
    new Date(`${day}T12:00:00Z`).toLocaleDateString(region, { timeZone: 'UTC', ...options })
  switch (zoom) {
    case 'year':
      return days.filter((d) => d.endsWith('-01')).map((day) => ({ day, label: named(day, { month: 'short' }) }))
    case 'quarter':
      return days
        .filter((d) => weekBeginOf(d, REGION_HABITS[region].weekBegins) === d)
        .map((day) => ({ day, label: named(day, { day: 'numeric', month: 'short' }) }))
    case 'month':
      return days.map((day) => ({ day, label: String(Number(day.slice(8))) }))
    case 'week':
      return days.map((day) => ({ day, label: named(day, { weekday: 'short', day: 'numeric', month: 'short' }) }))
  }
}
