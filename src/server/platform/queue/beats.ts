import { randomUUID } from 'node:crypto'
import { database } from '@/server/platform/db/connection'

const id = randomUUID()
export const BEAT_EVERY_MS = 5000
/** A worker not heard of for so long is down. */
const DOWN_AFTER_S = 30
const FORGET_AFTER_S = 3600

/** This worker is alive. */
export async function beat(): Promise<void> {
  await database().raw(
    'insert into worker_beats (id, at) values (?, now()) on conflict (id) do update set at = now()',
    [id],
  )
  await database().raw('delete from worker_beats where at < now() - make_interval(secs => ?)', [FORGET_AFTER_S])
}

/** Says good-bye, so that its end is no death. */
export const endBeat = (): Promise<number> => database()('worker_beats').where({ id }).delete()

export async function workerIsUp(): Promise<boolean> {
  const { rows } = await database().raw(
    'select exists (select from worker_beats where at > now() - make_interval(secs => ?)) as up',
    [DOWN_AFTER_S],
  )
  return rows[0].up
}
