import { DomainError } from '../errors'

/** Plants grow with the warmth of their water: degree-days over a base until they want a hand again, and how often that may be. @source trade cadence (weekly for spreaders at peak, others every two to four weeks), put into degree-days */
export const CARE_CADENCE = {
  baseC: 8,
  aggressive: { degreeDays: 70, leastDays: 7 },
  others: { degreeDays: 170, leastDays: 14 },
  mostDays: 28,
} as const

/**
 * Days from a week of the year until plants need care again.
 * @param weeklyWaterC expected water of 52 weeks, °C
 * @param week index 0..51 to begin with
 * @returns 7 or 14 to 28 days
 */
export function careGapDays(weeklyWaterC: readonly number[], week: number, aggressive: boolean): number {
  if (weeklyWaterC.length !== 52) throw new DomainError('weeklyWaterC', weeklyWaterC.length, '52 weeks')
  const { degreeDays, leastDays } = aggressive ? CARE_CADENCE.aggressive : CARE_CADENCE.others
  let sum = 0
  for (let day = 1; day <= CARE_CADENCE.mostDays; day++) {
    sum += Math.max(0, weeklyWaterC[(week + Math.floor(day / 7)) % 52] - CARE_CADENCE.baseC)
    if (sum >= degreeDays && day >= leastDays) return day
  }
  return CARE_CADENCE.mostDays
}
