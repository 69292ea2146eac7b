import type { Point } from '../survey/point'
import { objectsOf, type SiteSurvey } from './site-survey'

/** Below this a direction was not measured: spots in one line say nothing across it. */
const FLAT = 1e-9

/**
 * Height of the ground over the pond's waterline by its spot levels: the plane that fits them best. One spot makes it
 * level, two a slope along their line, three or more a plane by least squares.
 * @returns m; null while no level was taken
 * @source least squares by the pseudo-inverse (Moore–Penrose) of the spots' scatter
 */
export function groundLevelM(survey: SiteSurvey, at: Point): number | null {
  const spots = objectsOf(survey, 'spot-level')
  if (spots.length === 0) return null
  const mean = (of: (spot: (typeof spots)[number]) => number) =>
    spots.reduce((sum, spot) => sum + of(spot), 0) / spots.length
  const [x, y, level] = [mean((s) => s.at.xM), mean((s) => s.at.yM), mean((s) => s.levelM)]
  const scatter = (a: (s: (typeof spots)[number]) => number, b: (s: (typeof spots)[number]) => number) =>
    mean((s) => a(s) * b(s))
  const [dx, dy] = [(s: (typeof spots)[number]) => s.at.xM - x, (s: (typeof spots)[number]) => s.at.yM - y]
  const rise = (s: (typeof spots)[number]) => s.levelM - level
  const [a, b, d] = [scatter(dx, dx), scatter(dx, dy), scatter(dy, dy)]
  const [e, f] = [scatter(dx, rise), scatter(dy, rise)]
  const middle = (a + d) / 2
  const half = Math.hypot((a - d) / 2, b)
  const angle = Math.atan2(2 * b, a - d) / 2
  const slopes = [
    { along: middle + half, ux: Math.cos(angle), uy: Math.sin(angle) },
    { along: middle - half, ux: -Math.sin(angle), uy: Math.cos(angle) },
  ]
  return slopes.reduce((sum, { along, ux, uy }) => {
    if (along <= FLAT * Math.max(1, middle)) return sum
    return sum + ((e * ux + f * uy) / along) * ((at.xM - x) * ux + (at.yM - y) * uy)
  }, level)
}
