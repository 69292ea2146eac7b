import { assertInRange, assertPositive } from '../errors'
import { GRANULAR_RANGE } from './granular-bed'

export interface VoidLayer {
  readonly thicknessM: number
  readonly porosity: number
}

/**
 * Water that leaves a bed when the pump stops and it siphons back, and what that does to the pond.
 * The bed is taken as full to the top of its layers.
 * @param layers bottom to top
 * @param areaM2 plan area of the bed
 * @param drainToM level of the highest open air break above the bed's base, m; water below it stays
 * @param pondAreaM2 pond surface
 * @returns volume, m³, and the pond's rise, mm
 */
export function drainBack(
  layers: readonly VoidLayer[],
  areaM2: number,
  drainToM: number,
  pondAreaM2: number,
): { volumeM3: number; pondRiseMm: number } {
  assertPositive('areaM2', areaM2)
  assertPositive('pondAreaM2', pondAreaM2)
  assertInRange('drainToM', drainToM, [0, 20])
  let baseM = 0
  let volumeM3 = 0
  layers.forEach((layer, i) => {
    assertInRange(`layers.${i}.thicknessM`, layer.thicknessM, GRANULAR_RANGE.thicknessM)
    assertInRange(`layers.${i}.porosity`, layer.porosity, [0.05, 1])
    const drainedM = Math.max(0, baseM + layer.thicknessM - Math.max(baseM, drainToM))
    volumeM3 += drainedM * layer.porosity * areaM2
    baseM += layer.thicknessM
  })
  return { volumeM3, pondRiseMm: (volumeM3 / pondAreaM2) * 1000 }
}
