import { isAnswer, missingReadings, outcomeOf, type GateContext, type GateOutcome, type GateReason } from './gate'

/**
 * Oxygen that a green pond uses up on a still night, mg/L at 20 °C, and how it grows with warmth.
 * @source upper end of community respiration in fish ponds, about 0.25 mg/L an hour over twelve hours; θ = 1.047
 */
const NIGHT_SAG = { mgLAt20: 3, theta: 1.047 } as const
/** What has to be left at dawn, mg/L. @source house default */
export const DAWN_OXYGEN_MGL = 4
/** Answers of steps that treat algae. */
export const ALGAE_ANSWERS = ['not-treated', 'treated-licensed', 'treated-unlicensed', 'dying-off'] as const

/**
 * Oxygen at dawn after a still night, mg/L, from the afternoon's reading; nothing is counted in from the air: the
 * safe side.
 */
export const dawnOxygen = (mgL: number, waterC: number): number =>
  Math.max(0, mgL - NIGHT_SAG.mgLAt20 * NIGHT_SAG.theta ** (waterC - 20))

/**
 * Algae killers: oxygen must last the night, somebody licensed has to do it where the law says so, and never on a day
 * of dying off.
 */
export function algaeTreatmentGate({ readings, choice }: GateContext): GateOutcome {
  if (!isAnswer(ALGAE_ANSWERS, choice)) return outcomeOf([{ code: 'needs-answer' }])
  if (choice === 'not-treated' || choice === null) return outcomeOf([])
  const missing = missingReadings(readings, ['dissolvedOxygen', 'waterTemp'])
  if (missing.length > 0) return outcomeOf([{ code: 'needs-test', missing }])
  const reasons: GateReason[] = []
  const mgL = dawnOxygen(readings.dissolvedOxygen!, readings.waterTemp!)
  if (mgL < DAWN_OXYGEN_MGL) reasons.push({ code: 'night-oxygen', mgL, leastMgL: DAWN_OXYGEN_MGL })
  if (choice === 'treated-unlicensed') reasons.push({ code: 'no-licence' })
  if (choice === 'dying-off') reasons.push({ code: 'die-off' })
  return outcomeOf(reasons)
}
