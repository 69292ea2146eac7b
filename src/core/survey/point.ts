/** A place on the plan: x along the long axis, y across it, m. */
export interface Point {
  readonly xM: number
  readonly yM: number
}

/** A closed outline: the last point joins the first. */
export type Outline = readonly Point[]

export interface Bounds {
  readonly minX: number
  readonly minY: number
  readonly maxX: number
  readonly maxY: number
}

export function boundsOf(outline: Outline): Bounds {
  return outline.reduce(
    (b, p) => ({
      minX: Math.min(b.minX, p.xM),
      minY: Math.min(b.minY, p.yM),
      maxX: Math.max(b.maxX, p.xM),
      maxY: Math.max(b.maxY, p.yM),
    }),
    { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity },
  )
}
