import { outcomeOf, type GateContext, type GateOutcome } from './gate'

/** Salt that a planted pond stands, and one without plants, as a share of the water. @source house defaults */
export const SALT_LIMITS = { planted: 0.001, bare: 0.003 } as const
/** Water weighs so many kg a m³: 1 kg in it is 0.1 %. */
const KG_PER_M3 = 1000
/** Scales and buckets: a twentieth over the limit is no matter. */
const TOLERANCE = 1.05

/** No salt above what the pond's plants stand: it leaves only with water. */
export function saltGate({ figures, readings, systemM3, planted }: GateContext): GateOutcome {
  if (figures.saltKg === undefined) return outcomeOf([{ code: 'needs-figure', missing: ['saltKg'] }])
  const share = (readings.salinity ?? 0) + figures.saltKg / systemM3 / KG_PER_M3
  const maxShare = planted ? SALT_LIMITS.planted : SALT_LIMITS.bare
  return outcomeOf(
    figures.saltKg > 0 && share > maxShare * TOLERANCE ? [{ code: 'too-salty', share, mostShare: maxShare }] : [],
  )
}
