import { createServer } from 'node:http'
import { JUNCTIONS, ROADS } from './hask-roads'
import { drivingTable, drivingWay } from './shortest'

const MAX_POINTS = 3000

/** Roads as GeoJSON, for a map. */
const geojson = JSON.stringify({
  type: 'FeatureCollection',
  features: ROADS.map((road) => ({
    type: 'Feature',
    properties: { class: road.class, from: road.from, to: road.to },
    geometry: { type: 'LineString', coordinates: [JUNCTIONS[road.from], JUNCTIONS[road.to]] },
  })),
})

function pointsIn(path: string, service: 'table' | 'route'): [number, number][] | null {
  const match = new RegExp(`^/${service}/v1/driving/([-\\d.,;e]+)$`, 'i').exec(path)
  if (!match) return null
  const points = match[1]!.split(';').map((pair) => pair.split(',').map(Number) as [number, number])
  return points.every(([lon, lat]) => Number.isFinite(lon) && Number.isFinite(lat)) && points.length <= MAX_POINTS
    ? points
    : null
}

/**
 * A small routing service for one invented island, answering table requests in the shape of the open table protocol.
 */
const server = createServer((request, response) => {
  const answer = (status: number, body: unknown) => {
    response.writeHead(status, { 'content-type': 'application/json' })
    response.end(typeof body === 'string' ? body : JSON.stringify(body))
  }
  const path = decodeURIComponent(new URL(request.url ?? '/', 'http://roads').pathname)
  if (path === '/roads.geojson') return answer(200, geojson)
  const way = pointsIn(path, 'route')
  if (way && way.length >= 2) {
    const coordinates = way.slice(1).flatMap((to, i) => drivingWay(way[i]!, to).slice(i === 0 ? 0 : 1))
    return answer(200, { code: 'Ok', routes: [{ geometry: { type: 'LineString', coordinates } }] })
  }
  const points = pointsIn(path, 'table')
  if (!points)
    return answer(404, { code: 'InvalidUrl', message: 'GET /table/v1/driving/lon,lat;lon,lat or /roads.geojson' })
  answer(200, { code: 'Ok', durations: drivingTable(points) })
})
// a table of many points is a long address
server.maxHeadersCount = 0

server.listen(Number(process.env.PORT ?? 0), '127.0.0.1', () => {
  const address = server.address()
  process.stdout.write(`roads on ${typeof address === 'object' ? address?.port : ''}\n`)
})
process.on('SIGTERM', () => server.close(() => process.exit(0)))
