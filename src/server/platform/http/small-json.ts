import { promisify } from 'node:util'
import { gzip } from 'node:zlib'

const packed = promisify(gzip)

/**
 * Answers in JSON, or in gzipped JSON where it is asked for by `accept`: for what goes over poor mobile links. The
 * framework takes
 * `content-encoding` off a route's answer, so that the asker unpacks it itself.
 */
export async function smallJson(request: Request, body: unknown, headers: Record<string, string>): Promise<Response> {
  const all = { ...headers, vary: 'accept' }
  if (!(request.headers.get('accept') ?? '').includes('application/gzip')) return Response.json(body, { headers: all })
  return new Response(new Uint8Array(await packed(JSON.stringify(body))), {
    headers: { ...all, 'content-type': 'application/gzip' },
  })
}
