import { assertInRange } from '../../errors'

/** What areal nitrification on gravel is reckoned with; a firm may have figures of its own. */
export interface Nitrification {
  /** Highest areal rate at 20 °C, g TAN per m² of stone a day. */
  readonly r20GPerM2D: number
  /** Half-saturation, mg TAN/L. */
  readonly halfSaturationMgL: number
  readonly theta: number
  /** Half-saturation for oxygen, mg/L. */
  readonly oxygenHalfMgL: number
  /** Stone is rougher than a sphere by this factor. */
  readonly angularity: number
  /** Share of the stone's surface that flow and oxygen really reach. */
  readonly usableShare: number
  /** kg O2 per kg feed for the rest of the waste. */
  readonly oxygenPerFeed: number
  /** Oxygen that must be left in the water leaving the bed, mg/L. */
  readonly minOxygenMgL: number
  /** Inflow holds this share of saturation. */
  readonly inflowSaturation: number
}

/** @source review of trickling and gravel filter data */
export const NITRIFICATION: Nitrification = {
  r20GPerM2D: 0.4,
  halfSaturationMgL: 1,
  theta: 1.08,
  oxygenHalfMgL: 0.5,
  angularity: 1.2,
  usableShare: 0.5,
  oxygenPerFeed: 0.3,
  minOxygenMgL: 3,
  inflowSaturation: 0.9,
}

/** g O2 per g TAN oxidised to nitrate. @source stoichiometry, 2 O2 per N */
export const OXYGEN_PER_TAN = 4.57

export const GRAVEL_RANGE = { depthM: [0.1, 3], grainM: [0.001, 0.2], porosity: [0.2, 0.7] } as const

/** Stone as nitrification sees it. */
export interface Grain {
  /** Mean stone size, m. */
  readonly grainM: number
  readonly porosity: number
}

/**
 * Surface of the stone in a bed, m² per m³: ψ·6(1−ε)/d.
 * @source Geometry of equal spheres with an angularity factor
 */
export function specificSurfaceM2PerM3({ grainM, porosity }: Grain, angularity: number): number {
  assertInRange('grainM', grainM, GRAVEL_RANGE.grainM)
  assertInRange('porosity', porosity, GRAVEL_RANGE.porosity)
  return (angularity * 6 * (1 - porosity)) / grainM
}

/** Surface of the stone that flow and oxygen reach, m² per m³. */
export const workingStoneM2PerM3 = (stone: Grain, { angularity, usableShare }: Nitrification): number =>
  specificSurfaceM2PerM3(stone, angularity) * usableShare

/**
 * Areal nitrification, g TAN/m²/d: r20·θ^(T−20)·TAN/(K+TAN)·DO/(K_O+DO).
 * @param oxygenMgL oxygen in the bed; leave out for none lacking
 */
export function arealNitrificationGPerM2D(
  { r20GPerM2D, theta, halfSaturationMgL, oxygenHalfMgL }: Nitrification,
  tanMgL: number,
  tempC: number,
  oxygenMgL = Infinity,
): number {
  const oxygenFactor = oxygenMgL === Infinity ? 1 : oxygenMgL / (oxygenHalfMgL + oxygenMgL)
  return r20GPerM2D * theta ** (tempC - 20) * (tanMgL / (halfSaturationMgL + tanMgL)) * oxygenFactor
}

/** Areal rate at low TAN per mg/L of it, m a day: r20·θ^(T−20)/K. */
export const lowTanRateMPerD = ({ r20GPerM2D, theta, halfSaturationMgL }: Nitrification, tempC: number): number =>
  (r20GPerM2D * theta ** (tempC - 20)) / halfSaturationMgL

/** First-order rate of a bed at low TAN, 1/d: SSA·usable·r20·θ^(T−20)/K. */
export const firstOrderRatePerD = (figures: Nitrification, stone: Grain, tempC: number): number =>
  workingStoneM2PerM3(stone, figures) * lowTanRateMPerD(figures, tempC)
