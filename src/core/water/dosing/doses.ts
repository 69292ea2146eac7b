import { assertInRange, DomainError } from '../../errors'

export const DOSE_RANGE = {
  volumeM3: [1e-4, 1e6],
  degrees: [0, 60],
  percent: [0, 4],
  freeChlorineMgL: [0, 20],
  calciumShare: [0, 1],
} as const

/**
 * Grams per m³ that raise the figure by one unit.
 * @source molar masses; 1 °d = 0.17832 mmol/L alkaline earths = 0.35663 meq/L
 */
export const GRAMS_PER_M3 = {
  sodiumBicarbonatePerDKH: 29.96,
  calciumChlorideDihydratePerDGH: 26.2,
  magnesiumSulfateHeptahydratePerDGH: 43.95,
  /** Tetrathionate stoichiometry, 2 S2O3 per Cl2: the safe side in practice. */
  thiosulfatePentahydratePerGramChlorine: 7.0,
} as const

function rise(from: number, to: number, name: string): number {
  if (to < from) throw new DomainError(name, to, `at least ${from}: chemicals only raise it, a water change lowers it`)
  return to - from
}

/** Sodium bicarbonate that raises KH, g. @throws {DomainError} out of range, or to below from */
export function khDoseG(volumeM3: number, fromDKH: number, toDKH: number): number {
  assertInRange('volumeM3', volumeM3, DOSE_RANGE.volumeM3)
  assertInRange('fromDKH', fromDKH, DOSE_RANGE.degrees)
  assertInRange('toDKH', toDKH, DOSE_RANGE.degrees)
  return volumeM3 * rise(fromDKH, toDKH, 'toDKH') * GRAMS_PER_M3.sodiumBicarbonatePerDKH
}

/** Calcium chloride and magnesium sulfate that raise GH, g; calciumShare of the rise comes from calcium. */
export function ghDoseG(
  volumeM3: number,
  fromDGH: number,
  toDGH: number,
  calciumShare = 1,
): { calciumChlorideDihydrateG: number; magnesiumSulfateHeptahydrateG: number } {
  assertInRange('volumeM3', volumeM3, DOSE_RANGE.volumeM3)
  assertInRange('fromDGH', fromDGH, DOSE_RANGE.degrees)
  assertInRange('toDGH', toDGH, DOSE_RANGE.degrees)
  assertInRange('calciumShare', calciumShare, DOSE_RANGE.calciumShare)
  const degreesM3 = volumeM3 * rise(fromDGH, toDGH, 'toDGH')
  return {
    calciumChlorideDihydrateG: degreesM3 * calciumShare * GRAMS_PER_M3.calciumChlorideDihydratePerDGH,
    magnesiumSulfateHeptahydrateG: degreesM3 * (1 - calciumShare) * GRAMS_PER_M3.magnesiumSulfateHeptahydratePerDGH,
  }
}

/** Salt that raises salinity, kg: 1 kg in 1 m³ is 0.1 %. */
export function saltDoseKg(volumeM3: number, fromPercent: number, toPercent: number): number {
  assertInRange('volumeM3', volumeM3, DOSE_RANGE.volumeM3)
  assertInRange('fromPercent', fromPercent, DOSE_RANGE.percent)
  assertInRange('toPercent', toPercent, DOSE_RANGE.percent)
  return volumeM3 * rise(fromPercent, toPercent, 'toPercent') * 10
}

/** Sodium thiosulfate pentahydrate that neutralises free chlorine in a volume of tap water, g. */
export function thiosulfateDoseG(volumeM3: number, freeChlorineMgL: number): number {
  assertInRange('volumeM3', volumeM3, DOSE_RANGE.volumeM3)
  assertInRange('freeChlorineMgL', freeChlorineMgL, DOSE_RANGE.freeChlorineMgL)
  return volumeM3 * freeChlorineMgL * GRAMS_PER_M3.thiosulfatePentahydratePerGramChlorine
}

/** By molar masses, g/g: monochloramine holds one nitrogen for each Cl2 that it is measured as. */
const NITROGEN_PER_CHLORINE = 14.007 / 70.906

/**
 * Ammonia (TAN as N, mg/L) that the new water holds once its chloramine is taken apart.
 * @param combinedMgL chloramine: total less free chlorine, as Cl2
 * @throws {DomainError} out of range
 * @source stoichiometry of monochloramine, NH2Cl: 0.1975 g N per g Cl2
 */
export function chloramineAmmoniaMgL(combinedMgL: number): number {
  assertInRange('combinedMgL', combinedMgL, DOSE_RANGE.freeChlorineMgL)
  return combinedMgL * NITROGEN_PER_CHLORINE
}
