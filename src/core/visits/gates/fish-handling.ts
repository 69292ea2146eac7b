import { FISH_BACK_LIMITS } from '../fish-back-gate'
import { missingReadings, outcomeOf, type GateContext, type GateOutcome, type GateReason } from './gate'

/** Oxygen that fish need before they are netted, mg/L. @source house default */
export const HANDLING_OXYGEN_MGL = 6

/** Fish are handled only in water that is neither too cold nor too warm, and with oxygen to spare. */
export function fishHandlingGate({ readings }: GateContext): GateOutcome {
  const missing = missingReadings(readings, ['waterTemp', 'dissolvedOxygen'])
  if (missing.length > 0) return outcomeOf([{ code: 'needs-test', missing }])
  const { waterTemp, dissolvedOxygen } = readings as Record<'waterTemp' | 'dissolvedOxygen', number>
  const reasons: GateReason[] = []
  const [coldest, hottest] = FISH_BACK_LIMITS.handlingC
  if (waterTemp < coldest || waterTemp > hottest)
    reasons.push({ code: 'too-cold-or-hot', waterC: waterTemp, range: FISH_BACK_LIMITS.handlingC })
  if (dissolvedOxygen < HANDLING_OXYGEN_MGL)
    reasons.push({ code: 'oxygen', mgL: dissolvedOxygen, leastMgL: HANDLING_OXYGEN_MGL })
  return outcomeOf(reasons)
}
