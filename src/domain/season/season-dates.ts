import { yearOf, type IsoDate } from '../../core/numeric/calendar'
import type { SeasonFrom } from '../../core/season/season-year'

interface Dated {
  readonly job: string
  readonly earliest: IsoDate
  readonly best: IsoDate
  readonly latest: IsoDate
}

/** A pond's windows of any year, and those of the one season year whose weather is known so far. */
export interface PondWindows<Window extends Dated> {
  /** Of the season year that begins in SEASON_BASE_YEAR. */
  readonly anyYear: readonly Window[]
  /** Known by the calendar year in which it begins. */
  readonly live: { readonly year: number; readonly windows: readonly Window[] } | null
}

/** Seasons of any year are computed for a year without 29 February and read with any year's number. */
export const SEASON_BASE_YEAR = 2001

/** A day of the year as the north knows it, such as 04-20, where the season year begins in another month. */
export function monthDayIn(monthDay: string, seasonFrom: SeasonFrom): string {
  if (seasonFrom === 1) return monthDay
  const month = ((Number(monthDay.slice(0, 2)) + 5) % 12) + 1
  // no month is shorter than this, and none of these days is kept to the day
  return `${String(month).padStart(2, '0')}-${monthDay.slice(3) > '28' ? '28' : monthDay.slice(3)}`
}

/** The same month and day in another year. */
export const inYear = (date: IsoDate, year: number): IsoDate => `${year}${date.slice(4)}`

/** A window of the base year in the season year that begins in another one. */
export function windowInYear<Window extends Omit<Dated, 'job'>>(window: Window, year: number): Window {
  const there = (day: IsoDate) => inYear(day, yearOf(day) + year - SEASON_BASE_YEAR)
  return { ...window, earliest: there(window.earliest), best: there(window.best), latest: there(window.latest) }
}

/** Windows of the season year that begins in a calendar year: with the weather so far where it is known. */
const ofSeason = <Window extends Dated>({ anyYear, live }: PondWindows<Window>, year: number): readonly Window[] =>
  live?.year === year ? live.windows : anyYear.map((w) => windowInYear(w, year))

/** All windows of a pond whose best day lies between two days, both included, season year by season year. */
export function windowsBetween<Window extends Dated>(
  windows: PondWindows<Window>,
  from: IsoDate,
  to: IsoDate,
): Window[] {
  const first = yearOf(from) - 1
  return Array.from({ length: yearOf(to) - first + 1 }, (_, i) => ofSeason(windows, first + i))
    .flat()
    .filter(({ best }) => best >= from && best <= to)
}

/** All windows of a pond whose best day lies in a calendar year. */
export const windowsIn = <Window extends Dated>(windows: PondWindows<Window>, year: number): Window[] =>
  windowsBetween(windows, `${year}-01-01`, `${year}-12-31`)

/** A job's window that can still be used: the one that is open or the next; null when it does not come at this pond. */
export function nextWindow<Window extends Dated>(
  windows: PondWindows<Window>,
  job: string,
  today: IsoDate,
): Window | null {
  const year = yearOf(today)
  return (
    [year - 1, year, year + 1]
      .flatMap((y) => ofSeason(windows, y))
      .find((window) => window.job === job && window.latest >= today) ?? null
  )
}
