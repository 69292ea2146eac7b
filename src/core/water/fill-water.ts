import { chloramineAmmoniaMgL } from './dosing/doses'

/** Water that runs into a pond, as last tested; null: not tested. */
export interface FillWater {
  readonly ph: number | null
  readonly khDH: number | null
  readonly ghDH: number | null
  readonly nitrateMgL: number | null
  /** Orthophosphate as P. */
  readonly phosphateMgL: number | null
  /** Total chlorine, free and bound together, as Cl2. */
  readonly chlorineMgL: number | null
  /** Of it bound as chloramine, as Cl2. */
  readonly chloramineMgL: number | null
}

export const UNTESTED_FILL: FillWater = {
  ph: null,
  khDH: null,
  ghDH: null,
  nitrateMgL: null,
  phosphateMgL: null,
  chlorineMgL: null,
  chloramineMgL: null,
}

/** Taken while the tap has not been tested. @source usual mains water */
export const USUAL_TAP_CHLORINE_MG_L = 0.6

/**
 * Ammonia (TAN as N, mg/L) that the new water brings once its chloramine is taken apart; 0 where none is known of.
 * Chloramine is a part of all chlorine: where that was tested, there is no more of it.
 */
export const fillTanMgL = (
  fill: (Pick<FillWater, 'chloramineMgL'> & Partial<Pick<FillWater, 'chlorineMgL'>>) | null,
): number => chloramineAmmoniaMgL(Math.min(fill?.chloramineMgL ?? 0, fill?.chlorineMgL ?? Infinity))
