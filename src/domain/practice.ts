import { z } from 'zod'
import { DEFAULT_FILTER_PRACTICE, SCHOOLS, type FilterPractice } from '../core/filter/practice'
import type { HydraulicTables } from '../core/hydraulics/fittings'
import { DEFAULT_SEASON_PRACTICE } from '../core/season/practice'
import { numberWithin, shortText } from './fields'

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

/** Where one pond goes another way than the house, each with its reason. */
export type OwnPractice = { readonly [K in keyof HousePractice]?: { readonly value: HousePractice[K]; readonly reason: string } }

export const PRACTICE_KEYS = Object.keys(HousePractice.shape) as (keyof HousePractice)[]

export const OwnPractice = z.strictObject(
  Object.fromEntries(
    PRACTICE_KEYS.map((key) => [
      key,
      z.strictObject({ value: HousePractice.shape[key].unwrap(), reason: shortText('Why this pond is different', 300) }).optional(),
    ]),
  ),
) as unknown as z.ZodType<OwnPractice>

/** What holds at one pond: its own answers where it has any, the house's elsewhere. */
export function practiceAt(house: HousePractice, own: OwnPractice): HousePractice {
  const answers = Object.entries(own).flatMap(([key, answer]) => (answer ? [[key, answer.value]] : []))
  return { ...house, ...Object.fromEntries(answers) }
}

export const filterPracticeOf = ({ growthYears, oversizing, plantsCounted, uv }: HousePractice, tables: HydraulicTables): FilterPractice => ({
  ...DEFAULT_FILTER_PRACTICE,
  growthYears,
  oversizing,
  plantsCounted,
  uv,
  tables,
})

export const seasonPracticeOf = ({ startupWaterC, feedingStartWaterC, feedingStopWaterC, shutdownWaterC }: HousePractice) => ({
  ...DEFAULT_SEASON_PRACTICE,
  startupWaterC,
  feedingStartWaterC,
  feedingStopWaterC,
  shutdownWaterC,
})
