import { createServer, type IncomingMessage } from 'node:http'

/** A message as it was handed in. */
interface Message {
  readonly id: string
  readonly from: string
  readonly to: string
  readonly subject: string
  readonly text: string
  readonly at: string
}

const MAX_KEPT = 5000
const MAX_BYTES = 200_000
const messages = new Map<string, Message>()
/** Until when the outbox refuses everything, ms. */
let outUntil = 0

const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!)

const page = () => `<!doctype html><html lang="en"><meta charset="utf-8"><title>Outbox</title>
<style>body{font:16px/1.5 sans-serif;max-width:46rem;margin:2rem auto;padding:0 1rem}article{border-top:1px solid #999;padding:.6rem 0}pre{white-space:pre-wrap;font:inherit}</style>
<h1>Outbox</h1><p>Nothing leaves this machine: ${messages.size} messages are kept here to be looked at.</p>
${[...messages.values()]
  .reverse()
  .map(
    (m) =>
      `<article><strong>${escaped(m.subject)}</strong><br>to ${escaped(m.to)}, ${escaped(m.at)}<pre>${escaped(m.text)}</pre></article>`,
  )
  .join('\n')}</html>`

async function bodyOf(request: IncomingMessage): Promise<unknown> {
  const parts: Buffer[] = []
  let size = 0
  for await (const part of request) {
    size += (part as Buffer).length
    if (size > MAX_BYTES) return null
    parts.push(part as Buffer)
  }
  try {
    return JSON.parse(Buffer.concat(parts).toString('utf8'))
  } catch {
    return null
  }
}

const isMessage = (body: unknown): body is Omit<Message, 'at'> =>
  typeof body === 'object' &&
  body !== null &&
  ['id', 'from', 'to', 'subject', 'text'].every((key) => typeof (body as Record<string, unknown>)[key] === 'string')

/**
 * A post office that delivers nothing: POST /messages keeps one (the same id once), GET /messages and / show them;
 * POST /outage?seconds closes it.
 */
const server = createServer(async (request, response) => {
  const url = new URL(request.url ?? '/', 'http://outbox')
  const answer = (status: number, body: unknown, type = 'application/json') => {
    response.writeHead(status, { 'content-type': `${type}; charset=utf-8` })
    response.end(typeof body === 'string' ? body : JSON.stringify(body))
  }
  if (request.method === 'POST' && url.pathname === '/outage') {
    outUntil = Date.now() + Number(url.searchParams.get('seconds') ?? 60) * 1000
    return answer(200, {})
  }
  if (Date.now() < outUntil) return answer(503, { error: 'The outbox is closed.' })
  if (request.method === 'GET' && url.pathname === '/') return answer(200, page(), 'text/html')
  if (request.method === 'GET' && url.pathname === '/messages') return answer(200, { messages: [...messages.values()] })
  if (request.method !== 'POST' || url.pathname !== '/messages')
    return answer(404, { error: 'POST /messages, GET /messages or GET /' })
  const body = await bodyOf(request)
  if (!isMessage(body)) return answer(400, { error: 'id, from, to, subject and text are needed, as text.' })
  if (!messages.has(body.id)) messages.set(body.id, { ...body, at: new Date().toISOString() })
  if (messages.size > MAX_KEPT) messages.delete(messages.keys().next().value!)
  answer(202, { id: body.id })
})

server.listen(Number(process.env.PORT ?? 0), '127.0.0.1', () => {
  const address = server.address()
  process.stdout.write(`outbox on ${typeof address === 'object' ? address?.port : ''}\n`)
})
process.on('SIGTERM', () => server.close(() => process.exit(0)))
