import { SPECIES_ROWS, type SpeciesRow } from './species-table'

/** What a plant does in a pond or filter. */
export const PLANT_ROLES = ['heavy', 'marginal', 'cover', 'edge', 'floating', 'oxygenator', 'lily'] as const
export type PlantRole = (typeof PLANT_ROLES)[number]

export interface PlantSpecies {
  readonly key: string
  readonly botanical: string
  readonly role: PlantRole
  /** Water over the crown, m; negative above the water. */
  readonly depthM: readonly [shallow: number, deep: number]
  readonly heightM: number
  readonly spreadM: number
  readonly hardyToC: number
  readonly light: SpeciesRow[8]
  readonly spreadsBy: SpeciesRow[9]
  /** 0 stays, 3 takes over. */
  readonly aggressiveness: 0 | 1 | 2 | 3
  readonly nitrogenGPerM2D: number
  readonly phosphorusGPerM2D: number
  /** How much its roots close gravel and pipes, 0–3. */
  readonly clogsGravel: 0 | 1 | 2 | 3
  readonly deadhead: boolean
  readonly winter: SpeciesRow[15]
  readonly toxicTo: SpeciesRow[16]
  /** On a list of regulated plants in some state or nation: the reader checks their own. */
  readonly regulatedSomewhere: boolean
}

const CM = 0.01

export const PLANT_SPECIES: readonly PlantSpecies[] = SPECIES_ROWS.map((row) => ({
  key: row[0],
  botanical: row[1],
  role: row[2],
  depthM: [row[3] * CM, row[4] * CM],
  heightM: row[5] * CM,
  spreadM: row[6] * CM,
  hardyToC: row[7],
  light: row[8],
  spreadsBy: row[9],
  aggressiveness: row[10],
  nitrogenGPerM2D: row[11],
  phosphorusGPerM2D: row[12],
  clogsGravel: row[13],
  deadhead: row[14],
  winter: row[15],
  toxicTo: row[16],
  regulatedSomewhere: row[17],
}))

const BY_KEY = new Map(PLANT_SPECIES.map((species) => [species.key, species]))

export const plantSpecies = (key: string): PlantSpecies | undefined => BY_KEY.get(key)

/**
 * Zones are ten degrees Fahrenheit wide from −60 °F; handbooks round to whole °C, so a quarter of a degree is let
 * pass.
 */
const ZONES = { fromC: -51.11, widthC: 5.556, roundingShare: 0.05 } as const

/**
 * USDA hardiness zone whose mean yearly minimum the plant stands, 1 to 13.
 * @source USDA Plant Hardiness Zone Map, 2012
 */
export const hardinessZone = (hardyToC: number): number =>
  Math.min(13, Math.max(1, Math.floor((hardyToC - ZONES.fromC) / ZONES.widthC + ZONES.roundingShare) + 1))
