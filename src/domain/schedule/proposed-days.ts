import { addDays, dayNumber, isoWeekday, type IsoDate } from '../../core/numeric/calendar'
import type { JobWindow } from '../../core/season/job-window'
import { inYear } from '../season/season-dates'

export interface ProposedDay {
  readonly day: IsoDate
  readonly likelihood: number
}

/**
 * Working days of a job's window with the share of years that allow the job on them, likeliest first among the first
 * `count`.
 */
export function proposedDays(window: JobWindow, today: IsoDate, count: number): ProposedDay[] {
  // a likelihood is kept for each day of a year of 365 days
  const baseYear = '2001'
  const from = window.earliest > today ? window.earliest : addDays(today, 1)
  const days: ProposedDay[] = []
  for (let day = from; day <= window.latest; day = addDays(day, 1)) {
    if (isoWeekday(day) > 5 || day.endsWith('-02-29')) continue
    const index = dayNumber(inYear(day, Number(baseYear))) - dayNumber(`${baseYear}-01-01`)
    days.push({ day, likelihood: window.likelihood[index]! })
  }
  const best = dayNumber(window.best)
  return days
    .sort(
      (a, b) => b.likelihood - a.likelihood || Math.abs(dayNumber(a.day) - best) - Math.abs(dayNumber(b.day) - best),
    )
    .slice(0, count)
    .sort((a, b) => a.day.localeCompare(b.day))
}
