import { isInline, isSkimmer, throughM3PerH, type TrainUnit } from './train-unit'
import { UNIT_FACTS } from './unit-facts'

/** Head that a unit takes from a line at a flow, m: its loss, and what it lifts its water anew. */
export function unitHeadM(unit: TrainUnit, lineM3PerH: number): number {
  const { headM, freeFallM } = UNIT_FACTS[unit.kind]
  const lifted = unit.line === 'pressure' || unit.line === 'side' ? freeFallM + unit.heightM : 0
  return lifted + headM * (throughM3PerH(unit, lineM3PerH) / unit.ratedFlowM3PerH) ** 2
}

/** How easily a skimmer lets water through: what it takes at a head of 1 m, m³/h. */
export const conductance = ({ kind, ratedFlowM3PerH }: Pick<TrainUnit, 'kind' | 'ratedFlowM3PerH'>): number =>
  ratedFlowM3PerH / Math.sqrt(UNIT_FACTS[kind].headM)

/** Head lost in skimmers, m: side by side they lose the same, h = (Q / Σ q√(1/h₀))², each losing h₀ at its rated q. */
export function skimmerHeadM(train: readonly TrainUnit[], flowM3PerH: number): number {
  const all = train
    .filter((unit) => isSkimmer(unit.kind) && unit.line === 'intake')
    .reduce((sum, unit) => sum + conductance(unit), 0)
  return all > 0 ? (flowM3PerH / all) ** 2 : 0
}

/** Head that the train takes from one line of the pump's water, m. */
export const lineHeadM = (train: readonly TrainUnit[], line: 'intake' | 'pressure', flowM3PerH: number): number =>
  train
    .filter((unit) => unit.line === line && !isSkimmer(unit.kind))
    .reduce((sum, unit) => sum + unitHeadM(unit, flowM3PerH), line === 'intake' ? skimmerHeadM(train, flowM3PerH) : 0)

/** Head that all units of the pump's line take at a flow, m. */
export const inlineHeadM = (train: readonly TrainUnit[], flowM3PerH: number): number =>
  train.some(isInline) ? lineHeadM(train, 'intake', flowM3PerH) + lineHeadM(train, 'pressure', flowM3PerH) : 0
