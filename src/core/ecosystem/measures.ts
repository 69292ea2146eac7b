import { AMMONIA_BANDS } from '../water/ammonia'
import { shareOf } from '../statistics/wilson'
import { thresholdsOf } from '../water/readings'
import type { Series } from './outputs'

/** Figures that two runs are compared by. */
export interface Measures {
  readonly peakTan: number
  readonly peakTanDay: number
  readonly peakNh3: number
  readonly peakNitrite: number
  readonly peakNitriteDay: number
  readonly leastOxygen: number
  /** Share of the fish that died of the water. */
  readonly fishLost: number
  /** Days on which something asks for action: un-ionised ammonia, nitrite or oxygen past their line. */
  readonly harmDays: number
  /** Days on which the water is murky: a hand cannot be seen at the depth that calls for watching. */
  readonly murkyDays: number
  /** First day from which the water stays clear for a working week; the run's length when never. */
  readonly clearDay: number
  readonly meanClarityM: number
  readonly mostStringAlgae: number
  /** Least share of the bed's room that bacteria fill. */
  readonly leastBacteria: number
}
export type MeasureName = keyof Measures

/** Water in which a hand is seen this deep counts as clear, m. @source trade practice for garden ponds */
export const CLEAR_M = 0.6
const CLEAR_DAYS = 5

const edge = (kind: 'nitrite' | 'dissolvedOxygen' | 'clarityDepth', band: 'watch' | 'act') =>
  thresholdsOf(kind).find((t) => t.band === band)!.value
/** Lines past which a day counts as harmful or murky: those of the readings. */
export const LINES = {
  nh3: AMMONIA_BANDS.actAboveMgL,
  nitrite: edge('nitrite', 'act'),
  oxygen: edge('dissolvedOxygen', 'act'),
  clarityM: edge('clarityDepth', 'watch'),
} as const

export function measuresOf(series: Series): Measures {
  const days = series.tan.length
  const peakTanDay = indexOfMost(series.tan)
  const peakNitriteDay = indexOfMost(series.nitrite)
  let [harmDays, murkyDays, clearRun, clearDay] = [0, 0, 0, days]
  for (let d = 0; d < days; d++) {
    if (series.nh3[d]! > LINES.nh3 || series.nitrite[d]! > LINES.nitrite || series.oxygen[d]! < LINES.oxygen) harmDays++
    if (series.clarityM[d]! < LINES.clarityM) murkyDays++
    clearRun = series.clarityM[d]! > CLEAR_M ? clearRun + 1 : 0
    if (clearRun === Math.min(CLEAR_DAYS, days) && clearDay === days) clearDay = d - clearRun + 1
  }
  return {
    peakTan: series.tan[peakTanDay]!,
    peakTanDay,
    peakNh3: series.nh3[indexOfMost(series.nh3)]!,
    peakNitrite: series.nitrite[peakNitriteDay]!,
    peakNitriteDay,
    leastOxygen: series.oxygen.reduce((a, b) => Math.min(a, b), Infinity),
    fishLost: 1 - series.fishAlive[days - 1]! / Math.max(1e-9, series.fishAlive[0]!),
    harmDays,
    murkyDays,
    clearDay,
    meanClarityM: series.clarityM.reduce((a, b) => a + b, 0) / days,
    mostStringAlgae: series.filamentousGM2[indexOfMost(series.filamentousGM2)]!,
    leastBacteria: series.bacteriaShare.reduce((a, b) => Math.min(a, b), Infinity),
  }
}

function indexOfMost(values: Float64Array): number {
  let at = 0
  for (let i = 1; i < values.length; i++) if (values[i]! > values[at]!) at = i
  return at
}

/** Which way is better. */
const MORE_IS_BETTER: Partial<Record<MeasureName, true>> = {
  leastOxygen: true,
  meanClarityM: true,
  leastBacteria: true,
}

/** How two ways fared in the same years or runs, told apart one by one. */
export interface PairedCount {
  readonly secondBetter: number
  readonly firstBetter: number
  readonly same: number
  readonly of: number
}

/**
 * Counts pairs one by one; no pair is split between the two.
 * @param least difference from which one is called better
 */
export function pairedCount(first: readonly number[], second: readonly number[], least = 0): PairedCount {
  const apart = first.map((a, i) => second[i]! - a)
  const [secondBetter, firstBetter] = [apart.filter((d) => d > least).length, apart.filter((d) => d < -least).length]
  return { secondBetter, firstBetter, same: first.length - secondBetter - firstBetter, of: first.length }
}

/** Runs that tell two ways apart must speak for one at least so surely: the lower end of its share among them. */
const CLEARLY = 0.6

/** Which of two ways is better beyond chance, by the pairs that tell them apart. */
export function clearlyBetter({ firstBetter, secondBetter }: PairedCount): 'first' | 'second' | null {
  const decided = firstBetter + secondBetter
  if (decided === 0) return null
  if (shareOf(secondBetter, decided).low >= CLEARLY) return 'second'
  return shareOf(firstBetter, decided).low >= CLEARLY ? 'first' : null
}

export interface MeasureCompared extends PairedCount {
  /** Middle of the members, in each of the two. */
  readonly first: number
  readonly second: number
}

/** A measure of two scenarios over the same members. */
export function compareMeasure(
  first: readonly Measures[],
  second: readonly Measures[],
  name: MeasureName,
): MeasureCompared {
  const sign = MORE_IS_BETTER[name] ? 1 : -1
  const values = (of: readonly Measures[]) => of.map((m) => m[name])
  const scored = (of: readonly Measures[]) => of.map((m) => sign * m[name])
  return {
    first: middle(values(first)),
    second: middle(values(second)),
    ...pairedCount(scored(first), scored(second)),
  }
}

export function middle(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = (sorted.length - 1) / 2
  return (sorted[Math.floor(half)]! + sorted[Math.ceil(half)]!) / 2
}
