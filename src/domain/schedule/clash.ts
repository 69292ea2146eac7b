export interface Slot {
  readonly startTime: string
  readonly minutes: number
}

const minuteOf = (clock: string): number => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3))

/** "08:30" and 255 → "12:45"; past midnight the hours go on, so that an impossible day is seen. */
export function clockAfter(clock: string, minutes: number): string {
  const total = minuteOf(clock) + Math.round(minutes)
  return `${String(Math.floor(total / 60)).padStart(2, '0')}:${String(total % 60).padStart(2, '0')}`
}

/** Latest end of a crew's day before it counts as too long. @source house default */
export const DAY_ENDS = '18:00'

/** Visits of the same crew and day whose times overlap a slot. */
export function overlapping<Planned extends { readonly startTime: string; readonly plannedMinutes: number }>(
  slot: Slot,
  sameDay: readonly Planned[],
): Planned[] {
  const [from, to] = [minuteOf(slot.startTime), minuteOf(slot.startTime) + slot.minutes]
  return sameDay.filter((visit) => {
    const start = minuteOf(visit.startTime)
    return start < to && from < start + visit.plannedMinutes
  })
}

export const endsLate = (slot: Slot): boolean => minuteOf(slot.startTime) + slot.minutes > minuteOf(DAY_ENDS)
