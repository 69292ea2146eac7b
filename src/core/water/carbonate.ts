import { assertInRange } from '../errors'

/** Whatever a reading may be holds: an acid pond is judged, not refused. */
export const CARBONATE_RANGE = { ph: [3, 12], alkalinityMgL: [0, 2000], tempC: [0, 45] } as const

const CACO3_G_PER_EQUIVALENT = 50.04
const CARBON_G_PER_MOL = 12.011

/**
 * First and second dissociation of carbonic acid in fresh water, and of water itself, as pK.
 * @source Harned & Davis 1943; Harned & Scholes 1941, quadratic fits
 */
const pK1 = (c: number): number => 6.579 - 0.0128 * c + 1.5e-4 * c * c
const pK2 = (c: number): number => 10.629 - 0.0149 * c + 1.15e-4 * c * c
const pKw = (c: number): number => 14.944 - 0.0427 * c + 1.9e-4 * c * c

/** Carbonic acid's constants at a temperature, mol/L. */
export interface CarbonateConstants {
  readonly k1: number
  readonly k2: number
  readonly kw: number
}

export const carbonateConstants = (tempC: number): CarbonateConstants => ({
  k1: 10 ** -pK1(tempC),
  k2: 10 ** -pK2(tempC),
  kw: 10 ** -pKw(tempC),
})

const STEPS = 30

/**
 * Hydrogen ions from alkalinity and inorganic carbon, mol/L: the one positive root of the charge balance, by Newton's
 * method on log h held in its bracket.
 * @param near a guess, such as the hour before's
 */
export function hydrogenMolL(
  { k1, k2, kw }: CarbonateConstants,
  alkalinityMgL: number,
  carbonMgL: number,
  near = 1e-8,
): number {
  const alkalinity = alkalinityMgL / CACO3_G_PER_EQUIVALENT / 1000
  const carbon = carbonMgL / CARBON_G_PER_MOL / 1000
  let [low, high] = [1e-12, 1e-4]
  let h = Math.min(high, Math.max(low, near))
  for (let i = 0; i < STEPS; i++) {
    const d = h * h + k1 * h + k1 * k2
    const ions = (carbon * k1 * (h + 2 * k2)) / d
    const f = ions + kw / h - h - alkalinity
    // f falls as h grows
    if (f > 0) low = h
    else high = h
    const slope = (carbon * k1 * (d - (h + 2 * k2) * (2 * h + k1))) / (d * d) - kw / (h * h) - 1
    const next = h * Math.exp(Math.min(3, Math.max(-3, -f / (slope * h))))
    const moved = next > low && next < high ? next : Math.sqrt(low * high)
    if (Math.abs(moved - h) < 1e-4 * h) return moved
    h = moved
  }
  return h
}

/**
 * pH of water from its alkalinity (mg/L CaCO3) and inorganic carbon (mg/L C).
 * @throws {DomainError} out of CARBONATE_RANGE
 */
export function phOf(alkalinityMgL: number, carbonMgL: number, tempC: number): number {
  assertInRange('alkalinityMgL', alkalinityMgL, CARBONATE_RANGE.alkalinityMgL)
  assertInRange('tempC', tempC, CARBONATE_RANGE.tempC)
  return -Math.log10(hydrogenMolL(carbonateConstants(tempC), alkalinityMgL, carbonMgL))
}

/** Share of inorganic carbon that is CO2 at a hydrogen concentration. */
export const carbonDioxideShare = ({ k1, k2 }: CarbonateConstants, h: number): number =>
  (h * h) / (h * h + k1 * h + k1 * k2)

/** Inorganic carbon from alkalinity and pH, mg/L C. */
export function inorganicCarbonMgL(alkalinityMgL: number, ph: number, tempC: number): number {
  assertInRange('ph', ph, CARBONATE_RANGE.ph)
  const { k1, k2, kw } = carbonateConstants(tempC)
  const h = 10 ** -ph
  const alkalinity = alkalinityMgL / CACO3_G_PER_EQUIVALENT / 1000
  const ions = Math.max(0, alkalinity - kw / h + h)
  return ((ions * (h * h + k1 * h + k1 * k2)) / (k1 * (h + 2 * k2))) * CARBON_G_PER_MOL * 1000
}

/**
 * Free CO2 in water from its alkalinity and pH, mg/L CO2.
 * @source carbonic acid equilibrium, as the tables of fish-keeping
 */
export function carbonDioxideMgL(alkalinityMgL: number, ph: number, tempC: number): number {
  const share = carbonDioxideShare(carbonateConstants(tempC), 10 ** -ph)
  return inorganicCarbonMgL(alkalinityMgL, ph, tempC) * share * (44.01 / CARBON_G_PER_MOL)
}
