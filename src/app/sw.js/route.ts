import { readFile } from 'node:fs/promises'
import { join } from 'node:path'

/** The service worker of this build; the development server has none. */
export async function GET(): Promise<Response> {
  const file = join(process.cwd(), process.env.NEXT_DIST_DIR ?? '.next', 'sw.js')
  const program = await readFile(file, 'utf8').catch(() => null)
  if (program === null) return new Response('Not built.', { status: 404 })
  return new Response(program, {
    headers: {
      'content-type': 'text/javascript; charset=utf-8',
      'cache-control': 'no-cache',
      'service-worker-allowed': '/field',
    },
  })
}
