import { z } from 'zod'
import { askJson } from './ask'

export interface MapPoint {
  readonly lat: number
  readonly lon: number
}

/** Minutes from each point to each other, row by row. */
export interface TravelTable {
  readonly minutes: Float64Array
  /** 'straight-line': no roads service answered; straight lines with a detour instead. */
  readonly source: 'roads' | 'straight-line'
}

const Answer = z.object({ code: z.literal('Ok'), durations: z.array(z.array(z.number().min(0).nullable())) })
const TIMEOUT_MS = 8000
/** Points in one request; servers limit the length of an address. */
const MAX_POINTS = 250

const EARTH_KM = 6371
const DETOUR = 1.35
const STRAIGHT_LINE_KMH = 48
const radians = (deg: number) => (deg * Math.PI) / 180

/**
 * Straight lines with a usual detour, for when no roads are known.
 * @source haversine formula; detour of rural road nets
 */
export function straightLineTable(points: readonly MapPoint[]): TravelTable {
  const n = points.length
  const minutes = new Float64Array(n * n)
  points.forEach((a, i) =>
    points.forEach((b, j) => {
      const h =
        Math.sin(radians(b.lat - a.lat) / 2) ** 2 +
        Math.cos(radians(a.lat)) * Math.cos(radians(b.lat)) * Math.sin(radians(b.lon - a.lon) / 2) ** 2
      minutes[i * n + j] = ((2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(h))) * DETOUR) / STRAIGHT_LINE_KMH) * 60
    }),
  )
  return { minutes, source: 'straight-line' }
}

/**
 * Driving times from a table service that speaks the open table protocol (GET /table/v1/driving/lon,lat;…), asked in
 * blocks;
 * straight lines when it cannot be reached, or cannot get somewhere.
 */
export async function travelTable(points: readonly MapPoint[], baseUrl: string | undefined): Promise<TravelTable> {
  const straight = straightLineTable(points)
  if (!baseUrl || points.length < 2) return straight
  try {
    return { minutes: await askInBlocks(points, baseUrl, straight.minutes), source: 'roads' }
  } catch {
    return straight
  }
}

const Shape = z.object({
  code: z.literal('Ok'),
  routes: z.array(z.object({ geometry: z.object({ coordinates: z.array(z.tuple([z.number(), z.number()])) }) })).min(1),
})

/**
 * The way through points along the roads, as longitude and latitude, from a service of the same family (GET
 * /route/v1/driving/…);
 * straight lines when it cannot be had.
 */
export async function routeShape(
  points: readonly MapPoint[],
  baseUrl: string | undefined,
): Promise<[lon: number, lat: number][]> {
  const straight = points.map((p): [number, number] => [p.lon, p.lat])
  if (!baseUrl || points.length < 2) return straight
  try {
    const place = points.map((p) => `${p.lon.toFixed(6)},${p.lat.toFixed(6)}`).join(';')
    const url = new URL(`/route/v1/driving/${place}?geometries=geojson&overview=full`, baseUrl)
    return Shape.parse(await askJson(url, { timeoutMs: TIMEOUT_MS })).routes[0]!.geometry.coordinates
  } catch {
    return straight
  }
}

async function askInBlocks(
  points: readonly MapPoint[],
  baseUrl: string,
  straight: Float64Array,
): Promise<Float64Array> {
  const n = points.length
  const minutes = new Float64Array(n * n)
  const half = Math.floor(MAX_POINTS / 2)
  const blocks = Array.from({ length: Math.ceil(n / half) }, (_, i) =>
    [...points.keys()].slice(i * half, (i + 1) * half),
  )
  for (const rows of blocks)
    for (const columns of blocks) {
      const asked = [...new Set([...rows, ...columns])]
      const at = new Map(asked.map((point, i) => [point, i]))
      const durations = await ask(
        asked.map((i) => points[i]!),
        baseUrl,
      )
      for (const i of rows)
        for (const j of columns) {
          const seconds = durations[at.get(i)!]?.[at.get(j)!]
          minutes[i * n + j]! = seconds == null ? straight[i * n + j]! : seconds / 60
        }
    }
  return minutes
}

async function ask(points: readonly MapPoint[], baseUrl: string): Promise<(number | null)[][]> {
  const place = points.map((p) => `${p.lon.toFixed(6)},${p.lat.toFixed(6)}`).join(';')
  const url = new URL(`/table/v1/driving/${place}?annotations=duration`, baseUrl)
  return Answer.parse(await askJson(url, { timeoutMs: TIMEOUT_MS })).durations
}
