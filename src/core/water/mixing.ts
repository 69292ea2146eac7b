import { assertInRange } from '../errors'
import { AMMONIA_RANGE, unionisedAmmonia } from './ammonia'
import { carbonateConstants, carbonDioxideMgL, CARBONATE_RANGE, inorganicCarbonMgL, phOf } from './carbonate'

export interface PondWater {
  readonly ph: number
  readonly tanMgL: number
  readonly khDH: number
  readonly tempC: number
}
/** Water that runs in. Chloramine that is taken apart leaves ammonia in it; other new water brings none. */
export type NewWater = Omit<PondWater, 'tanMgL'> & { readonly tanMgL?: number }

export const MIXING_RANGE = { khDH: [0, 60], fraction: [0, 1] } as const
/** One degree of carbonate hardness as CaCO3. */
export const CACO3_MGL_PER_DKH = 17.848

const carbonOf = ({ ph, khDH, tempC }: NewWater): number => inorganicCarbonMgL(khDH * CACO3_MGL_PER_DKH, ph, tempC)
const inPhRange = (ph: number): number => Math.min(CARBONATE_RANGE.ph[1], Math.max(CARBONATE_RANGE.ph[0], ph))
const inTable = (tempC: number): number => Math.min(CARBONATE_RANGE.tempC[1], Math.max(CARBONATE_RANGE.tempC[0], tempC))

/**
 * Carbon dioxide that a pond with moving water keeps, mg/L: what is above it leaves within hours to a day, and pH
 * rises meanwhile.
 * @source usual range of aerated ponds, 1–5 mg/L
 */
const AIRED_CO2_MGL = 3
const CO2_MG_PER_MOL = 44_010
const CACO3_MG_PER_EQUIVALENT = 50_040

/** pH once the carbon dioxide that the water cannot hold has left it. */
function airedPh({ ph, khDH, tempC }: NewWater): number {
  const alkalinityMgL = khDH * CACO3_MGL_PER_DKH
  const at = inTable(tempC)
  if (alkalinityMgL <= 0 || carbonDioxideMgL(alkalinityMgL, ph, at) <= AIRED_CO2_MGL) return ph
  // the buffer is bicarbonate at such a pH
  const ratio = alkalinityMgL / CACO3_MG_PER_EQUIVALENT / (AIRED_CO2_MGL / CO2_MG_PER_MOL)
  return Math.max(ph, Math.log10(ratio) - Math.log10(carbonateConstants(at).k1))
}

/**
 * What a pond's water becomes when a part of it is replaced: alkalinity, inorganic carbon, ammonia and heat are kept
 * and mixed, pH and
 * the toxic share of ammonia follow.
 * `nh3MgL` is the worst of the next day: carbon dioxide of an acid pond leaves the mix, which then stands at a higher
 * pH.
 * @param fraction share of the water that is replaced, 0–1
 * @throws {DomainError} an argument is NaN or out of range
 * @source mass balances; carbonic acid equilibrium as in carbonate.ts
 */
export function mixedWater(
  pond: PondWater,
  fill: NewWater,
  fraction: number,
): PondWater & { readonly airedPh: number; readonly nh3MgL: number } {
  assertInRange('fraction', fraction, MIXING_RANGE.fraction)
  assertInRange('pond.khDH', pond.khDH, MIXING_RANGE.khDH)
  assertInRange('fill.khDH', fill.khDH, MIXING_RANGE.khDH)
  assertInRange('tanMgL', pond.tanMgL, AMMONIA_RANGE.tanMgL)
  assertInRange('fill.tanMgL', fill.tanMgL ?? 0, AMMONIA_RANGE.tanMgL)
  const share = (before: number, added: number): number => before * (1 - fraction) + added * fraction
  const tempC = share(pond.tempC, fill.tempC)
  const khDH = share(pond.khDH, fill.khDH)
  const at = (water: NewWater): NewWater => ({ ...water, tempC: inTable(water.tempC) })
  const carbon = share(carbonOf(at(pond)), carbonOf(at(fill)))
  // no new water: the measured pH, which water without any buffer would not give back
  const ph = fraction === 0 ? pond.ph : inPhRange(phOf(khDH * CACO3_MGL_PER_DKH, carbon, inTable(tempC)))
  const tanMgL = share(pond.tanMgL, fill.tanMgL ?? 0)
  const later = fraction === 0 ? ph : inPhRange(airedPh({ ph, khDH, tempC }))
  return { ph, tanMgL, khDH, tempC, airedPh: later, nh3MgL: unionisedAmmonia(tanMgL, later, tempC).nh3MgL }
}
