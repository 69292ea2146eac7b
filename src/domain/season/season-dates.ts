import { addDays, daysBetween, type IsoDate } from '../../core/numeric/calendar'

interface Dated {
  readonly job: string
  readonly earliest: IsoDate
  readonly best: IsoDate
  readonly latest: IsoDate
}

/** A pond's windows of any year, and those of the one year whose weather is known so far. */
export interface PondWindows<Window extends Dated> {
  readonly anyYear: readonly Window[]
  readonly live: { readonly year: number; readonly windows: readonly Window[] } | null
}

/** Windows are kept for a base year; the same month and day in another year. */
export const inYear = (date: IsoDate, year: number): IsoDate => `${year}${date.slice(4)}`

/** The same window in another year; one that runs over New Year keeps its length. */
export function windowInYear<Window extends Omit<Dated, 'job'>>(window: Window, year: number): Window {
  const earliest = inYear(window.earliest, year)
  const after = (day: IsoDate) =>
    day.slice(0, 4) === window.earliest.slice(0, 4)
      ? inYear(day, year)
      : addDays(earliest, daysBetween(window.earliest, day))
  return { ...window, earliest, best: after(window.best), latest: after(window.latest) }
}

/** All windows of a pond in a year: with the weather so far where it is known. */
export const windowsIn = <Window extends Dated>(windows: PondWindows<Window>, year: number): Window[] =>
  windows.live?.year === year ? [...windows.live.windows] : windows.anyYear.map((w) => windowInYear(w, year))

/** A job's window that can still be used: this year's, else next year's; null when it does not come at this pond. */
export function nextWindow<Window extends Dated>(
  windows: PondWindows<Window>,
  job: string,
  today: IsoDate,
): Window | null {
  const year = Number(today.slice(0, 4))
  const of = (y: number) => windowsIn(windows, y).find((w) => w.job === job)
  const now = of(year)
  return now && now.latest >= today ? now : (of(year + 1) ?? null)
}
