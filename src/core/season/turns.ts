import { DECEMBER_SOLSTICE, JUNE_SOLSTICE } from './sun'
import { dailyNormals, type StationNormals } from './station'

/** The turn of the year at a station, from its normals. */
export interface YearTurns {
  /** Middle of the coldest and of the warmest fortnight, day 1..365. */
  readonly coldDay: number
  readonly warmDay: number
  /** First day of the warmest fortnight: spring has come by then, and a cold spell after it undoes no spring. */
  readonly warmestFrom: number
  /** Warmest fortnight less coldest, mean air, °C. */
  readonly swingC: number
  /** Whether there are seasons of warmth to speak of; where not, work goes by need, by wet and by dry. */
  readonly turns: boolean
}

/** A yearly swing of the mean below this makes no seasons of warmth, °C. @source house default */
const HARDLY_TURNS_C = 6
const DAYS = 365
const FORTNIGHT = 14
/** How long water and air lag behind the sun: what stands in where normals hardly differ, days. */
const LAG_DAYS = 25
/** Normals that differ by less say nothing of when it is coldest, °C. */
const FLAT_C = 1

/**
 * The cold and the warm turn of a station's year: the middle of its coldest and of its warmest fortnight.
 * @returns days 1..365; where the normals hardly differ, days that lag behind the sun of its hemisphere
 */
export function yearTurns(station: StationNormals): YearTurns {
  const means = dailyNormals(station).map((day) => (day.minAirC + day.maxAirC) / 2)
  const fortnight = means.map((_, i) => {
    let sum = 0
    for (let k = 0; k < FORTNIGHT; k++) sum += means[(i - FORTNIGHT / 2 + k + DAYS) % DAYS]!
    return sum / FORTNIGHT
  })
  const [coldest, hottest] = [Math.min(...fortnight), Math.max(...fortnight)]
  const swingC = hottest - coldest
  const turns = swingC >= HARDLY_TURNS_C
  if (swingC < FLAT_C) {
    const [june, december] = [JUNE_SOLSTICE + LAG_DAYS, ((DECEMBER_SOLSTICE + LAG_DAYS - 1) % DAYS) + 1]
    return station.latitudeDeg < 0
      ? { coldDay: june, ...warmest(december), swingC, turns }
      : { coldDay: december, ...warmest(june), swingC, turns }
  }
  return { coldDay: fortnight.indexOf(coldest) + 1, ...warmest(fortnight.indexOf(hottest) + 1), swingC, turns }
}

const warmest = (warmDay: number) => ({
  warmDay,
  warmestFrom: ((warmDay - 1 - FORTNIGHT / 2 + DAYS) % DAYS) + 1,
})
