import type { Basin } from '../survey/basin'
import type { Outline, Point } from '../survey/point'
import { apartM, inside, nearestOn } from './geometry'
import type { SiteSurvey } from './site-survey'

/** A pond's own shape and what lies around it: what a layout is worked out on. */
export interface PondGround {
  readonly outline: Outline
  readonly zones: readonly Pick<Basin['zones'][number], 'topDepthM' | 'floorDepthM' | 'topOutlines' | 'floorOutlines'>[]
  readonly survey: SiteSurvey
}

export const pondGround = ({ outline, zones }: Basin, survey: SiteSurvey): PondGround => ({
  outline,
  zones: zones.map(({ topDepthM, floorDepthM, topOutlines, floorOutlines }) => ({
    topDepthM,
    floorDepthM,
    topOutlines,
    floorOutlines,
  })),
  survey,
})

/** How far the nearest of several outlines is, m. */
const nearestM = (outlines: readonly Outline[], at: Point): number =>
  outlines.reduce((least, outline) => Math.min(least, apartM(at, nearestOn(outline, true, at))), Infinity)

/** Depth of the pond at a place, m: its zone's floor, or between edge and floor along a sloped wall; 0 on land. */
export function depthAtM({ zones }: PondGround, at: Point): number {
  return zones.reduce((depthM, zone) => {
    if (zone.floorOutlines.some((outline) => inside(outline, at))) return zone.floorDepthM
    if (!zone.topOutlines.some((outline) => inside(outline, at))) return depthM
    const [fromTop, fromFloor] = [nearestM(zone.topOutlines, at), nearestM(zone.floorOutlines, at)]
    const share = fromTop / (fromTop + fromFloor || 1)
    return zone.topDepthM + share * (zone.floorDepthM - zone.topDepthM)
  }, 0)
}
