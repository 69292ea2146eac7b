import type { Outline, Point } from '../survey/point'
import { apartM, nearestOn } from './geometry'

/** Places snap to this grid, m, unless something nearer draws them. */
export const SNAP_GRID_M = 0.1
/** How near a place must come to a line through another to be drawn onto it, m. */
const SNAP_REACH_M = 0.15
/** Turning snaps to this, degrees. */
export const SNAP_TURN_DEG = 5

export interface Snapped {
  readonly at: Point
  /** Places that it was drawn level with; for guide lines. */
  readonly guides: readonly Point[]
}

const toGrid = (m: number): number => Number((Math.round(m / SNAP_GRID_M) * SNAP_GRID_M).toFixed(3))

/**
 * Where a dragged place comes to rest: level with a neighbour so that pipes and walls run square, else on the grid.
 * @param neighbours places it may be drawn level with
 */
export function snapped(at: Point, neighbours: readonly Point[]): Snapped {
  const nearest = (of: (p: Point) => number) =>
    neighbours
      .filter((p) => Math.abs(of(p) - of(at)) <= SNAP_REACH_M)
      .reduce<Point | null>((best, p) => {
        return best && Math.abs(of(best) - of(at)) <= Math.abs(of(p) - of(at)) ? best : p
      }, null)
  const [byX, byY] = [nearest((p) => p.xM), nearest((p) => p.yM)]
  return {
    at: { xM: byX ? byX.xM : toGrid(at.xM), yM: byY ? byY.yM : toGrid(at.yM) },
    guides: [byX, byY].filter((p) => p !== null),
  }
}

/** Onto the pond's edge, to the millimetre: skimmers and the mouth of a stream. */
export function onShore(at: Point, shore: Outline): Point {
  const { xM, yM } = nearestOn(shore, true, at)
  return { xM: Number(xM.toFixed(3)), yM: Number(yM.toFixed(3)) }
}

/** Degrees, snapped and kept within a full turn. */
export const snappedTurn = (deg: number): number =>
  ((((Math.round(deg / SNAP_TURN_DEG) * SNAP_TURN_DEG) % 360) + 540) % 360) - 180

/** Where a corner dragged out of the middle of a side joins a line: the index it takes. */
export function sideNear(points: readonly Point[], closed: boolean, at: Point): number {
  const last = closed ? points.length : points.length - 1
  let best = { index: 1, apart: Infinity }
  for (let i = 0; i < last; i++) {
    const side = [points[i]!, points[(i + 1) % points.length]!]
    const apart = apartM(at, nearestOn(side, false, at))
    if (apart < best.apart) best = { index: i + 1, apart }
  }
  return best.index
}
