/** The year's triggers as a firm keeps them. Temperatures in °C, of the water unless named. @source domain defaults */
export interface SeasonRules {
  /** Full cleanouts every year, only when sediment or clarity asks for one, or never drained. */
  readonly spring: 'full-yearly' | 'when-needed' | 'never-drain'
  readonly winter: 'shutdown' | 'run-on'
  readonly bacteria: 'regular' | 'after-disturbance' | 'none'
  readonly cleanoutWaterC: readonly [number, number]
  readonly hardFrostAirC: number
  /** Growing degree-days (base 5 °C of air) at which leaves open. */
  readonly leafOutDegreeDays: number
  readonly startupWaterC: number
  readonly coldBacteriaFromC: number
  readonly bacteriaWaterC: number
  readonly feedingStartWaterC: number
  readonly feedingNormalWaterC: number
  readonly feedingStopWaterC: number
  readonly tenderPlantsWaterC: number
  readonly highSummerWaterC: number
  readonly shadeDownWaterC: number
  readonly flushWaterC: number
  /** Water in which fish spawn in spring: no flush while it warms through. */
  readonly spawningWaterC: readonly [number, number]
  readonly killingFrostAirC: number
  readonly nettingLeadDays: readonly [number, number]
  /** Days from the main leaf fall until the trees are bare, and how long a net may stay after that. */
  readonly nettingOffDays: readonly [number, number]
  readonly shutdownWaterC: number
  /** Days before first ice by which de-icer and aerator should run: from, to. */
  readonly deicerLeadDays: readonly [number, number]
  /**
   * Chilling sum at which leaf fall sets in, °C²·d.
   * @source form of Delpierre et al. 2009; the sum is a house default
   */
  readonly leafFallChill: number
}

export const DEFAULT_SEASON_RULES: SeasonRules = {
  spring: 'full-yearly',
  winter: 'shutdown',
  bacteria: 'regular',
  cleanoutWaterC: [4, 13],
  hardFrostAirC: -4,
  leafOutDegreeDays: 230,
  startupWaterC: 7,
  coldBacteriaFromC: 4,
  bacteriaWaterC: 12,
  feedingStartWaterC: 10,
  feedingNormalWaterC: 13,
  feedingStopWaterC: 10,
  tenderPlantsWaterC: 17,
  highSummerWaterC: 25,
  shadeDownWaterC: 17,
  flushWaterC: 8,
  spawningWaterC: [17, 20],
  killingFrostAirC: -2,
  nettingLeadDays: [28, 3],
  nettingOffDays: [25, 60],
  shutdownWaterC: 10,
  deicerLeadDays: [21, 2],
  leafFallChill: 11500,
}

/** Everything of the year that has a window, in the order it usually comes. */
export const WINDOW_JOBS = [
  'spring-cleanout',
  'cold-bacteria',
  'spring-startup',
  'dividing',
  'feeding-start',
  'wetland-flush',
  'bacteria',
  'feeding-normal',
  'tender-planting',
  'high-summer',
  'netting',
  'shade-down',
  'feeding-stop',
  'cut-back',
  'netting-off',
  'winter-shutdown',
  'deicer-on',
  'winter-running',
] as const
export type WindowJob = (typeof WINDOW_JOBS)[number]

/** The windows that most often decide a week's work: shown first. */
export const MAIN_WINDOW_JOBS: readonly WindowJob[] = [
  'spring-cleanout',
  'spring-startup',
  'feeding-start',
  'netting',
  'feeding-stop',
  'winter-shutdown',
]
