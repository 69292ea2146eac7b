import 'fake-indexeddb/auto'
import Dexie from 'dexie'
import { DeviceDb } from './device-db'

/** A device's store as the first version of the field sheet made it. */
async function oldStore(name: string): Promise<void> {
  const old = new Dexie(name)
  old.version(1).stores({
    visits: 'id',
    lines: '++seq, &id, visitId, [userId+state]',
    photos: 'id, visitId, [userId+state]',
    facts: 'key',
  })
  const media = {
    key: 'media',
    section: 'S',
    kind: 'decide',
    title: 'Media',
    gate: 'media-clean',
    choices: ['In pond water', 'In tap water, as a reset'],
  }
  const entry = (id: string, choice: string) => ({
    kind: 'done',
    id,
    stepKey: 'media',
    at: '2026-05-01T10:00:00Z',
    answer: { choice, note: '' },
  })
  await old.table('visits').add({
    id: 'v1',
    visit: { id: 'v1', job: { key: 'spring-startup', steps: [media] } },
    log: [entry('e1', 'In pond water')],
    heeds: ['Loose edge stone'],
    foretold: { madeAt: '2026-04-30T04:00:00Z', worries: [] },
  })
  await old.table('lines').add({
    id: 'l0',
    visitId: 'v1',
    userId: 'u',
    entry: entry('l0', 'In tap water, as a reset'),
    state: 'waiting',
    problem: null,
  })
  await old
    .table('lines')
    .add({ id: 'l1', visitId: 'v1', userId: 'u', entry: { kind: 'started' }, state: 'waiting', problem: null })
  await old.table('photos').bulkAdd([
    {
      id: 'waiting',
      visitId: 'v1',
      userId: 'u',
      state: 'waiting',
      image: new Uint8Array([1, 2, 3]).buffer,
      thumbnail: new ArrayBuffer(1),
    },
    { id: 'sent', visitId: 'v1', userId: 'u', state: 'sent', image: null, thumbnail: new ArrayBuffer(1) },
  ])
  old.close()
}

describe('the device’s store', () => {
  it('takes over what an older program kept: nothing that waits is lost', async () => {
    await oldStore('old')
    const db = new DeviceDb('old')
    // answers were kept by their words: they have codes now
    expect(await db.lines.toArray()).toMatchObject([
      { id: 'l0', entry: { answer: { choice: 'tap-water' } } },
      { id: 'l1', state: 'waiting' },
    ])
    const kept = (await db.visits.get('v1'))!
    expect(kept.visit.job.steps[0]!.choices!.map((c) => c.code)).toEqual(['pond-water', 'tap-water'])
    expect(kept.log[0]).toMatchObject({ answer: { choice: 'pond-water' } })
    // notes for the season and what the forecast said had other names
    expect(kept).toMatchObject({
      notesForNextSeason: ['Loose edge stone'],
      forecastRisks: { madeAt: '2026-04-30T04:00:00Z', risks: [] },
    })
    expect('heeds' in kept || 'foretold' in kept).toBe(false)
    expect(await db.visits.get('v1')).toMatchObject({ plants: [], care: [], recentDoses: [] })
    expect((await db.images.toArray()).map((i) => [i.id, [...new Uint8Array(i.bytes)]])).toEqual([
      ['waiting', [1, 2, 3]],
    ])
    // lists of photos are read at every change: without their images
    expect((await db.photos.toArray()).every((photo) => !('image' in photo))).toBe(true)
    db.close()
  })
  it('begins empty on a new device', async () => {
    const db = new DeviceDb('new')
    expect(await db.images.count()).toBe(0)
    db.close()
  })
})
