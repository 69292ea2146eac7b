import { stateAfter } from '@/domain/field/field-log'
import type { FieldPack, FieldVisit } from '@/domain/field/field-pack'
import type { Entry } from '@/domain/visits/visit'
import type { DeviceDb, KeptVisit, WaitingLine } from './device-db'
import { NoAnswer, type Office } from './office'

/** Lines go out this many at a time, so that a slow link that breaks off has moved something. */
const BATCH = 100

export type SyncOutcome = 'synced' | NoAnswer['why']

/**
 * Sends what waits, in its order, then photos, then hears what is new. Broken off anywhere and begun again it sends
 * the same ids, so
 * that nothing is doubled; what is not answered for stays.
 */
export async function syncDevice(db: DeviceDb, office: Office): Promise<SyncOutcome> {
  try {
    await forgetTaken(db)
    const facts = await db.facts.get('device')
    if (facts) {
      await sendLines(db, office, facts.person.userId).catch(otherPersonIsLearntFromThePack)
      await sendPhotos(db, office, facts.person.userId)
    }
    const news = await office.pack(facts?.packTag ?? null)
    if (news) await keepPack(db, news.pack, news.tag)
    else await db.facts.update('device', { heardAt: new Date().toISOString() })
    return 'synced'
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error
    if (error.why === 'shut-out') await forgetRounds(db)
    return error.why
  }
}

const otherPersonIsLearntFromThePack = (error: unknown): void => {
  if (!(error instanceof NoAnswer && error.why === 'other-person')) throw error
}

async function sendLines(db: DeviceDb, office: Office, userId: string): Promise<void> {
  for (;;) {
    const waiting = await db.lines.where({ userId, state: 'waiting' }).sortBy('seq')
    if (waiting.length === 0) return
    const batch = waiting.slice(0, BATCH)
    const { results, clockOffsetMs } = await sendParts(office, userId, batch)
    if (clockOffsetMs !== undefined) await db.facts.update('device', { clockOffsetMs })
    const outcomes = new Map(results.map((o) => [o.id, o]))
    await db.transaction('rw', db.lines, db.visits, db.facts, async () => {
      const facts = await db.facts.get('device')
      const [name, offsetMs] = [facts?.person.name ?? '', facts?.clockOffsetMs ?? 0]
      for (const line of batch) {
        const outcome = outcomes.get(line.id)
        if (!outcome) continue
        if (outcome.outcome === 'refused')
          await db.lines.update(line.seq, { state: 'refused', problem: outcome.problem ?? null })
        else await taken(db, line, name, offsetMs)
      }
    })
    // an office that answers for none of them would be asked for ever
    if (!batch.some((line) => outcomes.has(line.id))) throw new NoAnswer('no-signal')
  }
}

const TOO_MUCH = { title: '', status: 413, kind: 'too-large' } as const

/** Sends lines together; where they cannot be taken so, in halves, down to the one that is refused by itself. */
async function sendParts(office: Office, userId: string, batch: readonly WaitingLine[]): ReturnType<Office['send']> {
  try {
    return await office.send(userId, batch)
  } catch (error) {
    if (!(error instanceof NoAnswer && error.why === 'too-much')) throw error
    if (batch.length === 1) return { results: [{ id: batch[0]!.id, outcome: 'refused', problem: TOO_MUCH }] }
    const middle = Math.ceil(batch.length / 2)
    const first = await sendParts(office, userId, batch.slice(0, middle))
    const rest = await sendParts(office, userId, batch.slice(middle))
    return { results: [...first.results, ...rest.results], clockOffsetMs: rest.clockOffsetMs ?? first.clockOffsetMs }
  }
}

/** From the waiting lines into the kept log, in one step, so that it is never missing from what is seen. */
async function taken(db: DeviceDb, line: WaitingLine, byName: string, offsetMs: number): Promise<void> {
  const kept = await db.visits.get(line.visitId)
  // its state goes along: until the rounds come anew, the visit would fall back to before this line
  if (kept)
    await db.visits.update(line.visitId, {
      log: withLine(kept.log, ownEntry(line, byName, offsetMs)),
      visit: { ...kept.visit, state: stateAfter(kept.visit.state, line.entry) },
    })
  await db.lines.update(line.seq, { state: 'taken', takenAt: Date.now() })
}

/** Views have long read the log by then. */
const TAKEN_STAYS_MS = 10_000

