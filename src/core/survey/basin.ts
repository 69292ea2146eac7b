import { failure, success, type Result } from '../result'
import { inset, insetAreaM2, insetForShare } from './inset'
import { outlineOf, type OutlineSurvey } from './outline-shapes'
import { areaM2, findCrossing, perimeterM } from './polygon'
import type { Outline, Point } from './point'
import { pondVolumeM3, type ZoneAreas } from './prismoid'

/**
 * A depth zone: from the floor of the zone above (or the waterline) down to its own floor.
 * - floorDepthM: its floor below the waterline, m
 * - surfaceShare: its upper edge encloses this share of the pond's surface, 0..1 (the first zone: 1)
 * - insetM: or its upper edge lies this far inside the waterline all round, m; goes before the share
 * - sideSlope: run per rise of its wall, 0 = vertical
 */
interface DepthZone {
  readonly name: string
  readonly floorDepthM: number
  readonly surfaceShare: number
  readonly insetM?: number | null
  readonly sideSlope: number
}

export interface BasinSurvey {
  readonly outline: OutlineSurvey
  readonly zones: readonly DepthZone[]
  readonly rockShare: number
}

export const BASIN_RANGE = {
  floorDepthM: [0.05, 15],
  surfaceShare: [0.01, 1],
  insetM: [0, 50],
  sideSlope: [0, 6],
  rockShare: [0, 0.6],
} as const
export const MAX_ZONES = 4

export type BasinProblem =
  | { code: 'outline-crosses'; at: Point }
  | { code: 'zone-not-deeper'; zone: number; aboveM: number }
  | { code: 'zone-wider-than-above'; zone: number; shareAbove: number }
  | { code: 'slope-closes'; zone: number; reachedM: number }

interface BasinZone extends ZoneAreas {
  readonly name: string
  readonly topDepthM: number
  readonly floorDepthM: number
  readonly topOutlines: readonly Outline[]
  readonly floorOutlines: readonly Outline[]
  /** How far its upper and lower edge lie inside the waterline, m. */
  readonly topInsetM: number
  readonly floorInsetM: number
}

export interface Basin {
  readonly outline: Outline
  readonly areaM2: number
  readonly perimeterM: number
  readonly zones: readonly BasinZone[]
  readonly grossM3: number
  readonly waterM3: number
  readonly meanDepthM: number
  readonly maxDepthM: number
  /** Wall and floor area under water, m²: what is rinsed in a cleanout. */
  readonly wettedAreaM2: number
}

/** Deepest slope that still leaves a floor is found to this share of the surface. */
const MIN_FLOOR_SHARE = 1e-4

/**
 * The shape of a pond from a field survey: areas by outline inset, volume by the prismoidal rule zone by zone.
 * @returns the basin, or the first thing in the survey that cannot be built
 * @throws {DomainError} a figure outside its range (check forms with BASIN_RANGE first)
 */
export function basinOf(survey: BasinSurvey): Result<Basin, BasinProblem> {
  const outline = outlineOf(survey.outline)
  const crossing = findCrossing(outline)
  if (crossing) return failure({ code: 'outline-crosses', at: crossing.at })
  const surfaceM2 = areaM2(outline)
  const zones: BasinZone[] = []
  for (const [index, zone] of survey.zones.entries()) {
    const above = zones[index - 1]
    const topDepthM = above?.floorDepthM ?? 0
    if (zone.floorDepthM <= topDepthM) return failure({ code: 'zone-not-deeper', zone: index, aboveM: topDepthM })
    const shareAbove = above ? above.bottomAreaM2 / surfaceM2 : 1
    const givenInsetM = index === 0 ? 0 : (zone.insetM ?? null)
    const share = givenInsetM === null ? zone.surfaceShare : insetAreaM2(outline, givenInsetM) / surfaceM2
    if (share > shareAbove + 1e-9) return failure({ code: 'zone-wider-than-above', zone: index, shareAbove })
    const depthM = zone.floorDepthM - topDepthM
    const topInsetM = givenInsetM ?? insetForShare(outline, share)
    const floorInsetM = topInsetM + zone.sideSlope * depthM
    const bottomAreaM2 = insetAreaM2(outline, floorInsetM)
    if (bottomAreaM2 < MIN_FLOOR_SHARE * surfaceM2)
      return failure({
        code: 'slope-closes',
        zone: index,
        reachedM: topDepthM + (zone.sideSlope > 0 ? reachOf(outline, topInsetM) / zone.sideSlope : 0),
      })
    zones.push({
      name: zone.name,
      topDepthM,
      floorDepthM: zone.floorDepthM,
      depthM,
      topAreaM2: insetAreaM2(outline, topInsetM),
      midAreaM2: insetAreaM2(outline, (topInsetM + floorInsetM) / 2),
      bottomAreaM2,
      topOutlines: inset(outline, topInsetM),
      floorOutlines: inset(outline, floorInsetM),
      topInsetM,
      floorInsetM,
    })
  }
  const volume = pondVolumeM3(zones, survey.rockShare)
  return success({
    outline,
    areaM2: surfaceM2,
    perimeterM: perimeterM(outline),
    zones,
    ...volume,
    meanDepthM: volume.grossM3 / surfaceM2,
    maxDepthM: zones.reduce((max, zone) => Math.max(max, zone.floorDepthM), 0),
    wettedAreaM2: surfaceM2 + zones.reduce((sum, zone) => sum + wallExtraM2(zone), 0),
  })
}

/** How much further in the wall can run before its two sides meet, m. */
const reachOf = (outline: Outline, topInsetM: number): number =>
  Math.max(0, insetForShare(outline, MIN_FLOOR_SHARE) - topInsetM)

/** A sloped wall covers more than its shadow on the plan: slant area less plan area. */
function wallExtraM2(zone: BasinZone): number {
  const runM = zone.floorInsetM - zone.topInsetM
  const slantM = Math.hypot(runM, zone.depthM)
  const meanEdgeM =
    [...zone.topOutlines, ...zone.floorOutlines].reduce((sum, outline) => sum + perimeterM(outline), 0) / 2
  return meanEdgeM * (slantM - runM)
}
