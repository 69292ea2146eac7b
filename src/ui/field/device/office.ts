import type { LineOutcome } from '@/domain/field/field-log'
import { PACK_FORMAT, type FieldPack, type FieldVisit } from '@/domain/field/field-pack'
import type { ProblemBody } from '@/domain/shared/problems'
import type { DevicePhoto, WaitingLine } from './device-db'

/** What a device says to the office and hears from it. Everything but `NoAnswer` is an answer. */
export interface Office {
  /** @throws {NoAnswer} 'too-much' where the lines cannot be taken together */
  send(
    userId: string,
    lines: readonly Pick<WaitingLine, 'visitId' | 'entry'>[],
  ): Promise<{ results: LineOutcome[]; clockOffsetMs?: number }>
  /** @returns null once it is kept, else why it cannot be */
  sendPhoto(photo: DevicePhoto, image: ArrayBuffer): Promise<ProblemBody | null>
  /** @returns null while nothing has changed since `tag` */
  pack(tag: string | null): Promise<{ pack: FieldPack; tag: string } | null>
  visit(id: string): Promise<FieldVisit>
}

/** Why the office did not answer as wished. */
export class NoAnswer extends Error {
  constructor(
    readonly why: 'no-signal' | 'signed-out' | 'shut-out' | 'other-person' | 'not-found' | 'too-much' | 'other-version',
  ) {
    super(why)
    this.name = 'NoAnswer'
  }
}

const TIMEOUT_MS = 20_000
/** Photos on a slow link take their time. */
const PHOTO_TIMEOUT_MS = 120_000

async function ask(path: string, init: RequestInit = {}, timeoutMs = TIMEOUT_MS): Promise<Response> {
  let response: Response
  try {
    response = await fetch(path, { ...init, signal: AbortSignal.timeout(timeoutMs) })
  } catch {
    throw new NoAnswer('no-signal')
  }
  if (response.status === 401) {
    const body = (await response.json().catch(() => null)) as ProblemBody | null
    throw new NoAnswer(body?.kind === 'shut-out' ? 'shut-out' : 'signed-out')
  }
  if (response.status === 404) throw new NoAnswer('not-found')
  // a server that is starting or has lost its database: later
  if (response.status >= 500) {
    const body = (await response.json().catch(() => null)) as ProblemBody | null
    throw new NoAnswer(body?.kind === 'other-version' ? 'other-version' : 'no-signal')
  }
  return response
}

async function unpacked(response: Response): Promise<FieldPack> {
  const gzipped = response.headers.get('content-type') === 'application/gzip' && response.body
  try {
    return (await (
      gzipped ? new Response(response.body.pipeThrough(new DecompressionStream('gzip'))) : response
    ).json()) as FieldPack
  } catch {
    // the link broke off in the middle
    throw new NoAnswer('no-signal')
  }
}

/** The office by way of the app's own API. */
export const httpOffice: Office = {
  async send(userId, lines) {
    const body = JSON.stringify({
      userId,
      sentAt: new Date().toISOString(),
      lines: lines.map(({ visitId, entry }) => ({ visitId, entry })),
    })
    const response = await ask('/api/v1/field/sync', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    })
    // too large, or not understood as a whole: in smaller parts the one that is wrong can be told
    if (response.status === 413 || response.status === 422 || response.status === 400) throw new NoAnswer('too-much')
    if (!response.ok) throw new NoAnswer('other-person')
    return (await response.json()) as { results: LineOutcome[]; clockOffsetMs: number }
  },
  async sendPhoto({ id, visitId, stepKey, takenAt, pairOf, sketchOf }, image) {
    const facts = new URLSearchParams({
      step: stepKey,
      at: takenAt,
      ...(pairOf ? { pairOf } : {}),
      ...(sketchOf ? { sketchOf } : {}),
    })
    const headers = { 'content-type': 'application/octet-stream' }
    const response = await ask(
      `/api/v1/visits/${visitId}/photos/${id}?${facts}`,
      { method: 'PUT', headers, body: image },
      PHOTO_TIMEOUT_MS,
    )
    return response.ok ? null : ((await response.json()) as ProblemBody)
  },
  async pack(tag) {
    const small = 'DecompressionStream' in globalThis
    const headers = {
      accept: small ? 'application/gzip' : 'application/json',
      ...(tag ? { 'if-none-match': tag } : {}),
    }
    const response = await ask(`/api/v1/field/pack?format=${PACK_FORMAT}`, { headers })
    if (response.status === 304) return null
    return { pack: await unpacked(response), tag: response.headers.get('etag') ?? '' }
  },
  async visit(id) {
    return (await (await ask(`/api/v1/field/visits/${id}?format=${PACK_FORMAT}`)).json()) as FieldVisit
  },
}
