import { failure, success, type Result } from '../result'
import { areaM2 } from './polygon'
import type { Point } from './point'

export type GeoJsonProblem =
  'not-json' | 'no-polygon' | 'bad-position' | 'not-degrees' | 'too-large' | 'too-many-corners'

/** Mean radius of the earth, m. @source IUGG */
const EARTH_RADIUS_M = 6_371_008.8
const LARGEST_SIDE_M = 1000
export const MAX_CORNERS = 400

type Json = {
  readonly type?: unknown
  readonly coordinates?: unknown
  readonly features?: unknown
  readonly geometry?: unknown
  readonly geometries?: unknown
}

/** The first polygon's outer ring, wherever it stands in the file. */
function firstRing(value: unknown): unknown[] | undefined {
  if (typeof value !== 'object' || value === null) return undefined
  const { type, coordinates, features, geometry, geometries } = value as Json
  if (type === 'Polygon' && Array.isArray(coordinates))
    return Array.isArray(coordinates[0]) ? coordinates[0] : undefined
  if (type === 'MultiPolygon' && Array.isArray(coordinates))
    return Array.isArray(coordinates[0]?.[0]) ? coordinates[0][0] : undefined
  const partsOf = () => {
    if (Array.isArray(features)) return features
    if (Array.isArray(geometries)) return geometries
    if (geometry) return [geometry]
    return []
  }
  const inside = partsOf()
  for (const item of inside) {
    const ring = firstRing(item)
    if (ring) return ring
  }
  return undefined
}

/**
 * A pond's corners from a GeoJSON polygon in degrees, as metres east and north of its south-west corner.
 * Flat projection about the polygon's middle: within 0.01 % over a kilometre.
 * @source RFC 7946 (positions are longitude, latitude); equirectangular projection
 */
export function outlineFromGeoJson(text: string): Result<Point[], GeoJsonProblem> {
  let parsed: unknown
  try {
    parsed = JSON.parse(text)
  } catch {
    return failure('not-json')
  }
  const ring = firstRing(parsed)
  if (!ring) return failure('no-polygon')
  if (ring.length > MAX_CORNERS + 1) return failure('too-many-corners')
  const positions = ring.map((p) =>
    Array.isArray(p) && Number.isFinite(p[0]) && Number.isFinite(p[1]) ? ([p[0], p[1]] as const) : null,
  )
  if (positions.some((p) => p === null) || positions.length < 3) return failure('bad-position')
  const degrees = positions as (readonly [number, number])[]
  if (degrees.some(([lon, lat]) => Math.abs(lon) > 180 || Math.abs(lat) > 90)) return failure('not-degrees')
  const [west, south] = [Math.min(...degrees.map((p) => p[0])), Math.min(...degrees.map((p) => p[1]))]
  const north = Math.max(...degrees.map((p) => p[1]))
  const metresPerDegree = (Math.PI / 180) * EARTH_RADIUS_M
  const perLongitude = metresPerDegree * Math.cos((((south + north) / 2) * Math.PI) / 180)
  const points = degrees.map(([lon, lat]) => ({ xM: (lon - west) * perLongitude, yM: (lat - south) * metresPerDegree }))
  if (points.some((p) => p.xM > LARGEST_SIDE_M || p.yM > LARGEST_SIDE_M)) return failure('too-large')
  // the ring repeats its first corner at the end
  const [first, last] = [points[0]!, points[points.length - 1]!]
  const open =
    points.length > 3 && Math.hypot(first.xM - last.xM, first.yM - last.yM) < 1e-6 ? points.slice(0, -1) : points
  return areaM2(open) > 0 ? success(open) : failure('no-polygon')
}
