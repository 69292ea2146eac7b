import type { IsoDate } from '../core/numeric/calendar'

interface Dated {
  readonly earliest: IsoDate
  readonly best: IsoDate
  readonly latest: IsoDate
}

/** Windows are kept for a base year; the same month and day in another year. */
export const inYear = (date: IsoDate, year: number): IsoDate => `${year}${date.slice(4)}`

export const windowInYear = <Window extends Dated>(window: Window, year: number): Window => ({
  ...window,
  earliest: inYear(window.earliest, year),
  best: inYear(window.best, year),
  latest: inYear(window.latest, year),
})

/** This year's window while it can still be used, else next year's. */
export function nextWindow<Window extends Dated>(window: Window, today: IsoDate): Window {
  const year = Number(today.slice(0, 4))
  const thisYear = windowInYear(window, year)
  return thisYear.latest >= today ? thisYear : windowInYear(window, year + 1)
}
