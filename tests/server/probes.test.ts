import { spawn } from 'node:child_process'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import fc from 'fast-check'
import knexFactory from 'knex'
import { POST as postReadings } from '@/app/api/v1/readings/route'
import { KEY_LIMIT } from '@/domain/firm/api-key'
import { closeDatabase } from '@/server/platform/db/connection'
import { closeQueue } from '@/server/platform/queue/queue'
import { endApiKey, keyFor, makeApiKey } from '@/server/firm/api-keys'
import { inFirm } from '@/server/platform/db/firm-transaction'
import { addPond } from '@/server/ponds/ponds'
import { logReadings } from '@/server/water/readings'
import { takeProbeReadings } from '@/server/water/probes'
import { readingsOf } from '../../stand-ins/pond-probes/readings'
import { pondOnFile } from '../fixtures/pond-on-file'
import { makeFirm, newPond } from '../fixtures/firm'
import { problemOf } from '../fixtures/problem-of'

const servers: Server[] = []
afterAll(async () => {
  for (const server of servers) server.close()
  await closeQueue()
  await closeDatabase()
})

async function probed(name: string) {
  const firm = await makeFirm(name)
  const pondId = await addPond(firm.actors.owner, newPond())
  const { id, token } = await makeApiKey(firm.actors.owner, { name: 'Probe', scope: 'readings' })
  const key = (await keyFor('readings', `Bearer ${token}`))!
  /** All that is kept, beside what the pond's page shows of it. */
  const readings = () =>
    inFirm(firm.firmId, async (trx) =>
      (await trx('readings').where({ pond_id: pondId })).map((r) => ({
        kind: r.kind as string,
        method: r.method as string,
        takenAt: r.taken_at.toISOString() as string,
      })),
    )
  return { ...firm, pondId, keyId: id, token, key, readings }
}
const NOW = Date.UTC(2026, 5, 1, 12) / 1000

describe('probes', () => {
  it('hand readings in late, out of order and twice, and each counts once', async () => {
    const { key, pondId, readings } = await probed('Probe one')
    const pack = readingsOf([pondId], NOW, 6, true)
    const now = new Date(NOW * 1000)
    expect(await takeProbeReadings(key, pack, now)).toEqual({ kept: 48, already: 0, refused: [] })
    expect(await takeProbeReadings(key, [...pack].reverse(), now)).toEqual({ kept: 0, already: 48, refused: [] })
    expect(await takeProbeReadings(key, [pack[0]!, pack[0]!, { ...pack[0], t: NOW - 999 }], now)).toMatchObject({
      kept: 1,
      already: 2,
    })
    const kept = await readings()
    expect(kept).toHaveLength(49)
    expect(kept.every((r) => r.method === 'probe')).toBe(true)
  })
  it('do not crowd out what people tested: older days are thinned to their lowest oxygen', async () => {
    const { actors, key, pondId } = await probed('Probe four')
    await logReadings(actors.technician, pondId, {
      readings: { dissolvedOxygen: { value: 9, belowStep: false } },
      method: 'drops',
      at: new Date(NOW * 1000).toISOString(),
      confirmedUnlikely: false,
    })
    const pack = readingsOf([pondId], NOW, 6, false)
    await takeProbeReadings(key, pack, new Date(NOW * 1000))
    const shown = (await pondOnFile(actors.owner, pondId)).readings.filter((r) => r.kind === 'dissolvedOxygen')
    const lowest = Math.min(...pack.filter((r) => r.n.endsWith('dissolvedOxygen')).map((r) => r.v))
    expect(shown.map((r) => [r.method, r.value]).sort()).toEqual([
      ['drops', 9],
      ['probe', lowest],
    ])
  })
  it('whatever the order and the cuts, the same readings stand in the end', async () => {
    const { key, readings, pondId } = await probed('Probe two')
    const all = readingsOf([pondId], NOW, 5, false)
    await fc.assert(
      fc.asyncProperty(fc.array(fc.subarray(all, { minLength: 1 }), { minLength: 1, maxLength: 4 }), async (packs) => {
        for (const pack of packs) await takeProbeReadings(key, pack, new Date(NOW * 1000))
      }),
      { numRuns: 8 },
    )
    await takeProbeReadings(key, all, new Date(NOW * 1000))
    const kept = await readings()
    expect(kept.map((r) => `${r.kind} ${r.takenAt}`).sort()).toEqual(
      all.map((r) => `${r.n.split('/')[1]} ${new Date(r.t * 1000).toISOString()}`).sort(),
    )
  })
  it('are told which record cannot be taken and why; the others are', async () => {
    const { key, pondId } = await probed('Probe three')
    const other = await probed('Probe of another firm')
    const base = { u: 'Cel', v: 12, t: NOW }
    const answer = await takeProbeReadings(
      key,
      [
        { n: `${pondId}/waterTemp`, ...base },
        { n: `${pondId}/waterTemp`, ...base, v: 900, t: NOW - 60 },
        { n: `${other.pondId}/waterTemp`, ...base },
        { n: `${pondId}/waterTemp`, ...base, t: NOW + 9000 },
        { n: 'nonsense', ...base },
      ],
      new Date(NOW * 1000),
    )
    expect(answer).toMatchObject({ kept: 1, refused: [{ index: 1 }, { index: 2 }, { index: 3 }, { index: 4 }] })
    expect(await other.readings()).toEqual([])
  })
})

