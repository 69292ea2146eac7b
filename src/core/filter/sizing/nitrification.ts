import { assertInRange } from '../../errors'

/**
 * Constants of areal nitrification on gravel.
 * @source review of trickling and gravel filter data; rule-of-thumb ranges are editable data
 */
export const NITRIFICATION = {
  /** Highest areal rate at 20 °C, g TAN per m² of stone a day. */
  r20GPerM2D: 0.4,
  /** Half-saturation, mg TAN/L. */
  halfSaturationMgL: 1,
  theta: 1.08,
  /** Half-saturation for oxygen, mg/L. */
  oxygenHalfMgL: 0.5,
  /** Stone is rougher than a sphere by this factor. */
  angularity: 1.2,
  /** Share of the stone's surface that flow and oxygen really reach. */
  usableShare: 0.5,
  /** g O2 per g TAN oxidised to nitrate. */
  oxygenPerTan: 4.57,
  /** kg O2 per kg feed for the rest of the waste. */
  oxygenPerFeed: 0.3,
  /** Oxygen that must be left in the water leaving the bed, mg/L. */
  minOxygenMgL: 3,
  /** Inflow holds this share of saturation. */
  inflowSaturation: 0.9,
} as const

export const GRAVEL_RANGE = { depthM: [0.1, 3], grainM: [0.001, 0.2], porosity: [0.2, 0.7] } as const

/**
 * Surface of the stone in a bed, m² per m³: ψ·6(1−ε)/d.
 * @param grainM mean stone size, m
 * @source Geometry of equal spheres with an angularity factor
 */
export function specificSurfaceM2PerM3(
  grainM: number,
  porosity: number,
  angularity: number = NITRIFICATION.angularity,
): number {
  assertInRange('grainM', grainM, GRAVEL_RANGE.grainM)
  assertInRange('porosity', porosity, GRAVEL_RANGE.porosity)
  return (angularity * 6 * (1 - porosity)) / grainM
}

/**
 * Areal nitrification, g TAN/m²/d: r20·θ^(T−20)·TAN/(K+TAN)·DO/(K_O+DO).
 * @param oxygenMgL oxygen in the bed; leave out for none lacking
 */
export function arealNitrificationGPerM2D(tanMgL: number, tempC: number, oxygenMgL = Infinity): number {
  const { r20GPerM2D, theta, halfSaturationMgL, oxygenHalfMgL } = NITRIFICATION
  const oxygenFactor = oxygenMgL === Infinity ? 1 : oxygenMgL / (oxygenHalfMgL + oxygenMgL)
  return r20GPerM2D * theta ** (tempC - 20) * (tanMgL / (halfSaturationMgL + tanMgL)) * oxygenFactor
}

/** First-order rate of a bed at low TAN, 1/d: SSA·usable·r20·θ^(T−20)/K. */
export function firstOrderRatePerD(grainM: number, porosity: number, tempC: number): number {
  const { r20GPerM2D, theta, halfSaturationMgL, usableShare } = NITRIFICATION
  return (
    (specificSurfaceM2PerM3(grainM, porosity) * usableShare * r20GPerM2D * theta ** (tempC - 20)) / halfSaturationMgL
  )
}
