import { isSkimmer, type TrainUnit } from './train-unit'

/**
 * Flow that draws a surface toward a skimmer, and that it can still swallow, m³/h per m of mouth.
 * @source house default
 */
export const SKIMMER_M3_PER_H_PER_M = { least: 20, most: 60 } as const

/** Flow that the skimmers want, m³/h. */
export const skimmerDrawM3PerH = (train: readonly TrainUnit[]): number =>
  train.reduce((sum, unit) => sum + (isSkimmer(unit.kind) ? unit.weirM * SKIMMER_M3_PER_H_PER_M.least : 0), 0)
