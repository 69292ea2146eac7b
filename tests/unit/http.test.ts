import { gunzipSync } from 'node:zlib'
import { z } from 'zod'
import { DomainError } from '@/core/errors'
import { badField, notFound, ProblemError, refused } from '@/domain/shared/problems'
import { answerError } from '@/server/platform/http/problem-response'
import { smallJson } from '@/server/platform/http/small-json'
import { JSON_LIMIT_BYTES, readJson, readLimited } from '@/server/platform/http/request-body'
import { inWords, said } from '@/domain/shared/said'

const post = (body: BodyInit) =>
  new Request('http://app.example/', { method: 'POST', body, duplex: 'half' } as RequestInit)

describe('answers to what goes wrong', () => {
  const zodError = z
    .strictObject({
      length: z.number({ error: said('kit.fields.missing', { noun: { text: 'ponds.fields.length' } }) }),
    })
    .safeParse({}).error!
  it.each([
    ['an unknown id', notFound('pond'), 404, 'not-found'],
    ['a wrong figure', badField('zones.0.depth', inWords('Too deep.')), 422, 'bad-input'],
    ['a rule of the work', refused(said('field.problems.fishStay')), 409, 'refused'],
    [
      'a stale save',
      new ProblemError({
        kind: 'conflict',
        message: said('kit.problems.someoneElseSavedWhileYou'),
        current: { version: 3 },
      }),
      409,
      'conflict',
    ],
    ['a missing right', new ProblemError({ kind: 'forbidden', message: inWords('No.') }), 403, 'forbidden'],
    ['a shape that does not parse', zodError, 422, 'bad-input'],
    ['a core range', new DomainError('tempC', 99, 'between 0 and 40'), 422, 'bad-input'],
    ['a lost database', Object.assign(new Error('connect'), { code: 'ECONNREFUSED' }), 503, 'unavailable'],
    ['anything else', new Error('secret inside: /srv/app/file.ts:3'), 500, 'unexpected'],
  ])('%s', async (_, error, status, kind) => {
    const answer = answerError(error)
    const body = await answer.json()
    expect([answer.status, body.kind]).toEqual([status, kind])
    expect(answer.headers.get('content-type')).toBe('application/problem+json')
    expect(JSON.stringify(body)).not.toContain('secret inside')
  })
  it('name the field of a shape that does not parse', async () =>
    expect((await answerError(zodError).json()).fields).toEqual([{ path: 'length', message: 'Length is missing.' }]))
  it('show what stands now after a stale save', async () => {
    const error = new ProblemError({
      kind: 'conflict',
      message: said('kit.problems.someoneElseSavedWhileYou'),
      current: { version: 3 },
    })
    expect((await answerError(error).json()).current).toEqual({ version: 3 })
  })
  it('say how long to wait after too many attempts', () =>
    expect(
      answerError(new ProblemError({ kind: 'too-many', message: inWords('Wait.'), retryAfterS: 40 })).headers.get(
        'retry-after',
      ),
    ).toBe('40'))
})

describe('bodies', () => {
  it('are read as JSON, an empty one as nothing given', async () => {
    expect(await readJson(post('{"a": 1}'))).toEqual({ a: 1 })
    expect(await readJson(post(''))).toEqual({})
  })
  it('that are no JSON are refused with 400', async () =>
    expect(readJson(post('{"a": NaN}'))).rejects.toMatchObject({ status: 400 }))
  it('beyond the limit are refused with 413, whether they say their size or not', async () => {
    await expect(readJson(post('x'.repeat(JSON_LIMIT_BYTES + 1)))).rejects.toMatchObject({ status: 413 })
    let sent = 0
    const endless = new ReadableStream({
      pull(controller) {
        sent += 1000
        controller.enqueue(new Uint8Array(1000))
      },
    })
    await expect(readLimited(post(endless), 10_000)).rejects.toMatchObject({ status: 413 })
    expect(sent).toBeLessThan(50_000)
  })
})

describe('JSON for poor links', () => {
  const asked = (accept: string) => new Request('http://app.example/', { headers: { accept } })
  const body = { visits: Array.from({ length: 50 }, () => ({ title: 'Photograph the pond as found' })) }
  it('is gzipped for those who say that they unpack it', async () => {
    const answer = await smallJson(asked('application/gzip'), body, { etag: '"t"' })
    const bytes = Buffer.from(await answer.arrayBuffer())
    expect(answer.headers.get('content-type')).toBe('application/gzip')
    expect(JSON.parse(gunzipSync(bytes).toString())).toEqual(body)
    expect(bytes.length).toBeLessThan(JSON.stringify(body).length / 5)
    expect(answer.headers.get('etag')).toBe('"t"')
  })
  it('is plain for everybody else, and caches keep the two apart', async () => {
    const answer = await smallJson(asked('application/json'), body, {})
    expect(await answer.json()).toEqual(body)
    expect(answer.headers.get('vary')).toBe('accept')
  })
})
