import type { Outline, Point } from './point'

/**
 * Signed area of a closed polygon, m²; positive when corners run anticlockwise.
 * @source Shoelace formula (Meister 1769)
 */
export function signedAreaM2(outline: Outline): number {
  return outline.reduce((sum, p, i) => {
    const q = outline[(i + 1) % outline.length]!
    return sum + (p.xM * q.yM - q.xM * p.yM) / 2
  }, 0)
}

/** Area inside a closed polygon that does not cross itself, m². */
export const areaM2 = (outline: Outline): number => Math.abs(signedAreaM2(outline))

/** Length around a closed polygon, m. */
export function perimeterM(outline: Outline): number {
  return outline.reduce((sum, p, i) => {
    const q = outline[(i + 1) % outline.length]!
    return sum + Math.hypot(q.xM - p.xM, q.yM - p.yM)
  }, 0)
}

export interface Crossing {
  /** Index of the corner at which each crossing side begins. */
  readonly sides: readonly [number, number]
  readonly at: Point
}

/**
 * The first place where two sides of a closed polygon cross or touch, or null.
 * Neighbouring sides share a corner by nature and count only when one folds back over the other.
 */
export function findCrossing(outline: Outline): Crossing | null {
  const n = outline.length
  for (let i = 0; i < n; i++) {
    const [a, b] = [outline[i]!, outline[(i + 1) % n]!]
    for (let j = i + 1; j < n; j++) {
      const [c, d] = [outline[j]!, outline[(j + 1) % n]!]
      const crossing = () => {
        if (j === i + 1) return foldBack(a, b, d)
        if ((j + 1) % n === i) return foldBack(c, a, b)
        return meeting(a, b, c, d)
      }
      const at = crossing()
      if (at) return { sides: [i, j], at }
    }
  }
  return null
}

const cross = (o: Point, p: Point, q: Point): number => (p.xM - o.xM) * (q.yM - o.yM) - (p.yM - o.yM) * (q.xM - o.xM)

/**
 * The side from→corner→to turns back on itself when all three are in line and `to` lies on the near side of the
 * corner.
 */
function foldBack(from: Point, corner: Point, to: Point): Point | null {
  const dot = (from.xM - corner.xM) * (to.xM - corner.xM) + (from.yM - corner.yM) * (to.yM - corner.yM)
  return cross(from, corner, to) === 0 && dot > 0 ? corner : null
}

function meeting(a: Point, b: Point, c: Point, d: Point): Point | null {
  const [d1, d2, d3, d4] = [cross(c, d, a), cross(c, d, b), cross(a, b, c), cross(a, b, d)]
  if (((d1 > 0 && d2 < 0) || (d1 < 0 && d2 > 0)) && ((d3 > 0 && d4 < 0) || (d3 < 0 && d4 > 0))) {
    const t = d1 / (d1 - d2)
    return { xM: a.xM + t * (b.xM - a.xM), yM: a.yM + t * (b.yM - a.yM) }
  }
  if (d1 === 0 && within(c, d, a)) return a
  if (d2 === 0 && within(c, d, b)) return b
  if (d3 === 0 && within(a, b, c)) return c
  if (d4 === 0 && within(a, b, d)) return d
  return null
}

const within = (a: Point, b: Point, p: Point): boolean =>
  Math.min(a.xM, b.xM) <= p.xM &&
  p.xM <= Math.max(a.xM, b.xM) &&
  Math.min(a.yM, b.yM) <= p.yM &&
  p.yM <= Math.max(a.yM, b.yM)
