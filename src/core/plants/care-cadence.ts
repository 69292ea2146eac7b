import { assertWeeks, degreeDaysOf, WEEKS } from './degree-days'

/**
 * Plants grow with the warmth of their water: degree-days over a base until they want a hand again, and how often
 * that may be.
 * @source trade cadence (weekly for spreaders at peak, others every two to four weeks), put into degree-days
 */
export const CARE_CADENCE = {
  aggressive: { degreeDays: 70, minDays: 7 },
  others: { degreeDays: 170, minDays: 14 },
  mostDays: 28,
} as const

/**
 * Days from a week of the year until plants need care again.
 * @param weeklyWaterC expected water of 52 weeks, °C
 * @param week index 0..51 to begin with
 * @returns 7 or 14 to 28 days
 * @throws {DomainError} when there are not 52 weeks
 */
export function careGapDays(weeklyWaterC: readonly number[], week: number, aggressive: boolean): number {
  assertWeeks(weeklyWaterC)
  const { degreeDays, minDays } = aggressive ? CARE_CADENCE.aggressive : CARE_CADENCE.others
  let sum = 0
  for (let day = 1; day <= CARE_CADENCE.mostDays; day++) {
    sum += degreeDaysOf(weeklyWaterC[(week + Math.floor(day / 7)) % WEEKS]!)
    if (sum >= degreeDays && day >= minDays) return day
  }
  return CARE_CADENCE.mostDays
}
