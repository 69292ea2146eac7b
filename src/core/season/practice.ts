/** The year's triggers as a firm keeps them. Temperatures in °C, of the water unless named. @source domain defaults */
export interface SeasonPractice {
  readonly cleanoutWaterC: readonly [number, number]
  readonly hardFrostAirC: number
  /** Growing degree-days (base 5 °C of air) at which leaves open. */
  readonly leafOutDegreeDays: number
  readonly startupWaterC: number
  readonly feedingStartWaterC: number
  readonly feedingStopWaterC: number
  readonly nettingLeadDays: readonly [number, number]
  readonly shutdownWaterC: number
  /** Chilling sum at which leaf fall sets in, °C²·d. @source form of Delpierre et al. 2009; the sum is a house default */
  readonly leafFallChill: number
}

export const DEFAULT_SEASON_PRACTICE: SeasonPractice = {
  cleanoutWaterC: [4, 13],
  hardFrostAirC: -4,
  leafOutDegreeDays: 230,
  startupWaterC: 7,
  feedingStartWaterC: 10,
  feedingStopWaterC: 10,
  nettingLeadDays: [28, 3],
  shutdownWaterC: 10,
  leafFallChill: 11500,
}

export const WINDOW_JOBS = ['spring-cleanout', 'spring-startup', 'feeding-start', 'netting', 'feeding-stop', 'winter-shutdown'] as const
export type WindowJob = (typeof WINDOW_JOBS)[number]
