import { gzipSync } from 'node:zlib'
import type { DevicePhoto } from './device-db'
import { httpOffice, NoAnswer } from './office'

const PACK = { person: { userId: 'u' }, today: '2027-03-20', visits: [] }
const fetched = jest.fn<Promise<Response>, [string, RequestInit]>()
beforeAll(() => {
  globalThis.fetch = fetched as never
})
beforeEach(() => fetched.mockReset())
const answers = (body: BodyInit | null, init: ResponseInit = {}) => fetched.mockResolvedValue(new Response(body, init))
const why = (promise: Promise<unknown>) =>
  promise.then(
    () => 'answered',
    (error: unknown) => (error instanceof NoAnswer ? error.why : `other: ${String(error)}`),
  )
const photo = {
  id: 'ph1',
  visitId: 'v1',
  stepKey: 'arrive-photos',
  takenAt: '2027-03-20T08:00:00Z',
  pairOf: null,
  sketchOf: 'ph0',
} as unknown as DevicePhoto

describe('rounds from the office', () => {
  const packed = { status: 200, headers: { 'content-type': 'application/gzip', etag: '"t2"' } }
  it('come small, and are unpacked', async () => {
    answers(new Uint8Array(gzipSync(JSON.stringify(PACK))), packed)
    expect(await httpOffice.pack('"t1"')).toEqual({ pack: PACK, tag: '"t2"' })
    expect(fetched.mock.calls[0]![1].headers).toEqual({ accept: 'application/gzip', 'if-none-match': '"t1"' })
  })
  it('come as they are from an office that does not pack', async () => {
    answers(JSON.stringify(PACK), { headers: { 'content-type': 'application/json', etag: '"t2"' } })
    expect((await httpOffice.pack(null))!.pack).toEqual(PACK)
  })
  it('are nothing new while nothing changed', async () => {
    answers(null, { status: 304 })
    expect(await httpOffice.pack('"t1"')).toBeNull()
  })
  it('that broke off in the middle are no answer, and never half a day', async () => {
    const whole = gzipSync(JSON.stringify(PACK))
    answers(new Uint8Array(whole.subarray(0, whole.length - 12)), packed)
    expect(await why(httpOffice.pack(null))).toBe('no-signal')
    answers('{"visits": [', { headers: { 'content-type': 'application/json' } })
    expect(await why(httpOffice.pack(null))).toBe('no-signal')
  })
})

describe('no answer', () => {
  it('is told apart by what a person can do about it', async () => {
    fetched.mockRejectedValue(new TypeError('Failed to fetch'))
    expect(await why(httpOffice.visit('v1'))).toBe('no-signal')
    answers('{}', { status: 503 })
    expect(await why(httpOffice.visit('v1'))).toBe('no-signal')
    answers('{"kind":"other-version"}', { status: 503 })
    expect(await why(httpOffice.visit('v1'))).toBe('other-version')
    answers('{"kind":"not-signed-in"}', { status: 401 })
    expect(await why(httpOffice.visit('v1'))).toBe('signed-out')
    answers('{"kind":"shut-out"}', { status: 401 })
    expect(await why(httpOffice.visit('v1'))).toBe('shut-out')
    answers('not even JSON', { status: 401 })
    expect(await why(httpOffice.visit('v1'))).toBe('signed-out')
    answers('{}', { status: 404 })
    expect(await why(httpOffice.visit('v1'))).toBe('not-found')
    answers('{}', { status: 409 })
    expect(await why(httpOffice.send('u', []))).toBe('other-person')
    // what is too much together is sent in parts
    for (const status of [413, 422]) {
      answers('{}', { status })
      expect(await why(httpOffice.send('u', []))).toBe('too-much')
    }
  })
})

describe('what goes out', () => {
  it('is lines as they were written, without what the device notes beside them', async () => {
    answers('{"results":[{"id":"a","outcome":"kept"}]}')
    const line = {
      seq: 7,
      id: 'a',
      visitId: 'v1',
      userId: 'u',
      state: 'waiting',
      problem: null,
      entry: { kind: 'started', id: 'a', at: 'x' },
    }
    expect(await httpOffice.send('u', [line as never])).toEqual({ results: [{ id: 'a', outcome: 'kept' }] })
    expect(JSON.parse(fetched.mock.calls[0]![1].body as string)).toEqual({
      sentAt: expect.any(String),
      userId: 'u',
      lines: [{ visitId: 'v1', entry: line.entry }],
    })
  })
  it('is a photo under its own id, with what it belongs to', async () => {
    answers('{}')
    expect(await httpOffice.sendPhoto(photo, new ArrayBuffer(4))).toBeNull()
    const [path, init] = fetched.mock.calls[0]!
    const url = new URL(path, 'http://app.example')
    expect(url.pathname).toBe('/api/v1/visits/v1/photos/ph1')
    expect(Object.fromEntries(url.searchParams)).toEqual({ step: 'arrive-photos', at: photo.takenAt, sketchOf: 'ph0' })
    expect(init.method).toBe('PUT')
  })
  it('is a photo that cannot be kept with the reason', async () => {
    answers('{"title":"That is no picture.","status":422,"kind":"bad-input"}', { status: 422 })
    expect(await httpOffice.sendPhoto(photo, new ArrayBuffer(4))).toMatchObject({ title: 'That is no picture.' })
  })
})
