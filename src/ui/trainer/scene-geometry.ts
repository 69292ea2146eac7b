import { TRAINING_DEPTH_M } from '@/core/trainer/world'
import { seededRandom } from '@/core/numeric/random'

/** The drawing of the training pond; heights are stretched two and a half times against lengths. */
export const WIDTH = 640
export const HEIGHT = 270
/** Tall plants reach up to here. */
export const SKY = 16
/** The edge of the water when it stands full. */
export const RIM = 112
export const FLOOR = 250

/** Shelves left and right, the deep in the middle. */
export const PROFILE: readonly (readonly [number, number])[] = [
  [196, RIM],
  [212, 152],
  [276, 156],
  [304, 232],
  [400, FLOOR],
  [480, 248],
  [526, 234],
  [546, 160],
  [600, 156],
  [614, RIM],
]

export const depthPx = (depthM: number): number => (depthM / TRAINING_DEPTH_M) * (FLOOR - RIM)
export const depthAt = (y: number): number => (Math.max(0, y - RIM) / (FLOOR - RIM)) * TRAINING_DEPTH_M

/** So many places in the unit square, the same every time. */
export function spread(count: number, salt: number): (readonly [number, number])[] {
  const random = seededRandom(salt)
  return Array.from({ length: count }, () => [random(), random()] as const)
}
