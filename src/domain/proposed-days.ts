import { addDays, dayNumber, isoWeekday, type IsoDate } from '../core/numeric/calendar'
import type { JobWindow } from '../core/season/windows'
import { inYear, nextWindow } from './season-dates'

export interface ProposedDay {
  readonly day: IsoDate
  readonly likelihood: number
}

/**
 * Working days of a job's next window with the share of years that allow the job on them, likeliest first among the first `count`.
 * @param window as kept for the base year
 */
export function proposedDays(window: JobWindow, today: IsoDate, count: number): ProposedDay[] {
  const next = nextWindow(window, today)
  const baseYear = window.earliest.slice(0, 4)
  const from = next.earliest > today ? next.earliest : addDays(today, 1)
  const days: ProposedDay[] = []
  for (let day = from; day <= next.latest; day = addDays(day, 1)) {
    if (isoWeekday(day) > 5 || day.endsWith('-02-29')) continue
    const index = dayNumber(inYear(day, Number(baseYear))) - dayNumber(`${baseYear}-01-01`)
    days.push({ day, likelihood: window.likelihood[index] })
  }
  const best = dayNumber(next.best)
  return days
    .sort((a, b) => b.likelihood - a.likelihood || Math.abs(dayNumber(a.day) - best) - Math.abs(dayNumber(b.day) - best))
    .slice(0, count)
    .sort((a, b) => a.day.localeCompare(b.day))
}
