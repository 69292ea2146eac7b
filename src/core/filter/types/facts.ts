import type { BedLayer } from '../bed/layers'

/** All that is particular to a kind of filter; each kind is a file beside this one. */
export interface FilterTypeFacts {
  /** Which way the water goes through the stone. */
  readonly path: 'up' | 'along' | 'over' | 'none'
  /** Pond volumes it is usual for, m³. */
  readonly pondM3: readonly [number, number]
  /** Several alike vessels instead of one bed. */
  readonly vessels: boolean
  /** Walls stand above the ground. */
  readonly walled: boolean
  /** Needs a liner of its own. */
  readonly lined: boolean
  /** Lies along the shore as a band: its plan follows the pond's outline, and water goes back all along it. */
  readonly alongShore: boolean
  /** Water leaves by a pipe (true) or over a ring or lip (false). */
  readonly pipedOutlet: boolean
  /** Deepest stone that is usual, m. */
  readonly usualDepthM: number
  /** Length over width that it is usually built with. */
  readonly proportion: number
  /** Layers that it usually begins with, bottom to top. */
  readonly layers: readonly BedLayer[]
  /** Water that usually stands over the stone, m. */
  readonly waterOverGravelM: number
  /** Diameter of its cleanout vault, or of the drain in each vessel, m; null where nothing is flushed. */
  readonly vaultDiameterM: number | null
}
