import { z } from 'zod'
import { DEFAULT_FILTER_RULES, SIZING_METHODS, type FilterRules } from '../../core/filter/house-rules'
import type { HydraulicTables } from '../../core/hydraulics/fittings'
import { DEFAULT_SEASON_RULES, type SeasonRules } from '../../core/season/house-rules'
import { withConstants } from '../../core/filter/house-constants'
import type { ChangedConstant } from './house-constants'
import { numberWithin, shortText } from '../shared/fields'
import type { TextKey } from '@/messages/keys'

const waterC = (noun: TextKey) => numberWithin([0, 30], noun, '°C')

/** What a firm has decided for itself; anything it has not touched follows the defaults of the core. */
export const HouseRules = z.strictObject({
  sizingMethod: z.enum(SIZING_METHODS).default('volume'),
  growthYears: numberWithin([0, 20], 'houseRules.fields.yearsOfGrowth', { text: 'kit.units.years' }).default(
    DEFAULT_FILTER_RULES.growthYears,
  ),
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
  cleanoutMaxWaterC: waterC('houseRules.fields.cleanout').default(DEFAULT_SEASON_RULES.cleanoutWaterC[1]),
  bacteriaWaterC: waterC('houseRules.fields.ordinaryBacteria').default(DEFAULT_SEASON_RULES.bacteriaWaterC),
  feedingNormalWaterC: waterC('houseRules.fields.normalFeed').default(DEFAULT_SEASON_RULES.feedingNormalWaterC),
  tenderPlantsWaterC: waterC('houseRules.fields.tenderPlants').default(DEFAULT_SEASON_RULES.tenderPlantsWaterC),
  highSummerWaterC: waterC('houseRules.fields.highSummer').default(DEFAULT_SEASON_RULES.highSummerWaterC),
  startupWaterC: waterC('houseRules.fields.startup').default(DEFAULT_SEASON_RULES.startupWaterC),
  feedingStartWaterC: waterC('houseRules.fields.feedingStart').default(DEFAULT_SEASON_RULES.feedingStartWaterC),
  feedingStopWaterC: waterC('houseRules.fields.feedingStop').default(DEFAULT_SEASON_RULES.feedingStopWaterC),
  shutdownWaterC: waterC('houseRules.fields.shutdown').default(DEFAULT_SEASON_RULES.shutdownWaterC),
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
        .strictObject({
          value: HouseRules.shape[key].unwrap(),
          reason: shortText('houseRules.fields.whyThisPondIsDifferent', 300),
        })
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
  { growthYears, oversizing, plantsCounted, uv, shutdownWaterC }: HouseRules,
  tables: HydraulicTables,
  constants: readonly ChangedConstant[],
): FilterRules => ({
  ...withConstants(DEFAULT_FILTER_RULES, Object.fromEntries(constants.map(({ key, value }) => [key, value]))),
  growthYears,
  oversizing,
  plantsCounted,
  uv,
  shutdownWaterC,
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
