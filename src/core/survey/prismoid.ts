import { assertInRange } from '../errors'

/** A slice of a pond between two levels. Areas in m², depth is the slice's own height in m. */
export interface ZoneAreas {
  readonly topAreaM2: number
  readonly midAreaM2: number
  readonly bottomAreaM2: number
  readonly depthM: number
}

export const ZONE_AREA_RANGE = { areaM2: [0, 1e6], depthM: [0.001, 30] } as const

/**
 * Volume of a slice, m³: h/6 (top + 4 mid + bottom).
 * @throws {DomainError} an area or the depth is NaN or out of ZONE_AREA_RANGE
 * @source Prismoidal formula, as in any surveying handbook
 */
export function prismoidalVolumeM3(zone: ZoneAreas): number {
  assertInRange('topAreaM2', zone.topAreaM2, ZONE_AREA_RANGE.areaM2)
  assertInRange('midAreaM2', zone.midAreaM2, ZONE_AREA_RANGE.areaM2)
  assertInRange('bottomAreaM2', zone.bottomAreaM2, ZONE_AREA_RANGE.areaM2)
  assertInRange('depthM', zone.depthM, ZONE_AREA_RANGE.depthM)
  return (zone.depthM / 6) * (zone.topAreaM2 + 4 * zone.midAreaM2 + zone.bottomAreaM2)
}

/**
 * Water a basin holds once stone and gravel take their share.
 * @param rockShare displacement by rock and gravel as a share of gross, 0..0.6
 */
export function pondVolumeM3(zones: readonly ZoneAreas[], rockShare = 0): { grossM3: number; waterM3: number } {
  assertInRange('rockShare', rockShare, [0, 0.6])
  const grossM3 = zones.reduce((sum, zone) => sum + prismoidalVolumeM3(zone), 0)
  return { grossM3, waterM3: grossM3 * (1 - rockShare) }
}
