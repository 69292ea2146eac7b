import type { SitePartId } from '@/core/drawing/site-sheet'
import type { Point } from '@/core/survey/point'

/** A part of a site plan that can be picked and moved. */
export interface PlanItem {
  readonly id: SitePartId
  readonly name: string
  /** Places that can be moved one by one, each with its own handle. */
  readonly places: readonly Point[]
  readonly closed: boolean
  /** Moves all of it; null where only its places move. */
  readonly onMove: ((to: Point) => void) | null
  /** What stands for it while it is moved as one. */
  readonly at: Point
  readonly onMovePlace: ((index: number, to: Point) => void) | null
  /** Puts a new corner into a side. */
  readonly onAddPlace: ((index: number, at: Point) => void) | null
  /** Takes a corner out; null where it keeps all it has. */
  readonly onRemovePlace: ((index: number) => void) | null
  readonly onRemove: (() => void) | null
  /** Kept on the pond's edge instead of the grid. */
  readonly onShore: boolean
}
