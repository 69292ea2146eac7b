import type { FilterDesign } from '../filter/design-input'
import { FILTER_TYPE_FACTS } from '../filter/types'
import { plantSpecies } from '../plants/species'
import { longSection } from '../survey/section'
import type { Basin } from '../survey/basin'
import { bedSectionOf, type BedSectionGeometry } from './bed-section'
import type { DrawnPoint } from './sheet'

/** A plant that stands in the section, by its foot. */
export interface DrawnPlant extends DrawnPoint {
  readonly species: string
  readonly heightM: number
}

/** The bed in the system: its own section, and where the inlet end of its base lies. */
export interface PlacedBed {
  readonly section: BedSectionGeometry
  readonly originM: DrawnPoint
  /** The bed's water level above the pond's full level, m. */
  readonly waterLevelM: number
}

/**
 * The whole system cut open along its length: pond, bed, pump, pipes and falls at their levels. Metres; x to the right
 * from the pond's left bank, y upwards from the pond's full level.
 */
export interface SystemSection {
  /** The floor from the left bank to the right, ends at level 0. */
  readonly pond: readonly DrawnPoint[]
  /** Today's water level; 0 when full. */
  readonly levelM: number
  readonly rightBankM: number
  readonly bed: PlacedBed | null
  readonly pump: DrawnPoint | null
  /** From the pump over the bank to where water enters the bed, or the falls where there is no bed. */
  readonly delivery: readonly DrawnPoint[]
  /** From the bed's water over the lip back into the pond. */
  readonly waterReturn: readonly DrawnPoint[]
  /** How far the water falls free at the end of its way back, m. */
  readonly fallM: number
  readonly plants: readonly DrawnPlant[]
  readonly bounds: { readonly minX: number; readonly maxX: number; readonly minY: number; readonly maxY: number }
}

interface SystemInput {
  readonly basin: Basin
  /** Null while nothing is designed. */
  readonly design: FilterDesign | null
  /** How far the water stands below the full level, m; less than nothing counts as full. */
  readonly dropM: number
  /** Plants that grow there, by where they stand. */
  readonly plants: readonly { readonly place: 'bed' | 'pond'; readonly species: string; readonly xM: number | null }[]
}

/** Ground between bank and bed on the drawing; the pipe's own length is given in words. */
const BETWEEN_M = 1.2
/** Part of the pond's length from the right bank at which the pump stands. */
const PUMP_AT_SHARE = 0.14
const PIPE_OVER_BANK_M = 0.12
/** The pump's own height: it stands on the floor, not in the mud. */
const PUMP_OVER_FLOOR_M = 0.06
const LIP_OVER_WATER_M = 0.15

/** @returns null where the cut misses the pond */
export function systemSection({ basin, design, dropM, plants }: SystemInput): SystemSection | null {
  const profile = longSection(basin)
  if (profile.length < 4) return null
  const leftM = Math.min(...profile.map((p) => p.chainageM))
  const pond = profile.map((p) => ({ xM: p.chainageM - leftM, yM: -p.depthM }))
  const rightBankM = Math.max(...pond.map((p) => p.xM))
  const levelM = -Math.min(Math.max(0, dropM), basin.maxDepthM)
  const bed = design ? placedBed(design, rightBankM) : null
  const fallM = design?.falls?.dropM ?? 0
  const pump = design ? pumpAt(pond, rightBankM) : null
  const drawnPlants = plants.flatMap((plant) => placedPlant(plant, pond, bed) ?? [])
  const tallestM = Math.max(0, ...drawnPlants.map((p) => p.yM + p.heightM))
  const bedTopM = bed ? bed.originM.yM + Math.max(bed.section.depthM, bed.section.waterM) : 0
  return {
    pond,
    levelM,
    rightBankM,
    bed,
    pump,
    delivery: pump && design ? deliveryOf(pump, rightBankM, bed, design) : [],
    waterReturn: design ? returnOf(rightBankM, levelM, bed, design) : [],
    fallM,
    plants: drawnPlants,
    bounds: {
      minX: 0,
      maxX: bed ? bed.originM.xM + bed.section.lengthM : rightBankM,
      minY: Math.min(-basin.maxDepthM, bed ? bed.originM.yM + bed.section.lowestM : 0),
      maxY: Math.max(0.2, tallestM, bedTopM, fallM + LIP_OVER_WATER_M),
    },
  }
}

