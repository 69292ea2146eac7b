import { normalDeviate, type Random } from '../numeric/random'
import type { ThermalPond } from './water-temperature'

/** How one pond's water answers to the weather. */
export interface ThermalFit {
  readonly shade: number
  readonly windShare: number
  readonly airOffsetC: number
  readonly depthShare: number
}

/**
 * How far a pond may lie from what the survey and trees suggest, one standard deviation: shade, the logarithm of its
 * share of the wind, air and the logarithm of its share of the depth.
 * @source house defaults
 */
export const THERMAL_SPREAD = { shade: 0.18, logWind: 0.35, airOffsetC: 1, logDepth: 0.35 } as const

/** A thermometer further off than this is named, °C. @source house default */
export const PROBE_SAID_C = 1

export const THERMAL_BOUNDS = {
  shade: [0, 0.95],
  logWind: [Math.log(0.05), Math.log(1.5)],
  airOffsetC: [-4, 4],
  logDepth: [Math.log(0.3), Math.log(2.5)],
} as const

/**
 * What is not known of a pond's four figures, in the order of THERMAL_SPREAD: rows of a matrix that independent
 * normal deviates are multiplied with.
 */
export type ThermalSpread = readonly (readonly number[])[]

/** Of a pond that was surveyed and never measured. */
export const SURVEY_SPREAD: ThermalSpread = Object.values(THERMAL_SPREAD).map((sd, i) =>
  Array.from({ length: 4 }, (_, k) => (k === i ? sd : 0)),
)

/** A pond as it may be, by what is not known of it. */
export function drawThermalPond(pond: ThermalPond, spread: ThermalSpread, random: Random): ThermalPond {
  const z = spread.map(() => normalDeviate(random))
  const off = spread.map((row) => row.reduce((sum, share, k) => sum + share * z[k]!, 0))
  const { shade, logWind, airOffsetC, logDepth } = THERMAL_BOUNDS
  const within = (value: number, [low, high]: readonly [number, number]) => Math.min(high, Math.max(low, value))
  return {
    ...pond,
    shade: within(pond.shade + off[0]!, shade),
    windShare: Math.exp(within(Math.log(pond.windShare) + off[1]!, logWind)),
    airOffsetC: within((pond.airOffsetC ?? 0) + off[2]!, airOffsetC),
    depthShare: Math.exp(within(Math.log(pond.depthShare ?? 1) + off[3]!, logDepth)),
  }
}
