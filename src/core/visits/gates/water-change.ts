import { ammoniaReasons, inletReasons, shareReasons, WATER_CHANGE_LIMITS } from '../../water/water-change-gate'
import { fillTanMgL } from '../../water/fill-water'
import { missingReadings, outcomeOf, type GateContext, type GateOutcome, type GateReason } from './gate'
import { RAISE_KH_LIMITS } from './raise-kh'

/**
 * At most a third of the water at once, a day between changes, nearly the same temperature at the inlet, and no
 * ammonia made toxic by it.
 */
export function waterChangeGate({ readings, figures, systemM3, hoursSinceChange, fill }: GateContext): GateOutcome {
  if (figures.changedM3 === undefined) return outcomeOf([{ code: 'needs-figure', missing: ['changedM3'] }])
  if (figures.changedM3 === 0) return outcomeOf([])
  const missing = missingReadings(readings, ['waterTemp', 'tapTemp'])
  if (missing.length > 0) return outcomeOf([{ code: 'needs-test', missing }])
  const share = figures.changedM3 / systemM3
  const reasons: GateReason[] = shareReasons(share)
  if (hoursSinceChange !== null && hoursSinceChange < WATER_CHANGE_LIMITS.hoursBetween)
    reasons.push({ code: 'too-soon', hours: hoursSinceChange, leastHours: WATER_CHANGE_LIMITS.hoursBetween })
  reasons.push(
    ...inletReasons(readings.waterTemp!, readings.tapTemp!),
    ...ammoniaAfter({ readings, fill }, Math.min(1, share)),
  )
  return outcomeOf(reasons)
}

/**
 * With ammonia in the pond, or in the chloramine of the tap, the change is judged by what it would become; the fill
 * water's pH and KH are asked once per site.
 */
function ammoniaAfter({ readings, fill }: Pick<GateContext, 'readings' | 'fill'>, share: number): GateReason[] {
  if (readings.tan === undefined) return [{ code: 'needs-test', missing: ['tan'] }]
  const broughtMgL = fillTanMgL({
    chloramineMgL: readings.tapChloramine ?? fill?.chloramineMgL ?? null,
    chlorineMgL: readings.tapChlorine ?? null,
  })
  if (Math.max(readings.tan, broughtMgL) < RAISE_KH_LIMITS.tanMgL) return []
  const known = {
    ...readings,
    tapPh: readings.tapPh ?? fill?.ph ?? undefined,
    tapKh: readings.tapKh ?? fill?.khDH ?? undefined,
  }
  const missing = missingReadings(known, ['ph', 'kh', 'tapPh', 'tapKh'])
  if (missing.length > 0) return [{ code: 'needs-test', missing }]
  const pond = { ph: known.ph!, tanMgL: known.tan!, khDH: known.kh!, tempC: known.waterTemp! }
  const runsIn = { ph: known.tapPh!, khDH: known.tapKh!, tempC: known.tapTemp!, tanMgL: broughtMgL }
  return ammoniaReasons(pond, runsIn, share).reasons
}
