import { createServer } from 'node:http'
import { addDays, daysBetween, yearOf } from '../../src/core/numeric/calendar'
import { seededRandom } from '../../src/core/numeric/random'
import { weatherYear } from '../../src/core/season/weather-year'
import { actualDays } from './actual'
import { forecastFrom } from './forecast'
import { hoursOf } from './hourly'
import { STATIONS } from './stations'

const MAX_DAYS = 1100
const MAX_HOURLY_DAYS = 31
const HELP =
  'GET /stations, /stations/ID/days?from&to, /stations/ID/hours?from&to, /stations/ID/forecast?issued, /stations/ID/synthetic-year?seed; POST /outage?seconds ends by itself, 0 ends it at once.'

/** Until when the desk plays dead, ms. */
let outUntil = 0

type Answer = readonly [status: number, body: unknown]
const bad = (error: string): Answer => [400, { error }]
const today = () => new Date().toISOString().slice(0, 10)
const isDay = (text: string | null): text is string =>
  text !== null && /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text))

/** A small weather service for one invented island. */
function answer(method: string, url: URL): Answer {
  const path = url.pathname
  if (method === 'POST' && path === '/outage') {
    const seconds = Number(url.searchParams.get('seconds') ?? 60)
    if (!(seconds >= 0 && seconds <= 86_400)) return bad('seconds: 0 to 86400')
    outUntil = Date.now() + seconds * 1000
    return [200, { outSeconds: seconds }]
  }
  if (Date.now() < outUntil) return [503, { error: 'The desk is closed.' }]
  if (method !== 'GET') return [404, { error: HELP }]
  if (path === '/stations') return [200, { stations: STATIONS }]
  const match = /^\/stations\/([a-z-]+)\/(days|hours|forecast|synthetic-year)$/.exec(path)
  const station = match && STATIONS.find((s) => s.id === match[1])
  if (!match || !station) return [404, { error: HELP }]
  switch (match[2]) {
    case 'days':
    case 'hours': {
      const [from, to] = [url.searchParams.get('from'), url.searchParams.get('to')]
      if (!isDay(from) || !isDay(to) || from > to) return bad('from and to: calendar days, in order')
      // nobody has observed a day that is not over
      const last = to < today() ? to : addDays(today(), -1)
      if (match[2] === 'days') {
        if (daysBetween(from, to) > MAX_DAYS) return bad(`at most ${MAX_DAYS} days`)
        return [200, { days: from <= last ? actualDays(station.id, from, last) : [] }]
      }
      if (daysBetween(from, to) > MAX_HOURLY_DAYS) return bad(`at most ${MAX_HOURLY_DAYS} days`)
      const now = new Date().toISOString().slice(0, 16)
      return [200, { hours: hoursOf(station.id, from, to).filter((h) => h.at <= now) }]
    }
    case 'forecast': {
      const issued = url.searchParams.get('issued') ?? today()
      if (!isDay(issued) || issued > today()) return bad('issued: a calendar day, today at the latest')
      return [200, { issued, days: forecastFrom(station.id, issued) }]
    }
    default: {
      const seed = Number(url.searchParams.get('seed') ?? 1)
      if (!Number.isInteger(seed) || seed < 0) return bad('seed: a whole number')
      const from = `${yearOf(today())}-01-01`
      return [
        200,
        {
          days: weatherYear(station.normals, seededRandom(seed)).map((day, i) => ({ date: addDays(from, i), ...day })),
        },
      ]
    }
  }
}

const server = createServer((request, response) => {
  const [status, body] = answer(request.method ?? 'GET', new URL(request.url ?? '/', 'http://desk'))
  response.writeHead(status, { 'content-type': 'application/json' })
  response.end(JSON.stringify(body))
})

server.listen(Number(process.env.PORT ?? 0), '127.0.0.1', () => {
  const address = server.address()
  process.stdout.write(`weather desk on ${typeof address === 'object' ? address?.port : ''}\n`)
})
process.on('SIGTERM', () => server.close(() => process.exit(0)))
