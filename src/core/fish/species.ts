/**
 * Fish kept in client ponds. Mass W = a·L³ (g, cm); growth toward adult length by von Bertalanffy.
 * @source length–mass factors: pond-keeping handbooks; adult lengths and rates: usual figures for pond stock,
 * editable by the firm later
 */
export interface FishSpecies {
  readonly massFactor: number
  readonly adultLengthM: number
  /** von Bertalanffy growth rate, 1/year. */
  readonly growthPerYear: number
  /** Coldest water it winters in without harm, °C. @source hobby and farm handbooks, on the safe side */
  readonly winterToC: number
}

export const FISH_SPECIES = {
  koi: { massFactor: 0.0165, adultLengthM: 0.65, growthPerYear: 0.35, winterToC: 3 },
  goldfish: { massFactor: 0.02, adultLengthM: 0.25, growthPerYear: 0.45, winterToC: 2 },
  roundGoldfish: {
    massFactor: 0.028,
    adultLengthM: 0.18,
    growthPerYear: 0.4,
    winterToC: 8,
  },
  orfe: { massFactor: 0.0115, adultLengthM: 0.45, growthPerYear: 0.35, winterToC: 2 },
  sturgeon: { massFactor: 0.006, adultLengthM: 1.1, growthPerYear: 0.18, winterToC: 1 },
  smallFish: {
    massFactor: 0.01,
    adultLengthM: 0.04,
    growthPerYear: 2,
    winterToC: 3,
  },
  tropical: { massFactor: 0.012, adultLengthM: 0.1, growthPerYear: 1.2, winterToC: 18 },
} as const satisfies Record<string, FishSpecies>

export type FishSpeciesKey = keyof typeof FISH_SPECIES
export const FISH_SPECIES_KEYS = Object.keys(FISH_SPECIES) as FishSpeciesKey[]
