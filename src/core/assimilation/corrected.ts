import type { Series } from '../ecosystem/outputs'
import { unionisedShare } from '../ecosystem/unionised-share'
import { recordOf } from '../numeric/record-of'
import type { Random } from '../numeric/random'
import { biasPath, type Biases, type Wander } from './bias'
import type { OutlookOutput } from './hazards'
import { leadOf } from './leads'
import { asRead, OBSERVED, offScale, onScale } from './observed'
import { SCORED_KINDS, type ScoredKind } from './scored'
import type { Stretches } from './stretch'

/** One member's coming weeks as its model has them. */
export interface MemberRun {
  readonly series: Series
  readonly bias: Biases
  readonly random: Random
}

/** The same as it would be read at the pond. */
export type CorrectedRun = Readonly<Record<OutlookOutput, readonly number[]>>

interface Setting {
  readonly deepestM: number
  readonly stretch: Stretches
  /** Days from when the forecast is given out to the first day of the runs. */
  readonly leadOfFirst: number
  readonly wander: Wander
}

/**
 * Runs with the pond's own bias, and spread about their middle as far as past forecasts have shown to be needed.
 * Toxic ammonia is worked out anew from each run's corrected TAN, pH and temperature: what is known of one of them
 * is known of it.
 */
export function correctedRuns(runs: readonly MemberRun[], days: number, setting: Setting): CorrectedRun[] {
  const read = recordOf(SCORED_KINDS, (kind) => readOf(kind, runs, days, setting))
  return runs.map(({ series }, i): CorrectedRun => {
    const of = (kind: ScoredKind) => read[kind][i]!
    return {
      waterC: of('waterTemp'),
      tan: of('tan'),
      ph: of('ph'),
      nh3: toxicOf(series, { tan: of('tan'), ph: of('ph'), waterC: of('waterTemp') }),
      nitrite: of('nitrite'),
      oxygen: of('dissolvedOxygen'),
      clarityM: of('clarityDepth'),
      levelMm: Array.from(series.levelMm),
    }
  })
}

/** One kind of all runs, day by day. */
function readOf(
  kind: ScoredKind,
  runs: readonly MemberRun[],
  days: number,
  { deepestM, stretch, leadOfFirst, wander }: Setting,
): number[][] {
  const { output } = OBSERVED[kind]
  const paths = runs.map(({ bias, random }) => biasPath(kind, bias[kind], days, random, wander))
  const all = runs.map(() => new Array<number>(days))
  for (let d = 0; d < days; d++) {
    const scaled = runs.map(({ series }, i) => onScale(kind, series[output][d]!) + paths[i]![d]!)
    const middle = [...scaled].sort((a, b) => a - b)[scaled.length >> 1]!
    const wider = stretch[kind][leadOf(d + leadOfFirst)]
    scaled.forEach((value, i) => {
      const own = Math.max(lowestOf(kind), offScale(kind, middle + wider * (value - middle)))
      all[i]![d] = asRead(kind, own, deepestM)
    })
  }
  return all
}

/** Water freezes before it is colder, and no oxygen is less than none. */
const lowestOf = (kind: ScoredKind): number => (kind === 'ph' ? 3 : 0)

/** The day's highest toxic ammonia of a run whose TAN, pH and temperature have been corrected, mg/L as N. */
function toxicOf(
  series: Series,
  corrected: { readonly tan: readonly number[]; readonly ph: readonly number[]; readonly waterC: readonly number[] },
): number[] {
  return corrected.tan.map((tan, d) => {
    // how far the pH of the worst hour lies above the day's mean, as the model has it
    const worst = phOfShare(series.nh3[d]! / Math.max(series.tan[d]!, 1e-9), series.waterC[d]!)
    return tan * unionisedShare(worst + corrected.ph[d]! - series.ph[d]!, corrected.waterC[d]!)
  })
}

/** pH at which ammonia has a toxic share. */
function phOfShare(share: number, tempC: number): number {
  const held = Math.min(1 - 1e-9, Math.max(1e-9, share))
  return 0.09018 + 2729.92 / (tempC + 273.15) + Math.log10(held / (1 - held))
}
