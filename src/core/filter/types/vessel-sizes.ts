import type { BedLayer } from '../bed/layers'

/** A tub, barrel or tank as it is sold. */
export interface VesselSize {
  readonly diameterM: number
  readonly heightM: number
}

/** Smallest first. @source usual round vessels, food-grade and UV-stable */
export const VESSEL_SIZES: readonly VesselSize[] = [
  { diameterM: 0.25, heightM: 0.28 },
  { diameterM: 0.35, heightM: 0.4 },
  { diameterM: 0.45, heightM: 0.55 },
  { diameterM: 0.6, heightM: 0.75 },
  { diameterM: 0.8, heightM: 0.9 },
  { diameterM: 1, heightM: 1 },
  { diameterM: 1.2, heightM: 1.1 },
]

/** Rim over the stone, and the least fine stone that plants stand in, m. */
const RIM_M = 0.1
const PLANTED_M = 0.1
/** A vessel lower than this has no room for coarse stone at its bottom, m. */
const LOW_M = 0.35
const COARSE_SHARE = 0.3

/** Graded stone in a vessel: coarse at the bottom, planting stone at the top. */
export function vesselLayers({ heightM }: VesselSize): BedLayer[] {
  const stoneM = heightM - RIM_M
  const top: BedLayer = { material: 'planting-6-12', thicknessM: PLANTED_M }
  const restM = Number((stoneM - PLANTED_M).toFixed(3))
  if (heightM < LOW_M) return [{ material: 'gravel-19-38', thicknessM: restM }, top]
  const coarseM = Number((stoneM * COARSE_SHARE).toFixed(2))
  return [
    { material: 'bridging-stone', thicknessM: coarseM },
    { material: 'gravel-19-38', thicknessM: Number((restM - coarseM).toFixed(3)) },
    top,
  ]
}

/** The size that a vessel is bought in: the smallest that is as wide. */
export const vesselSize = (diameterM: number): VesselSize =>
  VESSEL_SIZES.find((size) => size.diameterM >= diameterM - 1e-9) ?? VESSEL_SIZES[VESSEL_SIZES.length - 1]!
