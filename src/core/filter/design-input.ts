import type { FishGroup } from '../fish/load'
import type { BedLayer } from './layers'
import type { FilterPractice, PondUse, School } from './practice'

/** What a design needs to know of the pond it serves. */
export interface DesignPond {
  readonly volumeM3: number
  readonly areaM2: number
  readonly use: PondUse
  readonly fish: readonly FishGroup[]
  readonly altitudeM: number
  /** Expected water temperature by month, January first, °C. */
  readonly monthlyTempC: readonly number[]
  /** Leaf litter that reaches the filter, kg dry a year. */
  readonly leafKgPerYear: number
  /** How far the pond may rise before it spills, m. */
  readonly freeboardM: number
}

/** Everything a designer decides about an upflow bed, its pipes and its pump. */
export interface BedDesign {
  readonly school: School
  readonly lengthM: number
  readonly widthM: number
  readonly layers: readonly BedLayer[]
  readonly manifold: { readonly diameterM: number; readonly slots: number; readonly slotAreaM2: number }
  readonly delivery: { readonly lengthM: number; readonly diameterM: number; readonly fittingsK: number }
  /** From the pond's water level to the bed's water level, m. */
  readonly staticLiftM: number
  readonly pumpId: string
  /** Highest open air break above the bed's base, m: how far it can siphon back. */
  readonly airBreakM: number
}

/** Inclusive input ranges; form schemas reuse them. */
export const DESIGN_RANGE = {
  sideM: [0.2, 100],
  manifoldDiameterM: [0.02, 0.4],
  slots: [1, 2000],
  slotAreaM2: [1e-6, 0.01],
  deliveryLengthM: [0.1, 500],
  deliveryDiameterM: [0.015, 0.4],
  fittingsK: [0, 100],
  staticLiftM: [0, 20],
  airBreakM: [0, 5],
} as const

export interface DesignProblemInput {
  readonly pond: DesignPond
  readonly design: BedDesign
  readonly practice: FilterPractice
  /** The firm's own school; the design's may differ with a reason. */
  readonly houseSchool: School
}
