export type LonLat = readonly [lon: number, lat: number]

/**
 * Degrees to drawing units: plate carrée with the middle latitude true to shape, good for a region of some hundred
 * kilometres.
 */
export interface Projection {
  readonly width: number
  readonly height: number
  readonly at: (point: LonLat) => readonly [x: number, y: number]
  /** Drawing units of a kilometre. */
  readonly perKm: number
}

const KM_PER_DEGREE = 111.2
const MARGIN_SHARE = 0.04
/** A single site still gets a map of this many kilometres. */
const MIN_KM = 6

/** Fits points into a drawing of a width. */
export function fit(points: readonly LonLat[], width: number): Projection {
  const lons = points.map((p) => p[0])
  const lats = points.map((p) => p[1])
  const middle = (Math.min(...lats) + Math.max(...lats)) / 2
  const squeeze = Math.cos((middle * Math.PI) / 180)
  const min = MIN_KM / KM_PER_DEGREE
  const spanX = Math.max(min, (Math.max(...lons) - Math.min(...lons)) * squeeze)
  const spanY = Math.max(min, Math.max(...lats) - Math.min(...lats))
  const margin = MARGIN_SHARE * width
  const scale = (width - 2 * margin) / spanX
  const centre = (Math.min(...lons) + Math.max(...lons)) / 2
  const height = spanY * scale + 2 * margin
  return {
    width,
    height,
    at: ([lon, lat]) => [width / 2 + (lon - centre) * squeeze * scale, height / 2 - (lat - middle) * scale],
    perKm: scale / KM_PER_DEGREE,
  }
}

export const pathOf = (projection: Projection, line: readonly LonLat[], closed = false): string =>
  line
    .map(
      (p, i) =>
        `${i === 0 ? 'M' : 'L'}${projection
          .at(p)
          .map((v) => v.toFixed(1))
          .join(' ')}`,
    )
    .join('') + (closed ? 'Z' : '')
