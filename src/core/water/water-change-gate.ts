import { AMMONIA_BANDS } from './ammonia'
import { mixedWater, type NewWater, type PondWater } from './mixing'

/** @source house defaults */
export const WATER_CHANGE_LIMITS = { share: 1 / 3, hoursBetween: 24, inletStepC: 3, freeChlorineMgL: 0.02 } as const
/** Half a percent for what a hose can be measured to. */
const HOSE_TOLERANCE = 0.005

export type WaterChangeReason =
  | { readonly code: 'too-much-at-once'; readonly share: number; readonly mostShare: number }
  | { readonly code: 'inlet-temperature'; readonly differenceC: number; readonly limitC: number }
  | { readonly code: 'ammonia-after'; readonly nh3MgL: number; readonly limitMgL: number; readonly phAfter: number }
  | { readonly code: 'chlorine-in'; readonly mgL: number; readonly limitMgL: number }

/** At most a third of the water at once. */
export const shareReasons = (share: number): WaterChangeReason[] =>
  share > WATER_CHANGE_LIMITS.share + HOSE_TOLERANCE
    ? [{ code: 'too-much-at-once', share, mostShare: WATER_CHANGE_LIMITS.share }]
    : []

/** What runs in cools or warms the whole pond by its share; at the inlet fish meet it unmixed. */
export function inletReasons(pondC: number, fillC: number): WaterChangeReason[] {
  const differenceC = Math.abs(fillC - pondC)
  return differenceC > WATER_CHANGE_LIMITS.inletStepC
    ? [{ code: 'inlet-temperature', differenceC, limitC: WATER_CHANGE_LIMITS.inletStepC }]
    : []
}

/** Hard tap water on an acid pond turns its ammonia toxic. */
export function ammoniaReasons(
  pond: PondWater,
  fill: NewWater,
  fraction: number,
): { readonly reasons: WaterChangeReason[]; readonly nh3AfterMgL: number } {
  const { nh3MgL, airedPh } = mixedWater(pond, fill, fraction)
  const toxic = nh3MgL > AMMONIA_BANDS.actAboveMgL
  return {
    nh3AfterMgL: nh3MgL,
    reasons: toxic ? [{ code: 'ammonia-after', nh3MgL, limitMgL: AMMONIA_BANDS.actAboveMgL, phAfter: airedPh }] : [],
  }
}

/**
 * Whether a part of the water may be changed: how much, how warm, how much chlorine, and what ammonia becomes of it.
 * @param chlorineMgL free chlorine of the new water as it reaches the pond; undefined: none
 * @throws {DomainError} an argument is NaN or out of range
 */
export function judgeWaterChange(
  pond: PondWater,
  fill: NewWater & { readonly chlorineMgL?: number },
  fraction: number,
): { readonly reasons: WaterChangeReason[]; readonly nh3AfterMgL: number } {
  const { reasons, nh3AfterMgL } = ammoniaReasons(pond, fill, fraction)
  const chlorineMgL = fill.chlorineMgL ?? 0
  const limitMgL = WATER_CHANGE_LIMITS.freeChlorineMgL
  return {
    nh3AfterMgL,
    reasons: [
      ...shareReasons(fraction),
      ...inletReasons(pond.tempC, fill.tempC),
      ...reasons,
      ...(chlorineMgL > limitMgL && fraction > 0 ? [{ code: 'chlorine-in' as const, mgL: chlorineMgL, limitMgL }] : []),
    ],
  }
}
