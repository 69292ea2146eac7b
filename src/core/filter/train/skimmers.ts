import { isSkimmer, type TrainUnit } from './train-unit'
import type { SkimmerKind } from './skimmer-choice'

/**
 * Flow that draws a surface toward a skimmer, and that it can still swallow, m³/h per m of mouth.
 * @source house default
 */
export const SKIMMER_M3_PER_H_PER_M = { least: 20, most: 60 } as const

/** Surface that one skimmer keeps clean, m². @source trade practice; floating ones draw from a smaller round */
export const SKIMMER_SERVES_M2: Readonly<Record<SkimmerKind, number>> = {
  'skimmer-wall': 50,
  'skimmer-floating': 40,
  'skimmer-pump-fed': 20,
}

const skimmersOn = (train: readonly TrainUnit[], pumped: boolean) =>
  train.filter((unit) => isSkimmer(unit.kind) && (unit.line === 'intake') === pumped)

/** Flow that the skimmers want of the pump, m³/h; those with a pump of their own want none. */
export const skimmerDrawM3PerH = (train: readonly TrainUnit[]): number =>
  skimmersOn(train, true).reduce((sum, unit) => sum + unit.weirM * SKIMMER_M3_PER_H_PER_M.least, 0)

/** Surface that all skimmers of a train keep clean, m². */
export const skimmedM2 = (train: readonly TrainUnit[]): number =>
  train.reduce((sum, { kind }) => sum + (isSkimmer(kind) ? SKIMMER_SERVES_M2[kind as SkimmerKind] : 0), 0)

/** Flow over each metre of mouth, m³/h: the pump's over those that it draws by, their own over the others. */
export function mouthLoadings(train: readonly TrainUnit[], pumpM3PerH: number): number[] {
  const drawn = skimmersOn(train, true)
  const mouthM = drawn.reduce((sum, unit) => sum + unit.weirM, 0)
  const over = (flowM3PerH: number, weirM: number) => (weirM > 0 ? flowM3PerH / weirM : Infinity)
  return [
    ...(drawn.length > 0 ? [over(pumpM3PerH, mouthM)] : []),
    ...skimmersOn(train, false).map((unit) => over(unit.ratedFlowM3PerH, unit.weirM)),
  ]
}
