import { z } from 'zod'
import { DEFAULT_FILTER_PRACTICE, SCHOOLS, type FilterPractice } from '../core/filter/practice'
import { DEFAULT_SEASON_PRACTICE } from '../core/season/practice'
import { numberWithin } from './fields'

const waterC = (noun: string) => numberWithin([0, 30], noun, '°C')

/** What a firm has decided for itself; anything it has not touched follows the defaults of the core. */
export const HousePractice = z.strictObject({
  school: z.enum(SCHOOLS).default('volume'),
  growthYears: numberWithin([0, 20], 'Years of growth', 'years').default(DEFAULT_FILTER_PRACTICE.growthYears),
  oversizing: z.enum(['calculated', 'next-size']).default(DEFAULT_FILTER_PRACTICE.oversizing),
  plantsCounted: z.boolean().default(DEFAULT_FILTER_PRACTICE.plantsCounted),
  uv: z.enum(['always', 'crutch', 'never']).default(DEFAULT_FILTER_PRACTICE.uv),
  startupWaterC: waterC('Startup').default(DEFAULT_SEASON_PRACTICE.startupWaterC),
  feedingStartWaterC: waterC('Feeding start').default(DEFAULT_SEASON_PRACTICE.feedingStartWaterC),
  feedingStopWaterC: waterC('Feeding stop').default(DEFAULT_SEASON_PRACTICE.feedingStopWaterC),
  shutdownWaterC: waterC('Shutdown').default(DEFAULT_SEASON_PRACTICE.shutdownWaterC),
})
export type HousePractice = z.infer<typeof HousePractice>

export const filterPracticeOf = ({ growthYears, oversizing, plantsCounted, uv }: HousePractice): FilterPractice => ({
  ...DEFAULT_FILTER_PRACTICE,
  growthYears,
  oversizing,
  plantsCounted,
  uv,
})

export const seasonPracticeOf = ({ startupWaterC, feedingStartWaterC, feedingStopWaterC, shutdownWaterC }: HousePractice) => ({
  ...DEFAULT_SEASON_PRACTICE,
  startupWaterC,
  feedingStartWaterC,
  feedingStopWaterC,
  shutdownWaterC,
})
