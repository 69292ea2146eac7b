import { missingReadings, outcomeOf, type GateContext, type GateOutcome, type GateReason } from './gate'

/** @source house defaults */
export const WATER_CHANGE_LIMITS = { share: 1 / 3, hoursBetween: 24, inletStepC: 3 } as const

/** At most a third of the water at once, a day between changes, and water of nearly the same temperature at the inlet. */
export function waterChangeGate({ readings, figures, systemM3, hoursSinceChange }: GateContext): GateOutcome {
  if (figures.changedM3 === undefined) return outcomeOf([{ code: 'needs-figure', missing: ['changedM3'] }])
  if (figures.changedM3 === 0) return outcomeOf([])
  const missing = missingReadings(readings, ['waterTemp', 'tapTemp'])
  if (missing.length > 0) return outcomeOf([{ code: 'needs-test', missing }])
  const reasons: GateReason[] = []
  const share = figures.changedM3 / systemM3
  // half a percent for what a hose can be measured to
  if (share > WATER_CHANGE_LIMITS.share + 0.005) reasons.push({ code: 'too-much-at-once', share, mostShare: WATER_CHANGE_LIMITS.share })
  if (hoursSinceChange !== null && hoursSinceChange < WATER_CHANGE_LIMITS.hoursBetween)
    reasons.push({ code: 'too-soon', hours: hoursSinceChange, leastHours: WATER_CHANGE_LIMITS.hoursBetween })
  // what runs in cools or warms the whole pond by its share; at the inlet fish meet it unmixed
  const differenceC = Math.abs(readings.tapTemp! - readings.waterTemp!)
  if (differenceC > WATER_CHANGE_LIMITS.inletStepC) reasons.push({ code: 'inlet-temperature', differenceC, limitC: WATER_CHANGE_LIMITS.inletStepC })
  return outcomeOf(reasons)
}
