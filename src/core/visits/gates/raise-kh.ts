import { AMMONIA_BANDS, unionisedAmmonia } from '../../water/ammonia'
import { missingReadings, outcomeOf, type GateContext, type GateOutcome, type GateReason } from './gate'

/** @source house defaults */
export const RAISE_KH_LIMITS = { tanMgL: 0.25, riseDH: 2, risePh: 0.3 } as const
/** Below this the ratio of before and after says nothing any more, °dH. */
const MIN_KH = 0.3

/**
 * pH after carbonate hardness has risen and carbon dioxide has stayed.
 * @source Henderson–Hasselbalch for CO2 / HCO3⁻
 */
export const phAfterKhRise = (ph: number, khDH: number, riseDH: number): number =>
  ph + Math.log10((Math.max(khDH, MIN_KH) + riseDH) / Math.max(khDH, MIN_KH))

/**
 * KH goes up only with little ammonia, or where what becomes toxic stays under the act band; and only so far in one
 * day.
 */
export function raiseKhGate({ readings, figures }: Pick<GateContext, 'readings' | 'figures'>): GateOutcome {
  const missing = missingReadings(readings, ['tan', 'ph', 'kh', 'waterTemp'])
  if (missing.length > 0) return outcomeOf([{ code: 'needs-test', missing }])
  if (figures.khRiseDH === undefined) return outcomeOf([{ code: 'needs-figure', missing: ['khRiseDH'] }])
  const { tan, ph, kh, waterTemp } = readings as Record<'tan' | 'ph' | 'kh' | 'waterTemp', number>
  const reasons: GateReason[] = []
  const phAfter = Math.min(12, phAfterKhRise(ph, kh, figures.khRiseDH))
  const { nh3MgL } = unionisedAmmonia(tan, phAfter, waterTemp)
  if (tan >= RAISE_KH_LIMITS.tanMgL && nh3MgL > AMMONIA_BANDS.actAboveMgL)
    reasons.push({ code: 'ammonia-after', nh3MgL, limitMgL: AMMONIA_BANDS.actAboveMgL, phAfter })
  if (figures.khRiseDH > RAISE_KH_LIMITS.riseDH)
    reasons.push({ code: 'rise-too-steep', riseDH: figures.khRiseDH, mostDH: RAISE_KH_LIMITS.riseDH })
  // either limit of a day is enough: a soft pond's pH swings far on little
  else if (phAfter - ph > RAISE_KH_LIMITS.risePh && figures.khRiseDH > 1)
    reasons.push({ code: 'ph-too-steep', risePh: phAfter - ph, mostPh: RAISE_KH_LIMITS.risePh })
  return outcomeOf(reasons)
}
