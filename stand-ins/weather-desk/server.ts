import { createServer } from 'node:http'
import { STATIONS } from './stations'

/** A small weather service for one invented island: GET /stations gives every station with its monthly normals. */
const server = createServer((request, response) => {
  const path = new URL(request.url ?? '/', 'http://desk').pathname
  const known = request.method === 'GET' && path === '/stations'
  response.writeHead(known ? 200 : 404, { 'content-type': 'application/json' })
  response.end(JSON.stringify(known ? { stations: STATIONS } : { error: 'GET /stations is all this desk answers.' }))
})

server.listen(Number(process.env.PORT ?? 0), '127.0.0.1', () => {
  const address = server.address()
  process.stdout.write(`weather desk on ${typeof address === 'object' ? address?.port : ''}\n`)
})
process.on('SIGTERM', () => server.close(() => process.exit(0)))
