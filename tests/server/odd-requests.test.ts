import { readdirSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import { relative, resolve } from 'node:path'
import type { CrewId, PondId, VisitId } from '@/domain/shared/ids'
import { SESSION_COOKIE, startSession } from '@/server/platform/auth/sessions'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { addPond } from '@/server/ponds/ponds'
import { planVisit } from '@/server/visits/visit-planning'
import { makeFirm, newPond } from '../fixtures/firm'

const cookie: { token: string | undefined } = { token: undefined }
jest.mock('next/headers', () => ({
  headers: async () => new Headers(),
  cookies: async () => ({
    get: (name: string) => (name === SESSION_COOKIE && cookie.token ? { value: cookie.token } : undefined),
    set: () => {},
    delete: () => {},
  }),
}))

afterAll(async () => {
  await closeQueue()
  await closeDatabase()
})

const API = resolve(__dirname, '../../src/app/api')
/** Doors that would end the session or make the first firm of an empty database; calculations have their own tests. */
const LEFT_OUT = ['v1/sign-out', 'v1/first-firm', 'v1/calc/[name]']
const ROUTES = readdirSync(API, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('/route.ts'))
  .map((file) => file.replace(/\/route\.ts$/, ''))
  .filter((route) => !LEFT_OUT.includes(route))
  .sort()
const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const

const NUL = '\u0000'
const ODD_TEXTS = [
  '',
  ' ',
  'x',
  `a${NUL}b`,
  '\ud800',
  '../../etc',
  '%',
  '%E0%A4%A',
  "';--",
  '<b>',
  'é'.repeat(400),
  '0',
  '-1',
  '9'.repeat(40),
]
const ODD_DAYS = [
  '0000-01-01',
  '0001-01-01',
  '9999-12-31',
  '2027-02-30',
  '2027-2-3',
  '+12027-01-01',
  'NaN',
  '2027-04-09T08:00:00Z',
  '2027-04-09',
]
const ODD_VALUES: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  1.5,
  1e308,
  -1e308,
  2 ** 53,
  1e-320,
  [],
  {},
  [null],
  [[[[]]]],
  { __proto__: null, a: 1 },
  ...ODD_TEXTS,
  ...ODD_DAYS,
]
const ODD_BODIES = [
  '',
  '{',
  'null',
  '[]',
  '"x"',
  '12',
  '{}',
  '{"__proto__":{"a":1}}',
  `{"a":"${'\\u0000'}"}`,
  '['.repeat(3000),
  `{"id":"\\ud800"}`,
  '{"a":1e999}',
]
const QUERY_NAMES = ['from', 'to', 'day', 'year', 'size', 'source', 'step', 'at', 'pairOf', 'sketchOf', 'q', 'dry']

/** A small generator with a fixed beginning: the same requests in every run. */
function dice(seed: number) {
  let state = seed
  return <T>(list: readonly T[]): T => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return list[Math.floor((state / 2 ** 32) * list.length)]!
  }
}

interface Here {
  readonly pondId: PondId
  readonly crewId: CrewId
  readonly visitId: VisitId
}

/** Ids that are there may be read and written to; nothing is deleted, so that every request meets them. */
const idsFor = (name: string, here: Here, method: string): readonly string[] => {
  const real = method !== 'DELETE' && name in here ? [here[name as keyof Here], here[name as keyof Here]] : []
  return [...real, randomUUID(), ...ODD_TEXTS]
}

/** Sets a value at a path such as `readings.0.value`, making what is missing on the way. */
function put(body: Record<string, unknown>, path: string, value: unknown): void {
  const keys = path.split('.').filter((key) => key !== '__proto__')
  let at: Record<string, unknown> = body
  keys.slice(0, -1).forEach((key) => {
    if (typeof at[key] !== 'object' || at[key] === null) at[key] = {}
    at = at[key] as Record<string, unknown>
  })
  if (keys.length > 0) at[keys.at(-1)!] = value
}

const ROUNDS = Number(process.env.ODD_ROUNDS ?? 14)
/** How often a refused body is sent again with the fields that the refusal named filled in. */
const MENDS = 4

const LEAST = 4000
const MAX_MS = 4000

describe('odd requests', () => {
  it('are refused with the reason, never with a 500', async () => {
    const { actors, crewId } = await makeFirm('Odd')
    const pondId = await addPond(actors.owner, newPond())
    const visitId = await planVisit(actors.owner, {
      pondId,
      visitType: 'routine',
      day: '2099-05-05',
      startTime: '08:00',
      crewId,
      note: '',
    })
    cookie.token = await startSession(actors.owner.userId)
    const here = { pondId, crewId, visitId }
    const pick = dice(20261129)
    const broken: string[] = []
    let sent = 0
    let slowest = 0

    for (const route of ROUTES) {
      const handlers = (await import(`${relative(__dirname, API)}/${route}/route`)) as Record<
        string,
        (request: Request, context: unknown) => Promise<Response>
      >
      const names = [...route.matchAll(/\[(\w+)\]/g)].map((m) => m[1])
      for (const method of METHODS.filter((m) => typeof handlers[m] === 'function')) {
        const ask = async (text: string | undefined) => {
          const params = Object.fromEntries(names.map((name) => [name, pick(idsFor(name!, here, method))]))
          const url = new URL(`http://127.0.0.1/api/${encodeURI(route)}`)
          for (const name of QUERY_NAMES)
            if (pick([true, false, false])) url.searchParams.set(name, String(pick([...ODD_DAYS, ...ODD_TEXTS])))
          const request = new Request(url, {
            method,
            body: method === 'GET' ? undefined : text,
            headers: { 'content-type': 'application/json' },
          })
          sent++
          const began = performance.now()
          const response = await handlers[method]!(request, { params: Promise.resolve(params) })
          const answer = await response.text()
          slowest = Math.max(slowest, performance.now() - began)
          if (response.status >= 500 && response.status !== 503)
            broken.push(`${method} ${route} ${JSON.stringify(params)} ${url.search} ${text?.slice(0, 200)}: ${answer}`)
          return { status: response.status, answer }
        }
        for (let round = 0; round < ROUNDS; round++) {
          if (method === 'GET') {
            await ask(undefined)
            continue
          }
          await ask(pick(ODD_BODIES))
          const body: Record<string, unknown> = {}
          for (let mend = 0; mend < MENDS; mend++) {
            const { status, answer } = await ask(JSON.stringify(body))
            if (status !== 422) break
            for (const { path } of (JSON.parse(answer) as { fields?: { path: string }[] }).fields ?? [])
              put(body, path, structuredClone(pick(ODD_VALUES)))
          }
        }
      }
    }
    expect(broken).toEqual([])
    expect(sent).toBeGreaterThanOrEqual(LEAST)
    // none may hold anybody up; twice the bar, since other tests run beside
    expect(slowest).toBeLessThan(MAX_MS)
    if (process.env.ODD_ROUNDS)
      console.log(`${sent} odd requests over ${ROUTES.length} routes, slowest ${slowest.toFixed(0)} ms`)
  }, 600_000)
})
