import { fishBackGate } from '../fish-back-gate'
import type { StepGate } from '../step'
import { algaeTreatmentGate } from './algae-treatment'
import { deepSludgeGate } from './deep-sludge'
import { feedingGate } from './feeding'
import { fishHandlingGate } from './fish-handling'
import type { GateContext, GateOutcome } from './gate'
import { mediaCleanGate } from './media-clean'
import { raiseKhGate } from './raise-kh'
import { saltGate } from './salt'
import { waterChangeGate } from './water-change'

const GATES: Readonly<Record<StepGate, (given: GateContext) => GateOutcome>> = {
  'fish-back-safe': ({ refilled }) => fishBackGate(refilled),
  'fish-handling': fishHandlingGate,
  'raise-kh': raiseKhGate,
  'water-change': waterChangeGate,
  salt: saltGate,
  'media-clean': mediaCleanGate,
  'algae-treatment': algaeTreatmentGate,
  'deep-sludge': deepSludgeGate,
  feeding: feedingGate,
}

/** Whether a step may be done now: safe, or every reason to wait. */
export const judgeGate = (gate: StepGate, given: GateContext): GateOutcome => GATES[gate](given)

/** Leaving the step out is as much of a danger as doing it: fish stay in the tank either way. */
export const GATES_THAT_HOLD: readonly StepGate[] = ['fish-back-safe']
