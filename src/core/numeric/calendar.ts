import { DomainError } from '../errors'
import { DAY_MS } from './time'

/** Calendar days as ISO text ("2026-04-09"): no time zone, no clock. */
export type IsoDate = string

const ISO_DATE = /^\d{4}-\d{2}-\d{2}$/

/** Whole days since 1970-01-01. @throws {DomainError} not a real calendar day */
export function dayNumber(date: IsoDate): number {
  const ms = ISO_DATE.test(date) ? Date.parse(`${date}T00:00:00Z`) : Number.NaN
  // Date.parse accepts 31 February by rolling over in some engines, so check the round trip
  if (Number.isNaN(ms) || new Date(ms).toISOString().slice(0, 10) !== date)
    throw new DomainError('date', date, 'a calendar day such as 2026-04-09')
  return ms / DAY_MS
}

const isoDate = (day: number): IsoDate => new Date(day * DAY_MS).toISOString().slice(0, 10)
export const addDays = (date: IsoDate, days: number): IsoDate => isoDate(dayNumber(date) + days)
export const daysBetween = (from: IsoDate, to: IsoDate): number => dayNumber(to) - dayNumber(from)
export const yearOf = (date: IsoDate): number => Number(date.slice(0, 4))

/** 1 in January. */
export const monthOf = (date: IsoDate): number => Number(date.slice(5, 7))

/** 1 on 1 January. */
export const dayOfYear = (date: IsoDate): number => daysBetween(`${date.slice(0, 4)}-01-01`, date) + 1

/** 1 = Monday … 7 = Sunday, as in ISO 8601. */
export const isoWeekday = (date: IsoDate): number => ((((dayNumber(date) + 3) % 7) + 7) % 7) + 1

/** First day of the date's week. @param begins 1 where weeks begin on Mondays … 7 where they begin on Sundays */
export const weekBeginOf = (date: IsoDate, begins: number): IsoDate =>
  addDays(date, -((isoWeekday(date) - begins + 7) % 7))

/** Monday of the date's week. */
export const mondayOf = (date: IsoDate): IsoDate => weekBeginOf(date, 1)

/** Index 0–51 of a day's week in its year; the last week is a day or two longer. */
export const weekOf = (date: IsoDate): number => Math.min(51, Math.floor((dayOfYear(date) - 1) / 7))
