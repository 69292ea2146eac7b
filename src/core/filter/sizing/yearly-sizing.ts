import type { FishGroup } from '../../fish/load'
import type { DesignPond } from '../design-input'
import { monthlyLoad, type MonthLoad } from '../load/monthly-load'
import type { FilterRules, SizingMethod } from '../house-rules'
import { sizeFilter, type BedToSize, type SizingMethodResult, type Sizing } from './sizing'

interface MonthSizing extends Sizing {
  /** 0 = January. */
  readonly month: number
  readonly tempC: number
  readonly feedKgPerD: number
  /** Before plants that are counted on take from it. */
  readonly load: MonthLoad
}

export interface YearSizing {
  /** Each sizing method at the month that asks most of it. */
  readonly sizingMethods: readonly (SizingMethodResult & { month: number })[]
  readonly governing: SizingMethod
  readonly worstOxygenFlowM3PerH: number
  readonly turnoverFlowM3PerH: number
  readonly feedKgPerYear: number
  readonly months: readonly MonthSizing[]
}

const DAYS_PER_MONTH = 365 / 12

/**
 * The four sizing methods through a year: feed follows the water's temperature, and the worst month governs each
 * sizing method.
 * @param fish the stock to size for (today's or grown)
 * @param uptakeGPerD nitrogen that plants draw by month, when the house counts on them, g/d
 * @param litterShare share of the leaf litter that stays in the water
 */
export function sizeThroughYear(
  pond: DesignPond,
  fish: readonly FishGroup[],
  bed: BedToSize,
  rules: FilterRules,
  uptakeGPerD?: readonly number[],
  litterShare = 1,
): YearSizing {
  const months = monthlyLoad(pond, fish, rules, litterShare).map((load, month): MonthSizing => {
    const { tempC, feedKgPerD, tanGPerD } = load
    const sizing = sizeFilter(
      {
        volumeM3: pond.volumeM3,
        areaM2: pond.areaM2,
        use: pond.use,
        feedKgPerD,
        protein: rules.feedProtein,
        tempC,
        altitudeM: pond.altitudeM,
        otherTanGPerD: tanGPerD.animals + tanGPerD.leaves + tanGPerD.bathers,
        uptakeGPerD: uptakeGPerD?.[month],
      },
      bed,
      rules,
    )
    return { ...sizing, month, tempC, feedKgPerD, load }
  })
  const sizingMethods = months[0]!.sizingMethods.map(({ sizingMethod }, index) => {
    const worst = months.reduce((max, m) => {
      const [a, b] = [m.sizingMethods[index]!, max.sizingMethods[index]!]
      return a.areaM2 > b.areaM2 || (a.areaM2 === b.areaM2 && a.tanMgL > b.tanMgL) ? m : max
    })
    return { ...worst.sizingMethods[index]!, sizingMethod, month: worst.month }
  })
  return {
    sizingMethods,
    governing: sizingMethods.reduce((max, s) => (s.areaM2 > max.areaM2 ? s : max)).sizingMethod,
    worstOxygenFlowM3PerH: Math.max(...months.map((m) => m.oxygenFlowM3PerH)),
    turnoverFlowM3PerH: months[0]!.turnoverFlowM3PerH,
    feedKgPerYear: months.reduce((sum, m) => sum + m.feedKgPerD * DAYS_PER_MONTH, 0),
    months,
  }
}
