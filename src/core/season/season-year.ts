import { addDays, daysBetween, dayOfYear, yearOf, type IsoDate } from '../numeric/calendar'
import type { StationNormals } from './station'
import { yearTurns } from './turns'

/**
 * Month with whose first a season year begins: January where the coldest days lie about the turn of the calendar
 * year, July where they lie about its middle. A season year is known by the calendar year in which it begins.
 */
export type SeasonFrom = 1 | 7

/** Days of a season year; 29 February is left out. */
export const SEASON_DAYS = 365
const FIRST_DAY: Readonly<Record<SeasonFrom, number>> = { 1: 1, 7: 182 }

/** First day of season years that begin in a month, 1..365. */
export const firstDayOf = (from: SeasonFrom): number => FIRST_DAY[from]

/**
 * When a station's season years begin: the first of January or of July, whichever lies nearer to its cold turn; with
 * the calendar where the year hardly turns.
 */
export function seasonFromOf(station: StationNormals): SeasonFrom {
  const { coldDay, turns } = yearTurns(station)
  if (!turns) return 1
  const fromJanuary = Math.min(coldDay - 1, SEASON_DAYS + 1 - coldDay)
  return fromJanuary <= Math.abs(coldDay - FIRST_DAY[7]) ? 1 : 7
}

/** First day of the season year that begins in a calendar year. */
export const seasonBegins = (year: number, from: SeasonFrom): IsoDate =>
  from === 1 ? `${year}-01-01` : `${year}-07-01`

export const seasonEnds = (year: number, from: SeasonFrom): IsoDate => addDays(seasonBegins(year + 1, from), -1)

/** The season year in which a day lies. */
export const seasonYearOf = (date: IsoDate, from: SeasonFrom): number =>
  yearOf(date) - (date < seasonBegins(yearOf(date), from) ? 1 : 0)

/** What people call a season year: 2027 in the north, 2026/27 in the south. */
export const seasonYearName = (year: number, from: SeasonFrom): string =>
  from === 1 ? String(year) : `${year}/${String((year + 1) % 100).padStart(2, '0')}`

/** Day 1..365 of a year without 29 February, which counts as the 28th. */
export const plainDayOfYear = (date: IsoDate): number =>
  dayOfYear(`2001${date.endsWith('-02-29') ? '-02-28' : date.slice(4)}`)

/** Date of a day of a season year, the first being 0; 29 February is never named. */
export function seasonDate(year: number, from: SeasonFrom, index: number): IsoDate {
  const plain = FIRST_DAY[from] - 1 + index
  return dayToDate(year + Math.floor(plain / SEASON_DAYS), (plain % SEASON_DAYS) + 1)
}

/** 29 February is left out: the year here has 365 days, counted from 1 January. */
export const dayToDate = (year: number, day: number): IsoDate => {
  const date = addDays(`${year}-01-01`, day - 1)
  const leap = addDays(`${year}-02-28`, 1).endsWith('-29')
  return leap && day > 59 ? addDays(date, 1) : date
}

/** Which of the days of a season year, 29 February among them, is that one; -1 where it has none. */
export function leapDayOf(year: number, from: SeasonFrom): number {
  const begins = seasonBegins(year, from)
  const leap = addDays(`${from === 1 ? year : year + 1}-02-28`, 1)
  return leap.endsWith('-29') ? daysBetween(begins, leap) : -1
}

/** Days of a season year put in the order of the calendar, 1 January first. */
export const inCalendarOrder = <Day>(days: readonly Day[], from: SeasonFrom): Day[] => {
  const lastOfYear = SEASON_DAYS - (FIRST_DAY[from] - 1)
  return [...days.slice(lastOfYear), ...days.slice(0, lastOfYear)]
}

/** Days in the order of the calendar, 1 January first, put in the order of the season year. */
export const inSeasonOrder = <Day>(days: readonly Day[], from: SeasonFrom): Day[] => [
  ...days.slice(FIRST_DAY[from] - 1),
  ...days.slice(0, FIRST_DAY[from] - 1),
]

/** Which day of its season year a date is, 1..365; 29 February counts as the 28th. */
export const seasonDay = (date: IsoDate, from: SeasonFrom): number =>
  ((plainDayOfYear(date) - FIRST_DAY[from] + SEASON_DAYS) % SEASON_DAYS) + 1
