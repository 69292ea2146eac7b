import { DomainError } from '../errors'
import { addDays, weekOf, type IsoDate } from '../numeric/calendar'

export const WEEKS = 52
/** Below it the plants of ponds stand still, °C. @source usual base of temperate emergent plants */
const WARMTH_BASE_C = 8

/** @throws {DomainError} when there are not 52 weeks */
export function assertWeeks(weeklyWaterC: readonly number[]): void {
  if (weeklyWaterC.length !== WEEKS) throw new DomainError('weeklyWaterC', weeklyWaterC.length, '52 weeks')
}

/** Warmth over the base that a week's water brings in a day, °C·d. */
export const degreeDaysOf = (waterC: number): number => Math.max(0, waterC - WARMTH_BASE_C)

/**
 * The day on which so many degree-days have gathered since another.
 * @param weeklyWaterC expected water of 52 weeks, °C
 * @param from the day to count from, itself not counted
 * @param need degree-days over the base, and days that must pass whatever the warmth
 * @param until last day that counts
 * @returns null when they do not gather by then
 * @throws {DomainError} when there are not 52 weeks
 */
export function dayOfDegreeDays(
  weeklyWaterC: readonly number[],
  from: IsoDate,
  need: { readonly degreeDays: number; readonly minDays: number },
  until: IsoDate,
): IsoDate | null {
  assertWeeks(weeklyWaterC)
  let sum = 0
  let day = from
  for (let passed = 1; ; passed++) {
    day = addDays(day, 1)
    if (day > until) return null
    const warmth = degreeDaysOf(weeklyWaterC[weekOf(day)]!)
    sum += warmth
    // a cold day asks for nothing, even when the sum was reached before
    if (sum >= need.degreeDays && passed >= need.minDays && warmth > 0) return day
  }
}
