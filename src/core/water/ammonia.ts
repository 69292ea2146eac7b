import { assertInRange } from '../errors'

export type AmmoniaBand = 'fine' | 'watch' | 'act' | 'emergency'

/** Upper edges of un-ionised ammonia (as N), mg/L. @source trade practice; the firm's house rules may differ */
export const AMMONIA_BANDS = { watchFromMgL: 0.02, actAboveMgL: 0.05, emergencyAboveMgL: 0.2 } as const
export const AMMONIA_RANGE = { tanMgL: [0, 100], ph: [3, 12], tempC: [-1, 45] } as const

/**
 * Share of total ammonia that is un-ionised.
 * @source Emerson et al. 1975: pKa = 0.09018 + 2729.92/T
 */
export function ammoniaFraction(ph: number, tempC: number): number {
  assertInRange('ph', ph, AMMONIA_RANGE.ph)
  assertInRange('tempC', tempC, AMMONIA_RANGE.tempC)
  const pKa = 0.09018 + 2729.92 / (tempC + 273.15)
  return 1 / (1 + 10 ** (pKa - ph))
}

/** Where toxic ammonia begins to ask for something, mg/L as N, the mildest first. */
export const NH3_THRESHOLDS = [
  { value: AMMONIA_BANDS.watchFromMgL, side: 'above', band: 'watch' },
  { value: AMMONIA_BANDS.actAboveMgL, side: 'above', band: 'act' },
  { value: AMMONIA_BANDS.emergencyAboveMgL, side: 'above', band: 'emergency' },
] as const

/** Un-ionised ammonia as N from a total ammonia test, mg/L, with its band. */
export function unionisedAmmonia(
  tanMgL: number,
  ph: number,
  tempC: number,
): { fraction: number; nh3MgL: number; band: AmmoniaBand } {
  assertInRange('tanMgL', tanMgL, AMMONIA_RANGE.tanMgL)
  const fraction = ammoniaFraction(ph, tempC)
  const nh3MgL = fraction * tanMgL
  return { fraction, nh3MgL, band: ammoniaBand(nh3MgL) }
}

/**
 * Total ammonia at which its toxic share meets each line, mg/L, the mildest first: what a chart of TAN can draw.
 * @throws {DomainError} out of AMMONIA_RANGE
 */
export function tanThresholds(
  ph: number,
  tempC: number,
): { readonly value: number; readonly side: 'above'; readonly band: AmmoniaBand }[] {
  const fraction = ammoniaFraction(ph, tempC)
  return NH3_THRESHOLDS.map((line) => ({ ...line, value: line.value / fraction }))
}

export function ammoniaBand(nh3MgL: number): AmmoniaBand {
  if (nh3MgL > AMMONIA_BANDS.emergencyAboveMgL) return 'emergency'
  if (nh3MgL > AMMONIA_BANDS.actAboveMgL) return 'act'
  return nh3MgL >= AMMONIA_BANDS.watchFromMgL ? 'watch' : 'fine'
}
