import type { ProblemBody } from '@/domain/shared/problems'

/** What came back instead of success; status 0 when nothing came back at all. */
export type SendProblem = ProblemBody

export type SendOutcome<Value> = { ok: true; value: Value } | { ok: false; problem: SendProblem }

const NO_ANSWER: SendProblem = { title: '', status: 0, kind: 'offline' }

/**
 * Sends JSON to the app's own API. Every outcome is a value; nothing is thrown.
 * @param keepalive arrives also when the page is left at once; for short words only, browsers allow 64 kB
 */
export async function send<Value = unknown>(
  method: 'POST' | 'PUT' | 'DELETE',
  path: string,
  body: unknown = {},
  { keepalive = false }: { readonly keepalive?: boolean } = {},
): Promise<SendOutcome<Value>> {
  return answerOf(() =>
    fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      ...(keepalive ? { keepalive } : {}),
    }),
  )
}

/** Reads JSON from the app's own API. */
export async function fetchJson<Value>(path: string, signal?: AbortSignal): Promise<SendOutcome<Value>> {
  return answerOf(() => fetch(path, { signal }))
}

/** Sends a file as it is. */
export async function sendFile<Value = unknown>(path: string, file: Blob): Promise<SendOutcome<Value>> {
  return answerOf(() =>
    fetch(path, { method: 'POST', headers: { 'content-type': 'application/octet-stream' }, body: file }),
  )
}

async function answerOf<Value>(ask: () => Promise<Response>): Promise<SendOutcome<Value>> {
  try {
    const response = await ask()
    const body = await response.json()
    return response.ok ? { ok: true, value: body } : { ok: false, problem: body }
  } catch {
    return { ok: false, problem: NO_ANSWER }
  }
}
