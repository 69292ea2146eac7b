import { assertInRange } from '../errors'
import { GRAVITY_M_PER_S2, kinematicViscosityM2PerS, WATER_TEMPERATURE_RANGE } from './water-properties'

export interface GranularLayer {
  readonly thicknessM: number
  /** Mean stone size. */
  readonly grainM: number
  readonly porosity: number
}

/** thicknessM is the way through the stone: up a bed, or along one. */
export const GRANULAR_RANGE = {
  thicknessM: [0, 100],
  grainM: [1e-4, 0.5],
  porosity: [0.05, 0.98],
  velocityMPerH: [0, 500],
} as const

/**
 * Head lost in one layer of stone, mm of water.
 * @param velocityMPerH superficial (empty-bed) velocity, m/h
 * @source Ergun 1952
 */
export function layerLossMm(layer: GranularLayer, velocityMPerH: number, tempC = 20): number {
  assertInRange('thicknessM', layer.thicknessM, GRANULAR_RANGE.thicknessM)
  assertInRange('grainM', layer.grainM, GRANULAR_RANGE.grainM)
  assertInRange('porosity', layer.porosity, GRANULAR_RANGE.porosity)
  assertInRange('velocityMPerH', velocityMPerH, GRANULAR_RANGE.velocityMPerH)
  assertInRange('tempC', tempC, WATER_TEMPERATURE_RANGE)
  const v = velocityMPerH / 3600
  const { porosity: e, grainM: d } = layer
  const viscous = (150 * kinematicViscosityM2PerS(tempC) * (1 - e) ** 2 * v) / (GRAVITY_M_PER_S2 * e ** 3 * d ** 2)
  const inertial = (1.75 * (1 - e) * v ** 2) / (GRAVITY_M_PER_S2 * e ** 3 * d)
  return (viscous + inertial) * layer.thicknessM * 1000
}

/** Head lost layer by layer and in all, mm of water. @throws {DomainError} a figure outside GRANULAR_RANGE */
export function bedLossMm(
  layers: readonly GranularLayer[],
  velocityMPerH: number,
  tempC = 20,
): { lossMm: number; perLayerMm: number[] } {
  const perLayerMm = layers.map((layer) => layerLossMm(layer, velocityMPerH, tempC))
  return { lossMm: perLayerMm.reduce((sum, loss) => sum + loss, 0), perLayerMm }
}
