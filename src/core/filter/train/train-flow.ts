import type { FlowBranch } from '../flow/flow-plan'
import { conductance } from './train-head'
import { isInline, isSkimmer, throughM3PerH, type TrainUnit } from './train-unit'
import type { Passed } from './capture'

/** What passes through the train. */
export interface TrainFlows {
  /** Of the pumps together, m³/h. */
  readonly pumpM3PerH: number
  /** Branches of a split with what they take; empty without one. */
  readonly branches: readonly { readonly kind: FlowBranch['kind']; readonly flowM3PerH: number }[]
}

/** The branch of a split that feeds a unit on a line of its own; null where it has its own pump. */
const branchOf = (kind: TrainUnit['kind'], { branches }: TrainFlows) =>
  kind === 'trickle-tower' || kind === 'heater' ? (branches.find((branch) => branch.kind === kind) ?? null) : null

/** Whether a unit on a line of its own has a pump of its own. */
export const hasOwnPump = (unit: TrainUnit, flows: TrainFlows): boolean =>
  unit.line === 'side' && branchOf(unit.kind, flows) === null

/** Each unit with the flow of its line and what of it passes through the unit itself. */
export function passedThrough(train: readonly TrainUnit[], flows: TrainFlows): Passed[] {
  const skimmed = train
    .filter((unit) => isSkimmer(unit.kind) && unit.line === 'intake')
    .reduce((sum, unit) => sum + conductance(unit), 0)
  return train.map((unit) => {
    // skimmers stand side by side and share what the pump draws
    const share = isSkimmer(unit.kind) ? conductance(unit) / Math.max(skimmed, 1e-9) : 1
    const lineM3PerH = isInline(unit)
      ? flows.pumpM3PerH * share
      : (branchOf(unit.kind, flows)?.flowM3PerH ?? unit.ratedFlowM3PerH)
    return { unit, lineM3PerH, flowM3PerH: throughM3PerH(unit, lineM3PerH) }
  })
}
