import { assertInRange } from '../../errors'
import { GRAVITY_M_PER_S2 } from '../../hydraulics/water-properties'
import { bedAreaM2, buildUpM } from './bed-geometry'
import type { FilterDesign } from '../design-input'
import { layerQuantities, type BedMaterials } from './layers'

const WATER_T_PER_M3 = 1

/** Loose stone against a wall. @source Rankine active pressure, friction angle 35° of clean gravel */
const GRAVEL_ACTIVE = 0.27

/** Walls higher than this, and anything near a building, on a slab or a roof, are for a licensed engineer, m. */
export const ENGINEER_ABOVE_M = 0.6

/** Load of one ordinary truck and of a filled bulk bag, t. @source house default */
const TRANSPORT_CAPACITY = { truckT: 9, bulkBagT: 0.85 } as const

export interface Weights {
  readonly stoneT: number
  readonly waterT: number
  /** On what carries the bed, kN/m². */
  readonly floorKnPerM2: number
  readonly trucks: number
  readonly bulkBags: number
}

/** Weights of a bed full of water, and the loads that bring its stone. */
export function weights(design: FilterDesign, materials: BedMaterials): Weights {
  const areaM2 = bedAreaM2(design)
  const quantities = layerQuantities(design.layers, areaM2, materials)
  const massT = quantities.reduce((sum, q) => sum + q.massT, 0)
  // modules weigh on the floor, but no truck of stone brings them
  const stoneT = quantities.reduce((sum, q) => sum + (materials[q.material].granular ? q.massT : 0), 0)
  const waterT =
    (quantities.reduce((sum, q) => sum + q.voidM3, 0) + Math.max(0, design.waterOverGravelM) * areaM2) * WATER_T_PER_M3
  return {
    stoneT,
    waterT,
    floorKnPerM2: areaM2 > 0 ? ((massT + waterT) / areaM2) * GRAVITY_M_PER_S2 : 0,
    trucks: Math.ceil(stoneT / TRANSPORT_CAPACITY.truckT - 1e-9),
    bulkBags: Math.ceil(stoneT / TRANSPORT_CAPACITY.bulkBagT - 1e-9),
  }
}

/**
 * Push on a metre of wall that holds water and gravel, kN/m: ½ρgh² for the water plus ½·Ka·γ′·h² for the submerged
 * stone.
 * @param heightM wall above the ground that holds the bed, m
 * @param gravelHeightM of that, filled with stone, m
 * @source hydrostatics; Rankine active pressure
 */
export function wallThrustKnPerM(heightM: number, gravelHeightM: number, submergedTPerM3 = 0.97): number {
  assertInRange('heightM', heightM, [0, 10])
  assertInRange('gravelHeightM', gravelHeightM, [0, 10])
  const water = (WATER_T_PER_M3 * GRAVITY_M_PER_S2 * heightM ** 2) / 2
  return water + (GRAVEL_ACTIVE * submergedTPerM3 * GRAVITY_M_PER_S2 * Math.min(gravelHeightM, heightM) ** 2) / 2
}

/** Thrust on the design's own walls, kN/m. */
export const designThrustKnPerM = (design: FilterDesign): number =>
  wallThrustKnPerM(design.raisedM, Math.min(design.raisedM, buildUpM(design.layers)))
