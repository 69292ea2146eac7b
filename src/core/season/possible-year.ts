import { degreeDayDate, leafFallDay } from './phenology'
import type { SeasonRules } from './house-rules'
import type { WaterDay } from './water-temperature'
import type { WeatherDay } from './weather-year'

/** How the days of a season year lie: everything else that rules know of where a pond is. */
export interface SeasonClock {
  readonly latitudeDeg: number
  /** Day of the year, 1..365, of the first day. */
  readonly firstDay: number
  /** The warm turn, where the warmest fortnight begins, as the season year's day; the first is 0. */
  readonly warmAt: number
  /** Whether there are seasons of warmth to go by. */
  readonly turns: boolean
}

/** One way a season year may go, 365 days from its first on; what windows ask of it is worked out once. */
export class PossibleYear {
  private readonly means = new Map<number, Float64Array>()
  private known: Partial<Record<'iceOut' | 'firstIce' | 'leafOut' | 'leafFall', number>> = {}

  constructor(
    readonly weather: readonly WeatherDay[],
    readonly water: readonly WaterDay[],
    private readonly clock: SeasonClock,
    private readonly rules: SeasonRules,
  ) {}

  /** Mean water of each day and the ones before it, so many together, °C. */
  meanC(days: number): Float64Array {
    let means = this.means.get(days)
    if (!means) {
      means = new Float64Array(this.water.length)
      let sum = 0
      this.water.forEach(({ waterC }, i) => {
        sum += waterC - (i >= days ? this.water[i - days]!.waterC : 0)
        means![i] = sum / Math.min(i + 1, days)
      })
      this.means.set(days, means)
    }
    return means
  }

  /** Mean of the nights of a day and the six before it, °C. */
  weekOfNightsC(i: number): number {
    const from = Math.max(0, i - 6)
    let sum = 0
    for (let k = from; k <= i; k++) sum += this.weather[k]!.minAirC
    return sum / (i - from + 1)
  }

  /** First day without ice before the warm turn. */
  get iceOut(): number {
    return (this.known.iceOut ??= this.water.slice(0, this.clock.warmAt).findLastIndex((d) => d.iceM > 0) + 1)
  }

  /** First day of ice of the coming winter; Infinity when this year stays open. */
  get firstIce(): number {
    if (this.known.firstIce === undefined) {
      const at = this.water.findIndex((d, i) => i > this.clock.warmAt && d.iceM > 0)
      this.known.firstIce = at === -1 ? Infinity : at
    }
    return this.known.firstIce
  }

  /** Day on which leaves open, the first being 1. */
  get leafOut(): number {
    return (this.known.leafOut ??= degreeDayDate(this.weather, this.rules.leafOutDegreeDays))
  }

  /** Day on which the main leaf fall sets in, the first being 1. */
  get leafFall(): number {
    const { latitudeDeg, firstDay } = this.clock
    return (this.known.leafFall ??= leafFallDay(this.weather, latitudeDeg, this.rules.leafFallChill, firstDay))
  }
}
