import type { DrawnPoint } from './sheet'

/** A group of plants as a circle; metres. */
export interface PatchCircle {
  readonly xM: number
  readonly yM: number
  readonly radiusM: number
}

/** The ground that patches may cover: a rectangle from the origin, or the circle within it. */
export interface PatchGround {
  readonly lengthM: number
  readonly widthM: number
  readonly round: boolean
}

const CIRCLE_POINTS = 48
const ringPoint = (cx: number, cy: number, r: number, i: number): DrawnPoint => ({
  xM: cx + r * Math.cos((2 * Math.PI * i) / CIRCLE_POINTS),
  yM: cy + r * Math.sin((2 * Math.PI * i) / CIRCLE_POINTS),
})
/** A circle as a polygon. */
export const circlePoints = (cx: number, cy: number, r: number): DrawnPoint[] =>
  Array.from({ length: CIRCLE_POINTS }, (_, i) => ringPoint(cx, cy, r, i))

/** Points where a·x + b·y ≤ c. */
interface HalfPlane {
  readonly a: number
  readonly b: number
  readonly c: number
}

/** Sutherland–Hodgman: what of a convex polygon lies within a half plane. */
function clipped(points: readonly DrawnPoint[], { a, b, c }: HalfPlane): DrawnPoint[] {
  const over = (p: DrawnPoint) => a * p.xM + b * p.yM - c
  return points.flatMap((p, i) => {
    const before = points[(i + points.length - 1) % points.length]!
    const [from, to] = [over(before), over(p)]
    const share = from / (from - to)
    const crossing =
      from <= 0 === to <= 0
        ? []
        : [{ xM: before.xM + share * (p.xM - before.xM), yM: before.yM + share * (p.yM - before.yM) }]
    return to <= 0 ? [...crossing, p] : crossing
  })
}

/** Where two circles overlap each keeps its side of the line through their crossings. */
function sideOf(own: PatchCircle, other: PatchCircle): HalfPlane {
  const [a, b] = [2 * (other.xM - own.xM), 2 * (other.yM - own.yM)]
  const square = (p: PatchCircle) => p.xM ** 2 + p.yM ** 2 - p.radiusM ** 2
  return { a, b, c: square(other) - square(own) }
}

const overlap = (p: PatchCircle, q: PatchCircle): boolean => {
  const apart = Math.hypot(p.xM - q.xM, p.yM - q.yM)
  return apart > 0 && apart < p.radiusM + q.radiusM
}

const edgesOf = ({ lengthM, widthM, round }: PatchGround): HalfPlane[] =>
  round
    ? circlePoints(0, 0, 1).map(({ xM, yM }) => ({
        a: xM,
        b: yM,
        c: xM * (lengthM / 2) + yM * (lengthM / 2) + lengthM / 2,
      }))
    : [
        { a: -1, b: 0, c: 0 },
        { a: 1, b: 0, c: lengthM },
        { a: 0, b: -1, c: 0 },
        { a: 0, b: 1, c: widthM },
      ]

/**
 * The ground that each patch is drawn on: its circle, as far as it lies on the ground and up to the line halfway into
 * a neighbour that it meets (the power diagram of the circles), so that no two lie over one another.
 * @returns one convex polygon for each patch, metres; empty where none of it lies on the ground
 * @source Aurenhammer 1987, "Power diagrams: properties, algorithms and applications"
 */
export const patchShapes = (patches: readonly PatchCircle[], ground: PatchGround | null): DrawnPoint[][] =>
  patches.map((own) =>
    [
      ...(ground ? edgesOf(ground) : []),
      ...patches.filter((other) => other !== own && overlap(own, other)).map((other) => sideOf(own, other)),
    ].reduce(clipped, circlePoints(own.xM, own.yM, own.radiusM) as DrawnPoint[]),
  )

/** Where a shape's name stands: its middle by area. @returns null for a shape without area */
export function middleOf(shape: readonly DrawnPoint[]): DrawnPoint | null {
  let [twice, x, y] = [0, 0, 0]
  shape.forEach((p, i) => {
    const q = shape[(i + 1) % shape.length]!
    const cross = p.xM * q.yM - q.xM * p.yM
    twice += cross
    x += (p.xM + q.xM) * cross
    y += (p.yM + q.yM) * cross
  })
  return Math.abs(twice) < 1e-9 ? null : { xM: x / (3 * twice), yM: y / (3 * twice) }
}
