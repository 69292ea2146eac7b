import { z } from 'zod'
import { DEFAULT_FILTER_PRACTICE, SCHOOLS, type FilterPractice } from '../../core/filter/house-rules'
import type { HydraulicTables } from '../../core/hydraulics/fittings'
import { DEFAULT_SEASON_PRACTICE, type SeasonPractice } from '../../core/season/house-rules'
import { numberWithin, shortText } from '../shared/fields'

const waterC = (noun: string) => numberWithin([0, 30], noun, '°C')

/** What a firm has decided for itself; anything it has not touched follows the defaults of the core. */
export const HousePractice = z.strictObject({
  school: z.enum(SCHOOLS).default('volume'),
  growthYears: numberWithin([0, 20], 'Years of growth', 'years').default(DEFAULT_FILTER_PRACTICE.growthYears),
  oversizing: z.enum(['calculated', 'next-size']).default(DEFAULT_FILTER_PRACTICE.oversizing),
  plantsCounted: z.boolean().default(DEFAULT_FILTER_PRACTICE.plantsCounted),
  uv: z.enum(['always', 'crutch', 'never']).default(DEFAULT_FILTER_PRACTICE.uv),
  spring: z.enum(['full-yearly', 'when-needed', 'never-drain']).default(DEFAULT_SEASON_PRACTICE.spring),
  winter: z.enum(['shutdown', 'run-on']).default(DEFAULT_SEASON_PRACTICE.winter),
  lamp: z.enum(['calendar', 'running']).default('calendar'),
  bacteria: z.enum(['regular', 'after-disturbance', 'none']).default(DEFAULT_SEASON_PRACTICE.bacteria),
  rinsing: z.enum(['hose', 'pressure']).default('hose'),
  mediaRinse: z.enum(['pond-water', 'tap-reset']).default('pond-water'),
  winterSalt: z.enum(['none', 'tenth-percent']).default('none'),
  winterIntake: z.enum(['upper', 'unchanged']).default('upper'),
  stringAlgae: z.enum(['by-place', 'ioniser', 'hand', 'treat']).default('by-place'),
  waterChanges: z.enum(['routine', 'top-up']).default('routine'),
  cleanoutMaxWaterC: waterC('Cleanout').default(DEFAULT_SEASON_PRACTICE.cleanoutWaterC[1]),
  bacteriaWaterC: waterC('Ordinary bacteria').default(DEFAULT_SEASON_PRACTICE.bacteriaWaterC),
  feedingNormalWaterC: waterC('Normal feed').default(DEFAULT_SEASON_PRACTICE.feedingNormalWaterC),
  tenderPlantsWaterC: waterC('Tender plants').default(DEFAULT_SEASON_PRACTICE.tenderPlantsWaterC),
  highSummerWaterC: waterC('High summer').default(DEFAULT_SEASON_PRACTICE.highSummerWaterC),
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

/** The year's triggers by a practice; what it does not name follows the defaults. */
export function seasonPracticeOf(practice: HousePractice): SeasonPractice {
  const { spring, winter, bacteria, startupWaterC, bacteriaWaterC, feedingStartWaterC, feedingNormalWaterC, feedingStopWaterC } = practice
  return {
    ...DEFAULT_SEASON_PRACTICE,
    ...{ spring, winter, bacteria, startupWaterC, bacteriaWaterC, feedingStartWaterC, feedingNormalWaterC, feedingStopWaterC },
    cleanoutWaterC: [Math.min(DEFAULT_SEASON_PRACTICE.cleanoutWaterC[0], practice.cleanoutMaxWaterC), practice.cleanoutMaxWaterC],
    tenderPlantsWaterC: practice.tenderPlantsWaterC,
    highSummerWaterC: practice.highSummerWaterC,
    shutdownWaterC: practice.shutdownWaterC,
  }
}
