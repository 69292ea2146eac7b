import type { Outline, Point } from '../survey/point'

export const apartM = (a: Point, b: Point): number => Math.hypot(a.xM - b.xM, a.yM - b.yM)

/** Length of an open line through points, m. */
export const lineLengthM = (line: readonly Point[]): number =>
  line.reduce((sum, p, i) => (i === 0 ? 0 : sum + apartM(line[i - 1]!, p)), 0)

/** Sides of an open line, or of a closed outline. */
export function sidesOf(points: readonly Point[], closed: boolean): (readonly [Point, Point])[] {
  const ends = closed ? points : points.slice(0, -1)
  return ends.map((p, i) => [p, points[(i + 1) % points.length]!] as const)
}

/** The place on a straight side that is nearest. */
export function nearestOnSide([a, b]: readonly [Point, Point], p: Point): Point {
  const [dx, dy] = [b.xM - a.xM, b.yM - a.yM]
  const square = dx * dx + dy * dy
  if (square === 0) return a
  const share = Math.min(1, Math.max(0, ((p.xM - a.xM) * dx + (p.yM - a.yM) * dy) / square))
  return { xM: a.xM + share * dx, yM: a.yM + share * dy }
}

/** The place on a line or outline that is nearest to a point. */
export function nearestOn(points: readonly Point[], closed: boolean, p: Point): Point {
  const sides = points.length === 1 ? [[points[0]!, points[0]!] as const] : sidesOf(points, closed)
  return sides.map((side) => nearestOnSide(side, p)).reduce((best, q) => (apartM(q, p) < apartM(best, p) ? q : best))
}

/** Whether a point lies inside a closed outline. @source even-odd rule */
export function inside(outline: Outline, { xM, yM }: Point): boolean {
  return sidesOf(outline, true).reduce((within, [a, b]) => {
    const crosses = a.yM > yM !== b.yM > yM && xM < a.xM + ((yM - a.yM) * (b.xM - a.xM)) / (b.yM - a.yM)
    return crosses ? !within : within
  }, false)
}

/** A shape on the plan: a place, an open line, or a closed outline whose inside belongs to it. */
export interface Shape {
  readonly points: readonly Point[]
  readonly closed: boolean
}

const turn = (o: Point, p: Point, q: Point): number => (p.xM - o.xM) * (q.yM - o.yM) - (p.yM - o.yM) * (q.xM - o.xM)

function cross([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): boolean {
  return turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0
}

/** How far two shapes lie apart, m; 0 where they touch, cross, or one lies in the other. */
export function shapesApartM(a: Shape, b: Shape): number {
  if (a.closed && b.points.some((p) => inside(a.points, p))) return 0
  if (b.closed && a.points.some((p) => inside(b.points, p))) return 0
  const [ofA, ofB] = [sidesOf(a.points, a.closed), sidesOf(b.points, b.closed)]
  if (ofA.some((s) => ofB.some((q) => cross(s, q)))) return 0
  const from = (points: readonly Point[], to: Shape) =>
    points.reduce((least, p) => Math.min(least, apartM(p, nearestOn(to.points, to.closed, p))), Infinity)
  return Math.min(from(a.points, b), from(b.points, a))
}

/** Whether all of a shape lies within an outline. */
export const liesWithin = (shape: Shape, outline: Outline): boolean =>
  shape.points.every((p) => inside(outline, p)) &&
  !sidesOf(shape.points, shape.closed).some((s) => sidesOf(outline, true).some((q) => cross(s, q)))

/** The two corners of an outline that lie furthest apart: what a net has to span at most. */
export function longestCrossing(outline: Outline): readonly [Point, Point] {
  let best: readonly [Point, Point] = [outline[0]!, outline[0]!]
  for (const [i, a] of outline.entries())
    for (const b of outline.slice(i + 1)) if (apartM(a, b) > apartM(...best)) best = [a, b]
  return best
}

/** Places along a line at even steps of at most `stepM`, its corners among them, with how far along each lies. */
export function alongLine(line: readonly Point[], stepM: number): { readonly at: Point; readonly alongM: number }[] {
  let alongM = 0
  const places = [{ at: line[0]!, alongM }]
  for (const [a, b] of sidesOf(line, false)) {
    const length = apartM(a, b)
    const steps = Math.max(1, Math.ceil(length / stepM))
    for (let i = 1; i <= steps; i++) {
      const share = i / steps
      places.push({
        at: { xM: a.xM + share * (b.xM - a.xM), yM: a.yM + share * (b.yM - a.yM) },
        alongM: alongM + share * length,
      })
    }
    alongM += length
  }
  return places
}
