import { fileText } from '@/domain/shared/file-text'
import { badField } from '@/domain/shared/problems'
import { unstorablePath } from '@/domain/shared/clean-text'
import { problemJson } from './problem-response'
import { firmTexts } from '@/messages/texts'

export const JSON_LIMIT_BYTES = 1_000_000

/** Reads at most `limit` bytes of a body. @throws {Response} 413 with the limit in words */
export async function readLimited(request: Request, limit: number): Promise<Buffer> {
  const tooLarge = () =>
    problemJson({
      title: firmTexts()('kit.problems.tooLargeMb', { most: limit / 1e6 }),
      status: 413,
      kind: 'too-large',
    })
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge()
  const chunks: Uint8Array[] = []
  let size = 0
  const reader = request.body?.getReader()
  for (;;) {
    const part = await reader?.read()
    if (!part || part.done) break
    size += part.value.length
    if (size > limit) {
      await reader!.cancel()
      throw tooLarge()
    }
    chunks.push(part.value)
  }
  return Buffer.concat(chunks)
}

/**
 * @param cleaned the use case makes its texts storable itself
 * @throws {Response} 400 when the body is not JSON, 422 where a text in it cannot be stored
 */
export async function readJson(request: Request, cleaned = false): Promise<unknown> {
  const text = (await readLimited(request, JSON_LIMIT_BYTES)).toString('utf8')
  let body: unknown
  try {
    body = JSON.parse(text === '' ? '{}' : text)
  } catch {
    throw problemJson({ title: firmTexts()('kit.problems.notJson'), status: 400, kind: 'bad-json' })
  }
  const wrong = cleaned ? null : unstorablePath(body)
  if (wrong) {
    const message = firmTexts()('kit.problems.unstorable')
    throw problemJson({ title: message, status: 422, kind: 'bad-input', fields: [{ path: wrong.join('.'), message }] })
  }
  return body
}

/**
 * The text of a file in a body, whatever letters it was written in.
 * @throws {Response} 413 when it is too large
 * @throws {ProblemError} letters that cannot be read for certain
 */
export async function readFileText(request: Request): Promise<string> {
  const file = fileText(await readLimited(request, JSON_LIMIT_BYTES))
  if (!file.ok) throw badField('file', file.message)
  return file.text
}

/** Whether only a look at what a file would do was asked for. */
export const isPreview = (request: Request): boolean => new URL(request.url).searchParams.has('preview')
