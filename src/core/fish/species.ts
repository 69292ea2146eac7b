/**
 * Fish kept in client ponds. Mass W = a·L³ (g, cm); growth toward adult length by von Bertalanffy.
 * @source length–mass factors: pond-keeping handbooks; adult lengths and rates: usual figures for pond stock,
 * editable by the firm later
 */
export interface FishSpecies {
  readonly name: string
  readonly massFactor: number
  readonly adultLengthM: number
  /** von Bertalanffy growth rate, 1/year. */
  readonly growthPerYear: number
  /** Coldest water it winters in without harm, °C. @source hobby and farm handbooks, on the safe side */
  readonly winterToC: number
}

export const FISH_SPECIES = {
  koi: { name: 'Koi', massFactor: 0.0165, adultLengthM: 0.65, growthPerYear: 0.35, winterToC: 3 },
  goldfish: { name: 'Goldfish', massFactor: 0.02, adultLengthM: 0.25, growthPerYear: 0.45, winterToC: 2 },
  roundGoldfish: {
    name: 'Goldfish, round or long-finned',
    massFactor: 0.028,
    adultLengthM: 0.18,
    growthPerYear: 0.4,
    winterToC: 8,
  },
  orfe: { name: 'Golden orfe', massFactor: 0.0115, adultLengthM: 0.45, growthPerYear: 0.35, winterToC: 2 },
  sturgeon: { name: 'Sturgeon', massFactor: 0.006, adultLengthM: 1.1, growthPerYear: 0.18, winterToC: 1 },
  smallFish: {
    name: 'Rice fish or other small fish',
    massFactor: 0.01,
    adultLengthM: 0.04,
    growthPerYear: 2,
    winterToC: 3,
  },
  tropical: { name: 'Tropical fish', massFactor: 0.012, adultLengthM: 0.1, growthPerYear: 1.2, winterToC: 18 },
} as const satisfies Record<string, FishSpecies>

export type FishSpeciesKey = keyof typeof FISH_SPECIES
export const FISH_SPECIES_KEYS = Object.keys(FISH_SPECIES) as FishSpeciesKey[]
