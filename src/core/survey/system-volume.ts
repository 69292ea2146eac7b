import { assertInRange } from '../errors'

/** Water beside the pond: a stream that is partly stone, or a skimmer or filter box. */
export type BesideWater =
  | {
      readonly kind: 'stream'
      readonly lengthM: number
      readonly widthM: number
      readonly depthM: number
      readonly fill: number
    }
  | { readonly kind: 'box'; readonly volumeM3: number }

export const SYSTEM_RANGE = {
  lengthM: [0.1, 500],
  widthM: [0.05, 20],
  depthM: [0.01, 2],
  fill: [0.05, 1],
  boxM3: [0.001, 100],
} as const

/** Water of one stream (length × width × depth × fill) or box, m³. */
export function besideVolumeM3(water: BesideWater): number {
  if (water.kind === 'box') {
    assertInRange('volumeM3', water.volumeM3, SYSTEM_RANGE.boxM3)
    return water.volumeM3
  }
  assertInRange('lengthM', water.lengthM, SYSTEM_RANGE.lengthM)
  assertInRange('widthM', water.widthM, SYSTEM_RANGE.widthM)
  assertInRange('depthM', water.depthM, SYSTEM_RANGE.depthM)
  assertInRange('fill', water.fill, SYSTEM_RANGE.fill)
  return water.lengthM * water.widthM * water.depthM * water.fill
}

/** What a dose must treat, m³: pond, streams and boxes, and the water in a filter's voids. */
export const systemVolumeM3 = (pondM3: number, beside: readonly BesideWater[], filterVoidsM3: number): number =>
  pondM3 + beside.reduce((sum, water) => sum + besideVolumeM3(water), 0) + filterVoidsM3
