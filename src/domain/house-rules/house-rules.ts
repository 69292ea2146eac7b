import { z } from 'zod'
import { DEFAULT_FILTER_RULES, SIZING_METHODS, type FilterRules } from '../../core/filter/house-rules'
import type { HydraulicTables } from '../../core/hydraulics/fittings'
import { DEFAULT_SEASON_RULES, type SeasonRules } from '../../core/season/house-rules'
import { numberWithin, shortText } from '../shared/fields'

const waterC = (noun: string) => numberWithin([0, 30], noun, '°C')

/** What a firm has decided for itself; anything it has not touched follows the defaults of the core. */
export const HouseRules = z.strictObject({
  sizingMethod: z.enum(SIZING_METHODS).default('volume'),
  growthYears: numberWithin([0, 20], 'Years of growth', 'years').default(DEFAULT_FILTER_RULES.growthYears),
  oversizing: z.enum(['calculated', 'next-size']).default(DEFAULT_FILTER_RULES.oversizing),
  plantsCounted: z.boolean().default(DEFAULT_FILTER_RULES.plantsCounted),
  uv: z.enum(['always', 'crutch', 'never']).default(DEFAULT_FILTER_RULES.uv),
  spring: z.enum(['full-yearly', 'when-needed', 'never-drain']).default(DEFAULT_SEASON_RULES.spring),
  winter: z.enum(['shutdown', 'run-on']).default(DEFAULT_SEASON_RULES.winter),
  lamp: z.enum(['calendar', 'running']).default('calendar'),
  bacteria: z.enum(['regular', 'after-disturbance', 'none']).default(DEFAULT_SEASON_RULES.bacteria),
  rinsing: z.enum(['hose', 'pressure']).default('hose'),
  mediaRinse: z.enum(['pond-water', 'tap-reset']).default('pond-water'),
  winterSalt: z.enum(['none', 'tenth-percent']).default('none'),
  winterIntake: z.enum(['upper', 'unchanged']).default('upper'),
  stringAlgae: z.enum(['by-place', 'ioniser', 'hand', 'treat']).default('by-place'),
  waterChanges: z.enum(['routine', 'top-up']).default('routine'),
  cleanoutMaxWaterC: waterC('Cleanout').default(DEFAULT_SEASON_RULES.cleanoutWaterC[1]),
  bacteriaWaterC: waterC('Ordinary bacteria').default(DEFAULT_SEASON_RULES.bacteriaWaterC),
  feedingNormalWaterC: waterC('Normal feed').default(DEFAULT_SEASON_RULES.feedingNormalWaterC),
  tenderPlantsWaterC: waterC('Tender plants').default(DEFAULT_SEASON_RULES.tenderPlantsWaterC),
  highSummerWaterC: waterC('High summer').default(DEFAULT_SEASON_RULES.highSummerWaterC),
  startupWaterC: waterC('Startup').default(DEFAULT_SEASON_RULES.startupWaterC),
  feedingStartWaterC: waterC('Feeding start').default(DEFAULT_SEASON_RULES.feedingStartWaterC),
  feedingStopWaterC: waterC('Feeding stop').default(DEFAULT_SEASON_RULES.feedingStopWaterC),
  shutdownWaterC: waterC('Shutdown').default(DEFAULT_SEASON_RULES.shutdownWaterC),
})
export type HouseRules = z.infer<typeof HouseRules>

/** Where one pond goes another way than the house, each with its reason. */
export type OwnRules = { readonly [K in keyof HouseRules]?: { readonly value: HouseRules[K]; readonly reason: string } }

export const RULE_KEYS = Object.keys(HouseRules.shape) as (keyof HouseRules)[]

export const OwnRules = z.strictObject(
  Object.fromEntries(
    RULE_KEYS.map((key) => [
      key,
      z
        .strictObject({ value: HouseRules.shape[key].unwrap(), reason: shortText('Why this pond is different', 300) })
        .optional(),
    ]),
  ),
) as unknown as z.ZodType<OwnRules>

/** What holds at one pond: its own answers where it has any, the house's elsewhere. */
export function houseRulesAt(house: HouseRules, own: OwnRules): HouseRules {
  const answers = Object.entries(own).flatMap(([key, answer]) => (answer ? [[key, answer.value]] : []))
  return { ...house, ...Object.fromEntries(answers) }
}

export const filterRulesOf = (
  { growthYears, oversizing, plantsCounted, uv }: HouseRules,
  tables: HydraulicTables,
): FilterRules => ({
  ...DEFAULT_FILTER_RULES,
  growthYears,
  oversizing,
  plantsCounted,
  uv,
  tables,
})

/** The year's triggers by the house rules; what it does not name follows the defaults. */
export function seasonRulesOf(rules: HouseRules): SeasonRules {
  const {
    spring,
    winter,
    bacteria,
    startupWaterC,
    bacteriaWaterC,
    feedingStartWaterC,
    feedingNormalWaterC,
    feedingStopWaterC,
  } = rules
  return {
    ...DEFAULT_SEASON_RULES,
    ...{
      spring,
      winter,
      bacteria,
      startupWaterC,
      bacteriaWaterC,
      feedingStartWaterC,
      feedingNormalWaterC,
      feedingStopWaterC,
    },
    cleanoutWaterC: [
      Math.min(DEFAULT_SEASON_RULES.cleanoutWaterC[0], rules.cleanoutMaxWaterC),
      rules.cleanoutMaxWaterC,
    ],
    tenderPlantsWaterC: rules.tenderPlantsWaterC,
    highSummerWaterC: rules.highSummerWaterC,
    shutdownWaterC: rules.shutdownWaterC,
  }
}