const forgetTaken = (db: DeviceDb) =>
  db.lines.filter((line) => line.state === 'taken' && (line.takenAt ?? 0) < Date.now() - TAKEN_STAYS_MS).delete()

/**
 * A line of this device as a log has it, dated by the office's clock.
 * @param offsetMs how far that is ahead of this device's
 */
export const ownEntry = ({ entry, userId }: WaitingLine, byName: string, offsetMs: number): Entry =>
  ({
    ...entry,
    at: offsetMs === 0 ? entry.at : new Date(Date.parse(entry.at) + offsetMs).toISOString(),
    byId: userId,
    byName,
    receivedAt: new Date(Date.now() + offsetMs).toISOString(),
  }) as Entry

const withLine = (log: readonly Entry[], entry: Entry): readonly Entry[] =>
  log.some((e) => e.id === entry.id) ? log : [...log, entry]

async function sendPhotos(db: DeviceDb, office: Office, userId: string): Promise<void> {
  // by their keys, so that forty images are not all in memory at once
  const ids = await db.photos.where({ userId, state: 'waiting' }).primaryKeys()
  for (const id of ids) {
    const photo = await db.photos.get(id)
    const image = await db.images.get(id)
    if (!photo || !image) continue
    // its visit may have to be started there first
    if (
      (await db.lines
        .where({ visitId: photo.visitId })
        .filter((l) => l.state === 'waiting' && l.entry.kind === 'started')
        .count()) > 0
    )
      continue
    const offsetMs = (await db.facts.get('device'))?.clockOffsetMs ?? 0
    const problem = await office.sendPhoto(
      {
        ...photo,
        takenAt: offsetMs === 0 ? photo.takenAt : new Date(Date.parse(photo.takenAt) + offsetMs).toISOString(),
      },
      image.bytes,
    )
    await db.photos.update(id, problem ? { state: 'refused', problem } : { state: 'sent' })
    if (!problem) await db.images.delete(id)
  }
}

/** Takes the rounds over as the office has them. Logs only ever grow: a line that was heard of once stays. */
async function keepPack(db: DeviceDb, pack: FieldPack, tag: string): Promise<void> {
  await db.transaction('rw', [db.visits, db.lines, db.photos, db.images, db.facts], async () => {
    const before = new Map((await db.visits.toArray()).map((v) => [v.id, v]))
    const wanted = new Set<string>(pack.visits.map((v) => v.visit.id))
    const needed = new Set(
      (await db.lines.toArray()).filter((line) => line.state !== 'taken').map((line) => line.visitId),
    )
    await db.photos.filter((photo) => photo.state !== 'sent').each((photo) => needed.add(photo.visitId))
    const gone = [...before.keys()].filter((id) => !wanted.has(id) && !needed.has(id) && !before.get(id)!.opened)
    await db.visits.bulkDelete(gone)
    const goneImages = await db.photos.where('visitId').anyOf(gone).primaryKeys()
    await db.photos.bulkDelete(goneImages)
    await db.images.bulkDelete(goneImages)
    await db.visits.bulkPut(pack.visits.map((found) => merged(before.get(found.visit.id), found, false)))
    const { clockOffsetMs } = (await db.facts.get('device')) ?? {}
    await db.facts.put({
      key: 'device',
      clockOffsetMs,
      person: pack.person,
      today: pack.today,
      products: pack.products,
      packTag: tag,
      heardAt: pack.madeAt,
    })
  })
}

/** One visit that was opened by itself. */
export async function keepVisit(db: DeviceDb, found: FieldVisit): Promise<void> {
  await db.transaction('rw', db.visits, async () => {
    const before = await db.visits.get(found.visit.id)
    await db.visits.put(merged(before, found, before?.opened ?? true))
  })
}

const merged = (before: KeptVisit | undefined, found: FieldVisit, opened: boolean): KeptVisit => ({
  ...found,
  id: found.visit.id,
  opened,
  log: [...found.log, ...(before?.log ?? []).filter((entry) => !found.log.some((e) => e.id === entry.id))],
})

/**
 * A device that was shut out forgets its rounds; only what its people wrote and nobody has yet stays, for when they
 * sign in again.
 */
async function forgetRounds(db: DeviceDb): Promise<void> {
  await db.transaction('rw', db.visits, db.photos, db.facts, async () => {
    await db.visits.clear()
    await db.photos.filter((photo) => photo.state === 'sent').delete()
    await db.facts.clear()
  })
}
