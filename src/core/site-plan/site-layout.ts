import type { Point } from '../survey/point'

/** A place on a stream's centre line, the width there, and how far the water falls at it, m. */
export interface StreamPlace {
  readonly at: Point
  readonly widthM: number
  readonly dropM: number
}

/** Where the parts of a design stand on the site, in the coordinates of the pond's survey, m. */
export interface SiteLayout {
  /** Middle of the bed, and how far its length is turned from the x axis, degrees anticlockwise. */
  readonly bed: { readonly at: Point; readonly turnDeg: number }
  readonly pump: Point
  /** Corners of the delivery pipe between pump and bed; the pipe is buried once it leaves the pond. */
  readonly route: readonly Point[]
  /** Centre line of the stream from the bed's outlet to the pond, its last place in the pond's edge; null without. */
  readonly stream: { readonly places: readonly StreamPlace[]; readonly depthM: number } | null
  readonly skimmers: readonly Point[]
  /** Corners of the cable between supply and pump. */
  readonly cable: readonly Point[]
}

/** Inclusive input ranges; form schemas reuse them. */
export const LAYOUT_RANGE = {
  turnDeg: [-360, 360],
  corners: [0, 40],
  skimmers: [0, 12],
  streamPlaces: [1, 40],
  streamWidthM: [0.1, 10],
  streamDepthM: [0.01, 1],
  streamDropM: [0, 5],
} as const
