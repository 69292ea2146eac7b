import { createServer } from 'node:http'
import { readingsOf } from './readings'

const { APP_ADDRESS = '', API_KEY = '', PONDS = '' } = process.env
const ponds = PONDS.split(',').filter(Boolean)
const EVERY_MS = 15 * 60_000
const MAX_HOURS = 240

/** Hands a pack in at the app. @returns what it answered */
async function post(pack: unknown): Promise<{ status: number; body: unknown }> {
  const response = await fetch(`${APP_ADDRESS}/api/v1/readings`, {
    method: 'POST',
    headers: { 'content-type': 'application/senml+json', authorization: `Bearer ${API_KEY}` },
    body: JSON.stringify(pack),
  })
  return { status: response.status, body: await response.json() }
}

/**
 * Probes in some ponds: a pack each quarter of an hour; POST /send?hours=6&shuffled=1&twice=1 hands in what was
 * gathered meanwhile, late and mixed up.
 */
const server = createServer((request, response) => {
  const url = new URL(request.url ?? '/', 'http://probes')
  const answer = (status: number, body: unknown) => {
    response.writeHead(status, { 'content-type': 'application/json' })
    response.end(JSON.stringify(body))
  }
  if (request.method === 'GET') return answer(200, { ponds, postsTo: APP_ADDRESS })
  const hours = Number(url.searchParams.get('hours') ?? 1)
  if (request.method !== 'POST' || url.pathname !== '/send' || !(hours > 0 && hours <= MAX_HOURS))
    return answer(404, { error: `POST /send?hours=1 to ${MAX_HOURS}, shuffled=1, twice=1; GET /` })
  const pack = readingsOf(ponds, Date.now() / 1000, hours, url.searchParams.has('shuffled'))
  const send = async () => (url.searchParams.has('twice') ? [await post(pack), await post(pack)] : [await post(pack)])
  send().then(
    (answers) => answer(200, { records: pack.length, answers }),
    (error: Error) => answer(502, { error: error.message }),
  )
})

server.listen(Number(process.env.PORT ?? 0), '127.0.0.1', () => {
  const address = server.address()
  process.stdout.write(`pond probes on ${typeof address === 'object' ? address?.port : ''}\n`)
})
const timer =
  ponds.length > 0 && API_KEY
    ? setInterval(() => void post(readingsOf(ponds, Date.now() / 1000, 0.25, false)).catch(() => undefined), EVERY_MS)
    : null
process.on('SIGTERM', () => {
  if (timer) clearInterval(timer)
  server.close(() => process.exit(0))
})