describe('a key', () => {
  it('opens what it is for and nothing else, until it is revoked', async () => {
    const { actors, token, keyId } = await probed('Keys')
    expect(await keyFor('calc', `Bearer ${token}`)).toBeUndefined()
    expect(await keyFor('readings', 'Bearer guess')).toBeUndefined()
    expect(await keyFor('readings', null)).toBeUndefined()
    expect((await problemOf(makeApiKey(actors.office, { name: 'x', scope: 'calc' }))).kind).toBe('forbidden')
    await endApiKey(actors.owner, keyId)
    expect(await keyFor('readings', `Bearer ${token}`)).toBeUndefined()
  })
  it('may be used so often a minute', async () => {
    const { token, keyId } = await probed('Keys in a hurry')
    const owner = knexFactory({ client: 'pg', connection: process.env.OWNER_DATABASE_URL, pool: { min: 0, max: 1 } })
    await owner('api_keys')
      .where({ id: keyId })
      .update({ uses: KEY_LIMIT.perMinute, minute: owner.raw(`date_trunc('minute', now())`) })
    await owner.destroy()
    expect(await problemOf(keyFor('readings', `Bearer ${token}`))).toMatchObject({ kind: 'too-many', retryAfterS: 60 })
  })
  it('is asked for at the door, and a pack that is none is refused by name', async () => {
    const { token } = await probed('Keys at the door')
    const post = (body: string, authorization?: string) =>
      postReadings(
        new Request('http://app/api/v1/readings', {
          method: 'POST',
          body,
          headers: authorization ? { authorization } : {},
        }),
      )
    expect((await post('[]')).status).toBe(401)
    expect((await post('[]', `Bearer ${token}`)).status).toBe(422)
    expect((await post('{"n": 1}', `Bearer ${token}`)).status).toBe(422)
    expect((await post('not json', `Bearer ${token}`)).status).toBe(400)
    expect((await post('[{"n":"x/ph","u":"pH","v":7}]', `Bearer ${token}`)).status).toBe(200)
  })
})

describe('the probes stand-in', () => {
  it('posts what it gathered to an app, with its key', async () => {
    const seen: { authorization?: string; body: unknown }[] = []
    const app = createServer((request, response) => {
      let text = ''
      request.on('data', (part) => (text += part))
      request.on('end', () => {
        seen.push({ authorization: request.headers.authorization, body: JSON.parse(text) })
        response.writeHead(200, { 'content-type': 'application/json' })
        response.end('{"kept":1}')
      })
    })
    servers.push(app)
    await new Promise<void>((resolve) => app.listen(0, '127.0.0.1', resolve))
    const { port } = app.address() as AddressInfo
    const probes = spawn(process.execPath, ['--import', 'tsx', 'stand-ins/pond-probes/server.ts'], {
      env: { ...process.env, APP_ADDRESS: `http://127.0.0.1:${port}`, API_KEY: 'secret', PONDS: 'a-pond' },
    })
    const line = await new Promise<string>((resolve) => probes.stdout.on('data', (text) => resolve(String(text))))
    const address = `http://127.0.0.1:${/\d+/.exec(line)![0]}`
    try {
      const answer = await (await fetch(`${address}/send?hours=2&twice=1`, { method: 'POST' })).json()
      expect(answer).toMatchObject({ records: 16, answers: [{ status: 200 }, { status: 200 }] })
      expect(seen[0]!.authorization).toBe('Bearer secret')
      expect(seen[0]!.body).toEqual(seen[1]!.body)
    } finally {
      probes.kill('SIGTERM')
    }
  })
})
