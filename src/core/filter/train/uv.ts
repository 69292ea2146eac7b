import { UNIT_SIZES } from './unit-sizes'

/**
 * Dose of a UV clarifier.
 * @source low-pressure mercury lamps: about a third of their power at 254 nm, a third of that gone at the end of
 * their life; sleeves kept clean to four fifths; dose: what usual pond clarifiers are sized by
 */
export const UV = {
  uvcShare: 0.33,
  sleeveShare: 0.8,
  endOfLifeShare: 0.7,
  lampLifeH: 9000,
  /** Water between sleeve and wall, cm. */
  gapCm: 3,
  /** Absorbance of green and of clear pond water at 254 nm, 1/cm: transmittance of 70 % and 87 % a cm. */
  greenPerCm: 0.155,
  clearPerCm: 0.06,
  /** Dose a pass that clumps green water which comes round again and again, mJ/cm². */
  wantedMjPerCm2: 8,
} as const

/**
 * Mean dose of one pass, mJ/cm²: P·L/Q, with L the path over which water of an absorbance lets the light through.
 * @param lampW electric power, W
 * @param flowM3PerH through the chamber; more than 0
 * @param ageShare age of the lamp as a share of its life, 0 to 1
 * @param absorbancePerCm of the water at 254 nm, decadic, 1/cm
 */
export function uvDoseMjPerCm2(
  lampW: number,
  flowM3PerH: number,
  ageShare: number,
  absorbancePerCm: number = UV.greenPerCm,
): number {
  if (flowM3PerH <= 0) return Infinity
  const aged = 1 - (1 - UV.endOfLifeShare) * Math.min(1, Math.max(0, ageShare))
  const milliwatts = lampW * UV.uvcShare * UV.sleeveShare * aged * 1000
  const decay = absorbancePerCm * Math.LN10
  const pathCm = -Math.expm1(-decay * UV.gapCm) / decay
  return (milliwatts * pathCm) / ((flowM3PerH * 1e6) / 3600)
}

/** The smallest lamp that still clumps green water at the end of its life, W; the largest where none does. */
export const lampFor = (flowM3PerH: number): number => {
  const { steps } = UNIT_SIZES.uv
  return steps.find((lampW) => uvDoseMjPerCm2(lampW, flowM3PerH, 1) >= UV.wantedMjPerCm2) ?? steps[steps.length - 1]!
}

/** Most flow that a lamp still serves at the end of its life, m³/h; the dose falls as the flow rises. */
export const flowForLamp = (lampW: number): number => uvDoseMjPerCm2(lampW, 1, 1) / UV.wantedMjPerCm2

/** Share of the algae that pass which a dose clumps, against one that does in full; @param doseMjPerCm2 of one pass */
export const clumpedShare = (doseMjPerCm2: number): number => Math.min(1, doseMjPerCm2 / UV.wantedMjPerCm2)
