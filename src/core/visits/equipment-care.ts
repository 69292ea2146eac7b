import { addDays, type IsoDate } from '../numeric/calendar'

/** What wears out at a pond: how often it wants attention, how long that takes, and which visit it fits best. */
export interface EquipmentKind {
  readonly key: string
  readonly everyDays: number
  readonly minutes: number
  readonly prefers: readonly string[]
  /** Whether the work needs a new part on the truck. */
  readonly brings: boolean
}

/** @source trade intervals; a firm sets its own with each piece */
export const EQUIPMENT_KINDS = [
  {
    key: 'uv-lamp',
    brings: true,
    everyDays: 365,
    minutes: 20,
    prefers: ['spring-startup', 'spring-cleanout', 'routine'],
  },
  {
    key: 'filter-pads',
    brings: true,
    everyDays: 730,
    minutes: 20,
    prefers: ['spring-cleanout', 'spring-startup', 'routine'],
  },
  {
    key: 'screen',
    brings: false,
    everyDays: 90,
    minutes: 25,
    prefers: ['routine', 'spring-startup', 'spring-cleanout'],
  },
  {
    key: 'filter-seals',
    brings: true,
    everyDays: 730,
    minutes: 30,
    prefers: ['spring-startup', 'spring-cleanout', 'routine'],
  },
  {
    key: 'ioniser-probe',
    brings: true,
    everyDays: 365,
    minutes: 15,
    prefers: ['spring-startup', 'routine'],
  },
  {
    key: 'pump',
    brings: false,
    everyDays: 730,
    minutes: 40,
    prefers: ['winter-shutdown', 'spring-cleanout', 'spring-startup'],
  },
  {
    key: 'dosing-unit',
    brings: true,
    everyDays: 30,
    minutes: 5,
    prefers: ['routine', 'plant-care'],
  },
  {
    key: 'de-icer',
    brings: false,
    everyDays: 365,
    minutes: 10,
    prefers: ['winter-shutdown', 'winter-check', 'netting'],
  },
  {
    key: 'aerator',
    brings: true,
    everyDays: 365,
    minutes: 20,
    prefers: ['winter-shutdown', 'routine'],
  },
] as const satisfies readonly EquipmentKind[]
export type EquipmentKindKey = (typeof EQUIPMENT_KINDS)[number]['key']

export const equipmentKind = (key: string): (EquipmentKind & { readonly key: EquipmentKindKey }) | undefined =>
  EQUIPMENT_KINDS.find((kind) => kind.key === key)

/**
 * Attention is given this long before it is due, and may wait as long after it, as a share of its interval.
 * @source house default
 */
export const EQUIPMENT_SLACK = { before: 0.12, after: 0.08, mostDays: 45 } as const

/** A part of every year in which something stands still, month and day, both included; it may run over New Year. */
export interface Rest {
  readonly from: string
  readonly to: string
}

const rests = ({ from, to }: Rest, day: IsoDate): boolean => {
  const monthDay = day.slice(5)
  return from <= to ? monthDay >= from && monthDay <= to : monthDay >= from || monthDay <= to
}

/** Longest that is looked ahead for something that hardly ever runs, days. */
const MAX_AHEAD_DAYS = 7320

/** The day on which something fitted on a day has run for so many days, its rest not counted. */
export function dueAfterRunning(fitted: IsoDate, days: number, rest: Rest | null): IsoDate {
  if (!rest) return addDays(fitted, days)
  let day = fitted
  let run = 0
  for (let ahead = 0; run < days && ahead < MAX_AHEAD_DAYS; ahead++) {
    if (!rests(rest, day)) run++
    day = addDays(day, 1)
  }
  return day
}
