import { fishLoad, type FishGroup } from '../../fish/load'
import type { DesignPond } from '../design-input'
import type { FilterPractice, School } from '../house-rules'
import { sizeFilter, type BedToSize, type SchoolResult, type Sizing } from './sizing'

export interface MonthSizing extends Sizing {
  /** 0 = January. */
  readonly month: number
  readonly tempC: number
  readonly feedKgPerD: number
}

export interface YearSizing {
  /** Each school at the month that asks most of it. */
  readonly schools: readonly (SchoolResult & { month: number })[]
  readonly governing: School
  readonly worstOxygenFlowM3PerH: number
  readonly turnoverFlowM3PerH: number
  readonly feedKgPerYear: number
  readonly months: readonly MonthSizing[]
}

const DAYS_PER_MONTH = 365 / 12

/** Water under ice is about this warm; colder surface means tell the same thing to feed and bacteria. */
const COLDEST_WATER_C = 0

/**
 * The four schools through a year: feed follows the water's temperature, and the worst month governs each school.
 * @param fish the stock to size for (today's or grown)
 * @param uptakeGPerD nitrogen that plants draw by month, when the house counts on them, g/d
 */
export function sizeThroughYear(
  pond: DesignPond,
  fish: readonly FishGroup[],
  bed: BedToSize,
  practice: FilterPractice,
  uptakeGPerD?: readonly number[],
): YearSizing {
  const months = pond.monthlyTempC.map((tempC, month): MonthSizing => {
    const water = Math.max(COLDEST_WATER_C, tempC)
    const feedKgPerD = fishLoad(fish, water, practice.feedProtein).feedGPerD / 1000
    const sizing = sizeFilter(
      {
        volumeM3: pond.volumeM3,
        areaM2: pond.areaM2,
        use: pond.use,
        feedKgPerD,
        protein: practice.feedProtein,
        tempC: water,
        altitudeM: pond.altitudeM,
        uptakeGPerD: uptakeGPerD?.[month],
      },
      bed,
      practice,
    )
    return { ...sizing, month, tempC: water, feedKgPerD }
  })
  const schools = months[0].schools.map(({ school }, index) => {
    const worst = months.reduce((most, m) => {
      const [a, b] = [m.schools[index], most.schools[index]]
      return a.areaM2 > b.areaM2 || (a.areaM2 === b.areaM2 && a.tanMgL > b.tanMgL) ? m : most
    })
    return { ...worst.schools[index], school, month: worst.month }
  })
  return {
    schools,
    governing: schools.reduce((most, s) => (s.areaM2 > most.areaM2 ? s : most)).school,
    worstOxygenFlowM3PerH: Math.max(...months.map((m) => m.oxygenFlowM3PerH)),
    turnoverFlowM3PerH: months[0].turnoverFlowM3PerH,
    feedKgPerYear: months.reduce((sum, m) => sum + m.feedKgPerD * DAYS_PER_MONTH, 0),
    months,
  }
}
