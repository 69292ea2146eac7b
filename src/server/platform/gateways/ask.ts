/**
 * An outside service that does not answer is left alone for a while, so that pages do not wait for it again and
 * again.
 */
const PAUSE_MS = 15_000
const FAILURES_TO_PAUSE = 2
const DEFAULT_MAX_BYTES = 20_000_000

interface Health {
  failures: number
  pausedUntil: number
}
const services = new Map<string, Health>()

export interface AskOptions {
  readonly timeoutMs: number
  readonly maxBytes?: number
  readonly init?: RequestInit
  /** ms since 1970; for tests */
  readonly nowMs?: number
}

/**
 * The JSON that an outside service answers, within a time and a size.
 * Never called inside a database transaction: a slow service must not hold rows and connections.
 * @throws {Error} it cannot be reached, answers an error or too much, or failed so lately that it is not asked
 */
export async function askJson(url: URL, options: AskOptions): Promise<unknown> {
  return ask(url, options, async (response, most) => {
    if (!response.ok) throw new Error(`${url.origin} answered ${response.status}`)
    const text = (await limited(response, most)).toString('utf8')
    return text === '' ? null : JSON.parse(text)
  })
}

/**
 * The same for bytes, with the type they are said to have.
 * @returns null where the service has nothing there, which is an answer as well
 * @throws {Error} as askJson
 */
export async function askBytes(url: URL, options: AskOptions): Promise<Answer | null> {
  return ask(url, options, async (response, most) => {
    if (response.status === NOT_THERE) return null
    if (!response.ok) throw new Error(`${url.origin} answered ${response.status}`)
    return { body: await limited(response, most), type: response.headers.get('content-type') ?? '' }
  })
}

const NOT_THERE = 404

interface Answer {
  readonly body: Buffer<ArrayBuffer>
  readonly type: string
}

async function ask<T>(
  url: URL,
  { timeoutMs, maxBytes = DEFAULT_MAX_BYTES, init = {}, nowMs = Date.now() }: AskOptions,
  read: (response: Response, maxBytes: number) => Promise<T>,
): Promise<T> {
  const health = services.get(url.origin) ?? { failures: 0, pausedUntil: 0 }
  services.set(url.origin, health)
  if (nowMs < health.pausedUntil) throw new Error(`${url.origin} did not answer lately; it is asked again soon`)
  try {
    const response = await fetch(url, { ...init, signal: AbortSignal.timeout(timeoutMs) })
    const answer = await read(response, maxBytes)
    health.failures = 0
    return answer
  } catch (error) {
    health.failures++
    if (health.failures >= FAILURES_TO_PAUSE) health.pausedUntil = nowMs + PAUSE_MS
    throw error
  }
}

async function limited(response: Response, maxBytes: number): Promise<Buffer<ArrayBuffer>> {
  const chunks: Uint8Array[] = []
  let size = 0
  const reader = response.body?.getReader()
  for (let part = await reader?.read(); part && !part.done; part = await reader!.read()) {
    size += part.value.length
    if (size > maxBytes) {
      await reader!.cancel()
      throw new Error(`The answer is larger than ${maxBytes} bytes`)
    }
    chunks.push(part.value)
  }
  return Buffer.concat(chunks)
}
