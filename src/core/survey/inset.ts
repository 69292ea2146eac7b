import ClipperLib from 'clipper-lib'
import { findRoot } from '../numeric/root'
import { areaM2, perimeterM } from './polygon'
import type { Outline, Point } from './point'

/** The offsetting library works on whole numbers: 0.1 mm steps keep a 500 m pond far inside its range. */
const STEPS_PER_M = 10_000
const MITER_LIMIT = 4 // times the distance, before a sharp corner is cut off

/**
 * The outline moved inwards by a distance, as a wall with that run leaves it. May fall into several parts, or vanish.
 * @param distanceM how far in, m, ≥ 0
 * @returns zero or more closed outlines, largest first
 * @source Vatti clipping and offsetting as implemented by Clipper (Johnson)
 */
export function inset(outline: Outline, distanceM: number): Point[][] {
  if (distanceM <= 0) return [[...outline]]
  const offsetter = new ClipperLib.ClipperOffset(MITER_LIMIT, 0.25)
  offsetter.AddPath(
    outline.map((p) => ({ X: Math.round(p.xM * STEPS_PER_M), Y: Math.round(p.yM * STEPS_PER_M) })),
    ClipperLib.JoinType.jtMiter,
    ClipperLib.EndType.etClosedPolygon,
  )
  const moved: ClipperLib.Path[] = []
  offsetter.Execute(moved as unknown as ClipperLib.Paths, -distanceM * STEPS_PER_M)
  return moved
    .map((path) => path.map((p) => ({ xM: p.X / STEPS_PER_M, yM: p.Y / STEPS_PER_M })))
    .sort((a, b) => areaM2(b) - areaM2(a))
}

/** Area left at the foot of a wall that runs in by distanceM, m². */
export const insetAreaM2 = (outline: Outline, distanceM: number): number =>
  inset(outline, distanceM).reduce((sum, part) => sum + areaM2(part), 0)

/**
 * How far in an outline must move to keep a share of its area, m.
 * @param share of the outline's area to keep, 0..1
 */
export function insetForShare(outline: Outline, share: number): number {
  const area = areaM2(outline)
  if (share >= 1) return 0
  // a shape's inradius is at most 2·area/perimeter for the convex case and never above half its smaller extent
  const high = (2 * area) / perimeterM(outline) + Math.sqrt(area)
  return findRoot((d) => insetAreaM2(outline, d) - share * area, { low: 0, high }, 1e-5).x
}
