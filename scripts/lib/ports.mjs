import { createServer } from 'node:net'

/** Whether a loopback port can be listened on. */
export const isFree = (port) =>
  new Promise((resolve) => {
    const server = createServer()
    server.once('error', () => resolve(false))
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)))
  })

export const freePort = () =>
  new Promise((resolve, reject) => {
    const server = createServer()
    server.once('error', reject)
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address()
      server.close(() => resolve(port))
    })
  })

/** Waits until an address answers at all. */
export async function waitForHttp(url, child, seconds = 60) {
  const until = Date.now() + seconds * 1000
  while (Date.now() < until) {
    if (child?.exitCode !== null && child?.exitCode !== undefined)
      throw new Error(`The server ended before it answered:\n${child.tail ?? ''}`)
    try {
      return await fetch(url, { redirect: 'manual', signal: AbortSignal.timeout(5000) })
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
  }
  throw new Error(`Nothing answered at ${url} within ${seconds} s.\n${child?.tail ?? ''}`)
}
