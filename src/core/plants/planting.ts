import { plantSpecies, type PlantSpecies } from './species'

/** A group of one species on the filter's plan; x along its length, y across, from its inlet corner, m. */
export interface PlantPatch {
  readonly species: string
  readonly count: number
  readonly xM: number
  readonly yM: number
}

export const PATCH_RANGE = { count: [1, 2000], positionM: [0, 100] } as const

/**
 * Share of the spread that plants are set apart, so that they meet in the second year.
 * @source usual planting practice
 */
const SPACING_OF_SPREAD = 0.75
/** Share of the bed that is to be green in the second year. @source house default */
export const WANTED_COVER = 0.8

/** Ground that one plant covers in the second year, m². */
export const coverPerPlantM2 = (species: PlantSpecies): number => (species.spreadM * SPACING_OF_SPREAD) ** 2

/** Plants that cover an area in the second year. */
export const plantsFor = (species: PlantSpecies, areaM2: number): number =>
  Math.max(1, Math.round(areaM2 / coverPerPlantM2(species)))

/** Radius of the circle that a patch covers, m. */
export const patchRadiusM = (species: PlantSpecies, count: number): number =>
  Math.sqrt((count * coverPerPlantM2(species)) / Math.PI)

type PlantingProblem =
  | 'too-deep'
  | 'too-dry'
  | 'not-hardy'
  | 'clogs-feed'
  | 'aggressive-near-lip'
  | 'regulated'
  | 'lily-no-filter'
  | 'tall-in-front'
  | 'outside-bed'

interface PlantingFinding {
  readonly patch: number
  readonly species: PlantSpecies
  readonly problem: PlantingProblem
}

export interface PlantingSite {
  readonly lengthM: number
  readonly widthM: number
  /** Water over the gravel, m; negative: the gravel stands dry. */
  readonly waterOverGravelM: number
  /** Coldest month's mean water as a stand-in for the winter, °C. */
  readonly coldestMonthC: number
  /** The distribution pipe lies along the middle of the bed. */
  readonly pipeAlongMiddle: boolean
}

/**
 * Nothing aggressive this near the lip, spillway or screen at the far end, m; nothing clogging this near the pipe.
 * @source trade practice
 */
const KEEP_CLEAR_M = { lip: 0.6, pipe: 0.4 } as const
/**
 * Lowest air temperature goes with the coldest month's water roughly so.
 * @source house default, errs on the cold side
 */
const WINTER_AIR_BELOW_WATER_C = 18
const TALL_M = 1.2

export interface PlantingResult {
  readonly findings: readonly PlantingFinding[]
  readonly coverShare: number
  readonly plants: number
  /** Peak uptake of the planting, g a day; lilies and floating plants are not counted as filter. */
  readonly nitrogenGPerD: number
  readonly phosphorusGPerD: number
  readonly heavyKinds: number
}

/** Holds a planting to the rules of the trade: depth, hardiness, roots over pipes, spreaders near lips, and the mix. */
export function judgePlanting(patches: readonly PlantPatch[], site: PlantingSite): PlantingResult {
  const findings: PlantingFinding[] = []
  let covered = 0
  let plants = 0
  let nitrogen = 0
  let phosphorus = 0
  const heavy = new Set<string>()
  patches.forEach((patch, index) => {
    const species = plantSpecies(patch.species)
    if (!species) return
    const add = (problem: PlantingProblem) => findings.push({ patch: index, species, problem })
    const area = Math.min(patch.count * coverPerPlantM2(species), site.lengthM * site.widthM)
    const radius = patchRadiusM(species, patch.count)
    covered += area
    plants += patch.count
    if (species.role === 'lily') add('lily-no-filter')
    else if (species.role !== 'floating') {
      nitrogen += area * species.nitrogenGPerM2D
      phosphorus += area * species.phosphorusGPerM2D
    }
    if (species.role === 'heavy') heavy.add(species.key)
    if (patch.xM > site.lengthM || patch.yM > site.widthM) add('outside-bed')
    if (site.waterOverGravelM > species.depthM[1]) add('too-deep')
    if (site.waterOverGravelM < species.depthM[0]) add('too-dry')
    if (
      species.winter !== 'lift' &&
      species.winter !== 'annual' &&
      site.coldestMonthC - WINTER_AIR_BELOW_WATER_C < species.hardyToC
    )
      add('not-hardy')
    if (
      site.pipeAlongMiddle &&
      species.clogsGravel >= 2 &&
      Math.abs(patch.yM - site.widthM / 2) < radius + KEEP_CLEAR_M.pipe
    )
      add('clogs-feed')
    if (species.aggressiveness >= 2 && site.lengthM - patch.xM < radius + KEEP_CLEAR_M.lip) add('aggressive-near-lip')
    if (species.heightM > TALL_M && patch.yM < site.widthM / 3) add('tall-in-front')
    if (species.regulatedSomewhere) add('regulated')
  })
  const areaM2 = site.lengthM * site.widthM
  return {
    findings,
    coverShare: areaM2 > 0 ? Math.min(1, covered / areaM2) : 0,
    plants,
    nitrogenGPerD: nitrogen,
    phosphorusGPerD: phosphorus,
    heavyKinds: heavy.size,
  }
}

/**
 * Share of the peak uptake at a water temperature: nothing below 6 °C, all from 20 °C.
 * @source growth of temperate emergent plants, simplified
 */
export const uptakeShare = (waterC: number): number => Math.min(1, Math.max(0, (waterC - 6) / 14))

/**
 * A planting to begin with: three heavy feeders that do not clog, two ground covers, each its share of the bed, in two
 * rows spread evenly along it.
 */
export function firstPlanting(lengthM: number, widthM: number): PlantPatch[] {
  const mix = [
    ['pontederia-cordata', 1 / 6, 0.75],
    ['iris-versicolor', 0.28, 0.25],
    ['acorus-calamus', 0.5, 0.75],
    ['veronica-beccabunga', 0.74, 0.25],
    ['myosotis-scorpioides', 5 / 6, 0.75],
  ] as const
  return mix.map(([key, x, y]) => ({
    species: key,
    count: plantsFor(plantSpecies(key)!, (lengthM * widthM * WANTED_COVER) / mix.length),
    xM: Number((lengthM * x).toFixed(2)),
    yM: Number((widthM * y).toFixed(2)),
  }))
}