/** The bed beside the right bank, at the height that its lift gives it. */
function placedBed(design: FilterDesign, rightBankM: number): PlacedBed | null {
  if (FILTER_TYPE_FACTS[design.type].path === 'none') return null
  const section = bedSectionOf(design)
  const vaultM = section.vault ? -section.vault[0]!.xM : 0
  return {
    section,
    originM: { xM: rightBankM + BETWEEN_M + vaultM, yM: design.staticLiftM - section.waterM },
    waterLevelM: design.staticLiftM,
  }
}

/** The pump on the floor of the pond, towards the bed. */
const pumpAt = (pond: readonly DrawnPoint[], rightBankM: number): DrawnPoint => {
  const xM = rightBankM * (1 - PUMP_AT_SHARE)
  return { xM, yM: floorAt(pond, xM) + PUMP_OVER_FLOOR_M }
}

/** Height of the floor at a place along the cut. */
function floorAt(pond: readonly DrawnPoint[], xM: number): number {
  const i = pond.findIndex((p, k) => k > 0 && p.xM >= xM && pond[k - 1]!.xM <= xM)
  if (i < 1) return 0
  const [a, b] = [pond[i - 1]!, pond[i]!]
  return b.xM === a.xM ? Math.min(a.yM, b.yM) : a.yM + ((xM - a.xM) / (b.xM - a.xM)) * (b.yM - a.yM)
}

function deliveryOf(pump: DrawnPoint, rightBankM: number, bed: PlacedBed | null, design: FilterDesign): DrawnPoint[] {
  const over = { xM: rightBankM, yM: PIPE_OVER_BANK_M }
  const rise = [pump, { xM: pump.xM, yM: PIPE_OVER_BANK_M }, over]
  if (!bed) return [...rise, { xM: rightBankM, yM: (design.falls?.dropM ?? 0) + LIP_OVER_WATER_M }]
  const { section, originM } = bed
  const inletM = section.vault ? originM.xM + section.vault[0]!.xM / 2 : originM.xM
  const atM = originM.yM + (section.pipe ? (section.pipe[0]!.yM + section.pipe[3]!.yM) / 2 : section.depthM * 0.1)
  const besideM = rightBankM + BETWEEN_M * 0.4
  return [...rise, { xM: besideM, yM: PIPE_OVER_BANK_M }, { xM: besideM, yM: atM }, { xM: inletM, yM: atM }]
}

/** Over the bed's edge above the pipe, along to the bank, and down into the pond. */
function returnOf(
  rightBankM: number,
  levelM: number,
  bed: PlacedBed | null,
  { falls, staticLiftM }: FilterDesign,
): DrawnPoint[] {
  const lipM = rightBankM - 0.05
  if (!bed)
    return falls
      ? [
          { xM: rightBankM, yM: falls.dropM },
          { xM: lipM, yM: falls.dropM },
          { xM: lipM, yM: levelM },
        ]
      : []
  const endM = falls ? Math.min(falls.dropM, staticLiftM) : Math.min(0.05, staticLiftM)
  const edgeM = bed.originM.xM + (bed.section.vault?.[0]?.xM ?? 0)
  return [
    { xM: edgeM, yM: staticLiftM },
    { xM: rightBankM, yM: endM },
    { xM: lipM, yM: endM },
    { xM: lipM, yM: levelM },
  ]
}

/** A plant on the gravel where it was set, or in the pond where the water is as deep as it likes. */
function placedPlant(
  { place, species, xM }: SystemInput['plants'][number],
  pond: readonly DrawnPoint[],
  bed: PlacedBed | null,
): DrawnPlant | null {
  const known = plantSpecies(species)
  if (!known) return null
  const { heightM } = known
  if (place === 'bed') {
    if (!bed) return null
    const { section, originM } = bed
    const along = Math.min(section.lengthM, Math.max(0, xM ?? section.lengthM / 2))
    return { species, heightM, xM: originM.xM + along, yM: originM.yM + section.depthM }
  }
  const likesM = (Math.max(0, known.depthM[0]) + Math.max(0, known.depthM[1])) / 2
  const deepestM = -Math.min(...pond.map((p) => p.yM))
  const depthM = Math.min(likesM, deepestM)
  const i = pond.findIndex((p, k) => k > 0 && -p.yM >= depthM && -pond[k - 1]!.yM <= depthM)
  if (i < 1) return null
  const [a, b] = [pond[i - 1]!, pond[i]!]
  const share = b.yM === a.yM ? 0.5 : (-depthM - a.yM) / (b.yM - a.yM)
  return { species, heightM, xM: a.xM + share * (b.xM - a.xM), yM: -depthM }
}
