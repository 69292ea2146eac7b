import type { Basin } from './basin'
import { boundsOf, type Outline, type Point } from './point'

/** A place on a section: chainage along the cut and depth below the waterline, m. */
export interface SectionPoint {
  readonly chainageM: number
  readonly depthM: number
}

/**
 * The floor of a pond along a straight cut through the middle of its length, from the left bank to the right.
 * Each zone contributes its upper and lower edge where the cut meets them; outlines that the cut misses are left out.
 * @returns profile points in order; empty when the cut misses the pond
 */
export function longSection(basin: Basin): SectionPoint[] {
  const yM = cutLine(basin)
  const left: SectionPoint[] = []
  const right: SectionPoint[] = []
  const add = (outlines: readonly Outline[], depthM: number) => {
    const xs = outlines.flatMap((outline) => crossings(outline, yM))
    if (xs.length < 2) return
    left.push({ chainageM: Math.min(...xs), depthM })
    right.unshift({ chainageM: Math.max(...xs), depthM })
  }
  add([basin.outline], 0)
  for (const zone of basin.zones) {
    add(zone.topOutlines, zone.topDepthM)
    add(zone.floorOutlines, zone.floorDepthM)
  }
  return [...left, ...right]
}

/** The height of the cut on the plan: through the middle of the deepest floor, so that the section shows it. */
export function cutLine(basin: Basin): number {
  const deepest = basin.zones.at(-1)?.floorOutlines[0] ?? basin.outline
  const { minY, maxY } = boundsOf(deepest)
  return (minY + maxY) / 2
}

/** Where a line across the plan meets an outline, by x; in the order of its sides. */
export function crossings(outline: Outline, yM: number): number[] {
  return outline.flatMap((p: Point, i) => {
    const q = outline[(i + 1) % outline.length]!
    if (p.yM === q.yM || (p.yM - yM) * (q.yM - yM) > 0) return []
    return [p.xM + ((yM - p.yM) * (q.xM - p.xM)) / (q.yM - p.yM)]
  })
}
