import type { IsoDate } from '../../numeric/calendar'

/**
 * What a customer has agreed to for one pond: a job in its window, or every so many days between two dates of the
 * year.
 */
export interface ServiceLine {
  readonly job: string
  /** For jobs that come round; null for plant care: as the plants grow. */
  readonly everyDays: number | null
  /** Month and day, such as 04-15; null: all year. */
  readonly from: string | null
  readonly to: string | null
  /** Agreed from this day and until that one, both included; null: open. */
  readonly starts: IsoDate | null
  readonly ends: IsoDate | null
}

/**
 * Something to be done between two days, on a visit that is made anyway where it can be: a follow-up, a lamp, a wish
 * of the customer.
 */
export interface PondTask {
  readonly id: string
  readonly title: string
  readonly from: IsoDate
  readonly to: IsoDate
  readonly minutes: number
  /** Visit types it fits best, in this order. */
  readonly prefers: readonly string[]
  /** Fish in trouble, water running away: somebody goes there now. */
  readonly urgent?: boolean
}

/** In the id of a visit that is made for a task alone. */
export const TASK_KEY = ':task:'

export interface DatedWindow {
  readonly job: string
  readonly earliest: IsoDate
  readonly best: IsoDate
  readonly latest: IsoDate
}

export interface PondWork {
  readonly pondId: string
  readonly lines: readonly ServiceLine[]
  /** Nothing was agreed before this day. */
  readonly since: IsoDate
  /** The pond's windows in a year. */
  readonly windowsIn: (year: number) => readonly DatedWindow[]
  /** Expected water of the 52 weeks of the year, °C; for plants that are cared for as they grow. */
  readonly weeklyWaterC: readonly number[]
  /** Whether something grows here that takes over. */
  readonly aggressivePlants: boolean
  /** Done and planned visits of the last and coming year; a visit for several jobs stands once for each. */
  readonly visits: readonly { readonly job: string; readonly day: IsoDate }[]
  /** Visits that stand and may take a task along. */
  readonly planned: readonly { readonly id: string; readonly job: string; readonly day: IsoDate }[]
  /** Less those that a planned visit has taken along. */
  readonly tasks: readonly PondTask[]
}

export interface Need {
  readonly id: string
  readonly pondId: string
  readonly job: string
  readonly earliest: IsoDate
  readonly best: IsoDate
  readonly latest: IsoDate
  /** Its window is over; it is planned as soon as can be. */
  readonly late: boolean
  /** Other agreed jobs done on the same visit. */
  readonly also: readonly string[]
  readonly tasks: readonly PondTask[]
  readonly after: readonly {
    readonly need: string
    readonly minDays: number
    readonly maxDays: number
    readonly requires: boolean
    readonly leg?: boolean
  }[]
  /** Cannot wait: it is the first thing on the road. */
  readonly urgent?: boolean
}

export interface PondNeeds {
  readonly needs: readonly Need[]
  /** Agreed jobs of this season that another visit does along with its own. */
  readonly covered: readonly { readonly job: string; readonly by: string }[]
  /** Agreed jobs whose window went by more than a month ago, with no visit. */
  readonly missed: readonly { readonly job: string; readonly latest: IsoDate }[]
  /** Agreed jobs whose window does not come at this pond, by its climate or practice. */
  readonly noWindow: readonly { readonly job: string }[]
  /** Tasks that a visit which stands already takes along. */
  readonly joins: readonly { readonly visit: string; readonly task: PondTask }[]
}

export const later = (a: IsoDate, b: IsoDate): IsoDate => (a > b ? a : b)
export const earlier = (a: IsoDate, b: IsoDate): IsoDate => (a < b ? a : b)
